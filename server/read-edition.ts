import { createHash } from 'node:crypto';
import { answersAtOnce } from '../carriers/stand-ins.ts';
import { checkDraft } from '../core/check/check-draft.ts';
import { readEditionFile, type EditionFile } from '../core/formats/edition-file.ts';
import type { Edition } from '../core/formats/edition.ts';
import { compile } from '../core/quote/compile.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';

/** SHA-256 as hexadecimal digits. */
export const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

const NAME = /^([a-z0-9][a-z0-9-]{0,59})\.edition-([1-9]\d{0,6})\.json$/;

/** An edition's file as it can be served, or why it cannot, in sentences. */
export type ReadEdition =
  { ok: true; shop: string; edition: Edition; digest: string } | { ok: false; reasons: string[] };

/** How a file is read: its name and its text. */
export type EditionReader = (name: string, text: string) => ReadEdition | Promise<ReadEdition>;

const refused = (...reasons: string[]): ReadEdition => ({ ok: false, reasons });

/** The test orders that an edition does not keep; they expect what the stand-ins of the carriers answer. */
const brokenBy = ({ edition, testOrders }: EditionFile): string[] =>
  checkDraft(compile(edition.book, edition.catalogue, answersAtOnce), testOrders, null)
    .results.filter(({ kept }) => !kept)
    .map(({ name }) => `The test order “${name}” does not get what it should.`);

/** Reads an edition's file whole: its name, its digest, its book and products, and its own test orders. */
export const readEdition = async (name: string, text: string): Promise<ReadEdition> => {
  const [, shop = '', number] = NAME.exec(name) ?? [];
  if (shop === '') return refused('The file is not named as shop.edition-7.json.');
  const file = await readEditionFile(text, sha256);
  if (!file.ok) return refused(...file.faults.map(locatedSentence));
  const { edition, digest } = file.value;
  if (edition.number !== Number(number))
    return refused(`The file is named as edition ${number} and holds edition ${edition.number}.`);
  const broken = brokenBy(file.value);
  return broken.length > 0 ? refused(...broken) : { ok: true, shop, edition, digest };
};
