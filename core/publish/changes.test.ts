import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { bookSchema, type Book } from '../model/book.ts';
import { catalogueSchema, type Catalogue } from '../model/good.ts';
import { seeded } from '../seeded.ts';
import { oneChange } from '../testing/one-change.ts';
import { bookChanges } from './changes.ts';
import { differences } from './differences.ts';

const isBook = (book: Book): boolean => bookSchema.safeParse(book).success;
const BOOKS = oneChange<Book>(demoBook).filter(({ value }) => isBook(value));
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
    const goods = oneChange<Catalogue>(demoCatalogue).filter(
      ({ value }) => catalogueSchema.safeParse(value).success,
    );
    expect(
      goods.filter(({ value }) => told(demoBook, value) === '').map(({ path }) => path.join('.')),
    ).toEqual([]);
  });

  test('and is told in words: none is left to be said as another detail', () => {
    expect(
      BOOKS.filter(({ value }) => told(value).includes('another detail changes')).map(({ path }) =>
        path.join('.'),
      ),
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
    const contains = (a: readonly (string | number)[], b: readonly (string | number)[]): boolean =>
      b.every((step, n) => a[n] === undefined || a[n] === step);
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
