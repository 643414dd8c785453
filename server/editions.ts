import { watch, type FSWatcher } from 'node:fs';
import { readdir, readFile, rename, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readEdition, type EditionReader, type ReadEdition } from './read-edition.ts';
import { ServedEdition, type EditionSource, type RefusedFile } from './served-edition.ts';

interface Sound {
  shop: string;
  served: ServedEdition;
}

interface Known {
  stamp: string;
  reasons: readonly string[];
  /** What the file held when it was last sound: it is served on while the file is spoilt. */
  sound: Sound | null;
}

/** So long after the last change in the folder it is read: a file that is being copied changes many times. */
const REST_MS = 250;

const soundOf = (read: ReadEdition): Sound | null =>
  read.ok ? { shop: read.shop, served: new ServedEdition(read.edition, read.digest) } : null;

/**
 * The editions in a folder, by shop; of each shop the one with the greatest number is live. A file that is faulty or
 * fails a test order is refused, and those before it stay. What is read takes over at once, between two requests.
 */
export class Editions implements EditionSource {
  readonly #folder: string;
  readonly #log: (refusal: RefusedFile) => void;
  readonly #reader: EditionReader;
  #known = new Map<string, Known>();
  #shops = new Map<string, ServedEdition[]>();
  #refused: RefusedFile[] = [];
  #watcher: FSWatcher | null = null;
  #timer: NodeJS.Timeout | null = null;
  /** What files that are being put held when they were examined, by name: they are not read once more. */
  readonly #examined = new Map<string, { text: string; read: ReadEdition }>();
  /** Readings of the folder one after another: none takes over with what an earlier one saw. */
  #reading: Promise<void> = Promise.resolve();

  constructor(folder: string, log: (refusal: RefusedFile) => void, reader: EditionReader = readEdition) {
    this.#folder = folder;
    this.#log = log;
    this.#reader = reader;
  }

  /** Reads what is new or changed in the folder; rejects where there is no such folder. */
  read(): Promise<void> {
    const next = this.#reading.then(() => this.#readFolder());
    this.#reading = next.catch(() => undefined);
    return next;
  }

  async #readFolder(): Promise<void> {
    const known = new Map<string, Known>();
    for (const name of (await readdir(this.#folder)).filter((one) => one.endsWith('.json')).sort()) {
      const one = await this.#readFile(name).catch(() => null);
      if (one) known.set(name, one);
    }
    this.#takeOver(known);
  }

  async #readFile(name: string): Promise<Known> {
    const path = join(this.#folder, name);
    const { mtimeMs, size } = await stat(path);
    const stamp = `${mtimeMs} ${size}`;
    const before = this.#known.get(name);
    if (before?.stamp === stamp) return before;
    const text = await readFile(path, 'utf8');
    const examined = this.#examined.get(name);
    const read = examined?.text === text ? examined.read : await this.#reader(name, text);
    return { stamp, reasons: read.ok ? [] : read.reasons, sound: soundOf(read) ?? before?.sound ?? null };
  }

  #takeOver(known: Map<string, Known>): void {
    const shops = new Map<string, ServedEdition[]>();
    const refusals: RefusedFile[] = [];
    for (const [file, { reasons, sound }] of known) {
      if (sound) shops.set(sound.shop, [...(shops.get(sound.shop) ?? []), sound.served]);
      if (reasons.length > 0) refusals.push({ file, reasons: [...reasons] });
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

  /** An edition's file as it would be read from the folder, without putting it there. */
  examine(name: string, text: string): Promise<ReadEdition> {
    return Promise.resolve(this.#reader(name, text));
  }

  /** Writes the file of an edition that was examined, whole or not at all, and serves it. */
  async put(name: string, text: string, read: ReadEdition): Promise<void> {
    const path = join(this.#folder, name);
    this.#examined.set(name, { text, read });
    try {
      await writeFile(`${path}.new`, text);
      await rename(`${path}.new`, path);
      await this.read();
    } finally {
      this.#examined.delete(name);
    }
  }

  /** Takes an edition's file out of service; it stays in the folder under another name. */
  async takeBack(name: string): Promise<void> {
    const path = join(this.#folder, name);
    await rename(path, `${path}.taken-back`);
    await this.read();
  }

  get refused(): readonly RefusedFile[] {
    return this.#refused;
  }

  get shops(): ReadonlyMap<string, readonly ServedEdition[]> {
    return this.#shops;
  }
}
