import { createHash } from 'node:crypto';
import { watch, type FSWatcher } from 'node:fs';
import { readdir, readFile, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { answersAtOnce } from '../carriers/stand-ins.ts';
import { checkDraft } from '../core/check/check-draft.ts';
import { readEditionFile, type EditionFile } from '../core/formats/edition-file.ts';
import { compile, type CompiledBook } from '../core/quote/compile.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';

/** An edition that quotes are made from. */
export interface ServedEdition {
  number: number;
  digest: string;
  publishedAt: string;
  note: string;
  compiled: CompiledBook;
}

/** A file that is not served, and why, in sentences. */
export interface RefusedFile {
  file: string;
  reasons: string[];
}

/** SHA-256 as hexadecimal digits. */
export const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

const NAME = /^([a-z0-9][a-z0-9-]{0,59})\.edition-([1-9]\d{0,6})\.json$/;

type Read = { ok: true; shop: string; served: ServedEdition } | { ok: false; reasons: string[] };

const refused = (...reasons: string[]): Read => ({ ok: false, reasons });

/** The test orders that an edition does not keep, by name. */
const brokenBy = (compiled: CompiledBook, { testOrders }: EditionFile): string[] =>
  checkDraft(compiled, testOrders, null)
    .results.filter(({ kept }) => !kept)
    .map(({ name }) => `The test order “${name}” does not get what it should.`);

const readOne = async (name: string, text: string): Promise<Read> => {
  const [, shop = '', number] = NAME.exec(name) ?? [];
  if (shop === '') return refused('The file is not named as shop.edition-7.json.');
  const file = await readEditionFile(text, sha256);
  if (!file.ok) return refused(...file.faults.map(locatedSentence));
  const { edition, digest } = file.value;
  if (edition.number !== Number(number))
    return refused(`The file is named as edition ${number} and holds edition ${edition.number}.`);
  const { book, catalogue, publishedAt, note } = edition;
  // Test orders expect what the stand-ins of the carriers answer.
  const broken = brokenBy(compile(book, catalogue, answersAtOnce), file.value);
  if (broken.length > 0) return refused(...broken);
  return {
    ok: true,
    shop,
    served: { number: edition.number, digest, publishedAt, note, compiled: compile(book, catalogue) },
  };
};

interface Known {
  stamp: string;
  read: Read;
  /** What the file held when it was last sound: it is served on while the file is spoilt. */
  sound: Extract<Read, { ok: true }> | null;
}

/** So long after the last change in the folder it is read: a file that is being copied changes many times. */
const REST_MS = 250;

/**
 * The editions in a folder, by shop; of each shop the one with the greatest number is live. A file that is faulty or
 * fails a test order is refused, and those before it stay. What is read takes over at once, between two requests.
 */
export class Editions {
  readonly #folder: string;
  readonly #log: (refusal: RefusedFile) => void;
  #known = new Map<string, Known>();
  #shops = new Map<string, ServedEdition[]>();
  #refused: RefusedFile[] = [];
  #watcher: FSWatcher | null = null;
  #timer: NodeJS.Timeout | null = null;

  constructor(folder: string, log: (refusal: RefusedFile) => void) {
    this.#folder = folder;
    this.#log = log;
  }

  /** Reads what is new or changed in the folder; rejects where there is no such folder. */
  async read(): Promise<void> {
    const known = new Map<string, Known>();
    for (const name of (await readdir(this.#folder)).filter((one) => one.endsWith('.json')).sort()) {
      const path = join(this.#folder, name);
      const { mtimeMs, size } = await stat(path);
      const stamp = `${mtimeMs} ${size}`;
      const before = this.#known.get(name);
      if (before?.stamp === stamp) known.set(name, before);
      else {
        const read = await readOne(name, await readFile(path, 'utf8'));
        known.set(name, { stamp, read, sound: read.ok ? read : (before?.sound ?? null) });
      }
    }
    this.#takeOver(known);
  }

  #takeOver(known: Map<string, Known>): void {
    const shops = new Map<string, ServedEdition[]>();
    const refusals: RefusedFile[] = [];
    for (const [file, { read, sound }] of known) {
      if (sound) shops.set(sound.shop, [...(shops.get(sound.shop) ?? []), sound.served]);
      if (!read.ok) refusals.push({ file, reasons: read.reasons });
    }
    for (const list of shops.values()) list.sort((a, b) => a.number - b.number);
    const told = new Set(this.#refused.map((one) => JSON.stringify(one)));
    for (const refusal of refusals) if (!told.has(JSON.stringify(refusal))) this.#log(refusal);
    this.#known = known;
    this.#shops = shops;
    this.#refused = refusals;
  }

  /** Reads the folder again whenever something in it changes, until it is closed. */
  watch(): void {
    this.#watcher ??= watch(this.#folder, () => {
      if (this.#timer) clearTimeout(this.#timer);
      this.#timer = setTimeout(() => void this.read().catch(() => undefined), REST_MS);
    });
  }

  close(): void {
    this.#watcher?.close();
    if (this.#timer) clearTimeout(this.#timer);
  }

  get refused(): readonly RefusedFile[] {
    return this.#refused;
  }

  get shops(): ReadonlyMap<string, readonly ServedEdition[]> {
    return this.#shops;
  }

  /** An edition of a shop by its number, or the live one; null where there is none. */
  find(shop: string, number: number | null): ServedEdition | null {
    const editions = this.#shops.get(shop) ?? [];
    return (number === null ? editions.at(-1) : editions.find((one) => one.number === number)) ?? null;
  }
}
