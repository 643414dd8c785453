import { z } from 'zod';
import { fault, type Fault, type Result } from '../model/fault.ts';
import { parseWith } from '../model/schema-fault.ts';
import type { TestOrder } from '../model/test-order.ts';
import { readEditions, type Edition } from './edition.ts';
import { readJson, readTestOrders } from './read.ts';

/** A published edition as one file, with the test orders it is tried against wherever it is put. */
export interface EditionFile {
  edition: Edition;
  testOrders: TestOrder[];
  digest: string;
}

/** SHA-256 of a text as 64 hexadecimal digits; the platform's own. */
export type Digest = (text: string) => string | Promise<string>;

const fileSchema = z.strictObject({
  format: z.literal('emporos-edition'),
  version: z.literal(1),
  digest: z.string().regex(/^[0-9a-f]{64}$/, 'digits'),
  edition: z.unknown(),
  testOrders: z.unknown(),
});

/** What the digest is of: the edition and its test orders as they stand in the file. */
const contentText = (edition: unknown, testOrders: unknown): string =>
  JSON.stringify({ edition, testOrders });

/** The file of an edition. No secret of a carrier account is in it: a book holds none. */
export const editionFileText = async (
  edition: Edition,
  testOrders: readonly TestOrder[],
  digestOf: Digest,
): Promise<string> => {
  const digest = await digestOf(contentText(edition, testOrders));
  return `${JSON.stringify({ format: 'emporos-edition', version: 1, digest, edition, testOrders })}\n`;
};

/** The name of an edition's file: the shop in plain letters, and the number. */
export const editionFileName = ({ number, book }: Edition): string => {
  const shop = book.store.name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${shop || 'shop'}.edition-${number}.json`;
};

const within = (name: string, faults: readonly Fault[]): Fault[] =>
  faults.map((found) => ({ ...found, path: `${name}${found.path.startsWith('[') ? '' : '.'}${found.path}` }));

/**
 * An edition out of the text of its file, read whole. Faults: it is no such file, its digest is not that of what it
 * holds, or its book, products or test orders are faulty.
 */
export const readEditionFile = async (text: string, digestOf: Digest): Promise<Result<EditionFile>> => {
  const json = readJson(text);
  if (!json.ok) return json;
  const file = parseWith(fileSchema, json.value);
  if (!file.ok) return file;
  const { digest, edition, testOrders } = file.value;
  if ((await digestOf(contentText(edition, testOrders))) !== digest)
    return { ok: false, faults: [fault('digest-differs', 'digest')] };
  const editions = readEditions([edition]);
  const tests = readTestOrders(testOrders);
  if (!editions.ok) return { ok: false, faults: within('edition', editions.faults) };
  if (!tests.ok) return { ok: false, faults: within('testOrders', tests.faults) };
  const [only] = editions.value;
  return only
    ? { ok: true, value: { edition: only, testOrders: tests.value, digest } }
    : { ok: false, faults: [fault('missing', 'edition')] };
};
