import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { bookSchema, type Book } from '../model/book.ts';
import { catalogueSchema, type Catalogue } from '../model/good.ts';
import { seeded } from '../seeded.ts';
import { bookChanges } from './changes.ts';
import { differences } from './differences.ts';

type Path = readonly (string | number)[];
type Holder = Record<string | number, unknown>;

/** A value with one part of it changed, or taken out where `change` gives undefined. */
const changedAt = <T>(value: T, [key, ...rest]: Path, change: (part: unknown) => unknown): T => {
  if (key === undefined) return change(value) as T;
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Holder;
  const next = changedAt(copy[key], rest, change);
  if (next !== undefined) copy[key] = next;
  else if (Array.isArray(copy)) copy.splice(Number(key), 1);
  else delete copy[key];
  return copy as T;
};

/** The path of each value within another, the deepest too. */
const pathsOf = (value: unknown, path: Path = []): Path[] =>
  typeof value === 'object' && value !== null
    ? [
        path,
        ...Object.entries(value).flatMap(([key, part]) =>
          pathsOf(part, [...path, Array.isArray(value) ? Number(key) : key]),
        ),
      ]
    : [path];

const other = (part: unknown): unknown =>
  typeof part === 'number'
    ? part + 1
    : typeof part === 'boolean'
      ? !part
      : typeof part === 'string'
        ? `${part}2`
        : part;

const MOST_ALIKE = 2;

/** Places in a value, two for each kind of place: what holds of the first rate's limits holds of the thousandth's. */
const placesIn = (value: object): Path[] => {
  const alike = new Map<string, number>();
  return pathsOf(value).filter((path) => {
    const kind = path.map((step) => (typeof step === 'number' ? '#' : step)).join('.');
    alike.set(kind, (alike.get(kind) ?? 0) + 1);
    return path.length > 0 && (alike.get(kind) ?? 0) <= MOST_ALIKE;
  });
};

interface Changed<T> {
  path: Path;
  /** Makes the change to another state too. */
  make: (value: T) => T;
  value: T;
}

/** Every state that one change makes of a value and that can be read. */
const oneChange = <T extends object>(value: T, reads: (changed: T) => boolean): Changed<T>[] =>
  placesIn(value).flatMap((path) =>
    [other, () => undefined]
      .map((change) => (from: T) => changedAt(from, path, change))
      .map((make) => ({ path, make, value: make(value) }))
      .filter((one) => JSON.stringify(one.value) !== JSON.stringify(value) && reads(one.value)),
  );

const isBook = (book: Book): boolean => bookSchema.safeParse(book).success;
const BOOKS = oneChange<Book>(demoBook, isBook);
const told = (book: Book, catalogue: Catalogue = demoCatalogue): string =>
  differences({ book: demoBook, catalogue: demoCatalogue }, { book, catalogue })
    .map(({ text }) => text)
    .join('\n');

describe('what changed between two states of the shop', () => {
  test('nothing, where nothing did', () => {
    expect(
      bookChanges(
        { book: demoBook, catalogue: demoCatalogue },
        structuredClone({ book: demoBook, catalogue: demoCatalogue }),
      ),
    ).toEqual([]);
  });

  test('no change of any part of the demo goes untold', () => {
    expect(BOOKS.length).toBeGreaterThan(400);
    const untold = BOOKS.filter(({ value }) => told(value) === '').map(({ path }) => path.join('.'));
    expect(untold).toEqual([]);
    const goods = oneChange<Catalogue>(demoCatalogue, (one) => catalogueSchema.safeParse(one).success);
    expect(
      goods.filter(({ value }) => told(demoBook, value) === '').map(({ path }) => path.join('.')),
    ).toEqual([]);
  });

  test('and is told in words: none is left to be said as something without words', () => {
    expect(
      BOOKS.filter(({ value }) => told(value).includes('no words')).map(({ path }) => path.join('.')),
    ).toEqual([]);
  });

  test('a second change of the same rule is told beside the first', () => {
    const random = seeded(11);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    // What a rule, a line or a text is known by makes it another, all new; rows of a table are counted, not named.
    const identity = ['id', 'code', 'pattern', 'text', 'country', 'hsPrefix'];
    const named = BOOKS.filter(
      ({ path }) => !identity.includes(String(path.at(-1))) && path[0] !== 'rateTables',
    );
    const contains = (a: Path, b: Path): boolean => b.every((step, n) => a[n] === undefined || a[n] === step);
    const hidden: string[] = [];
    for (let at = 0; at < 300; at += 1) {
      const first = pick(named);
      const second = pick(named.filter(({ path }) => path[0] === first.path[0] && path[1] === first.path[1]));
      const both = second.make(first.value);
      if (contains(first.path, second.path) || !isBook(both)) continue;
      if (JSON.stringify(both) !== JSON.stringify(first.value) && told(both) === told(first.value))
        hidden.push(`${second.path.join('.')} behind ${first.path.join('.')}`);
    }
    expect(hidden).toEqual([]);
  });
});
