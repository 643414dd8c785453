import type { Book } from '../../core/model/book.ts';
import type { Good } from '../../core/model/good.ts';
import { makeBook, makeCatalogue, makeGood, makeRate } from '../../core/testing/book.ts';
import { oneChange } from '../../core/testing/one-change.ts';
import { demoBook } from '../../demo/book.ts';
import type { RootState } from '../state/store.ts';
import { changedParts, heldOf, NOTHING_HELD } from './changed-parts.ts';
import { withCatalogue, withParts } from './shop-parts.ts';

const stateOf = (book: Book): RootState =>
  ({
    draft: { workbook: { book, catalogue: { goods: [] }, testOrders: [] } },
    orders: [],
    demoOrders: [],
  }) as unknown as RootState;

const catalogueState = (goods: Good[]): RootState => {
  const state = stateOf(book);
  const workbook = { ...state.draft.workbook, catalogue: makeCatalogue(...goods) };
  return { ...state, draft: { ...state.draft, workbook } };
};

const sorted = (shop: Partial<Book>): object =>
  Object.fromEntries(
    Object.entries(shop)
      .filter(([, part]) => part !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );

const rates = Array.from({ length: 8 }, (_, at) => makeRate({ id: `r${at}`, zoneId: `z${at}` }));
const book = makeBook({ rates });

describe('what is handed to a worker', () => {
  test('is the whole shop first, and of one changed rate that rate alone', () => {
    const first = changedParts(stateOf(book), NOTHING_HELD);
    const there = withParts({}, first);
    expect(there).toEqual(book);
    const dearer = rates.map((rate, at) => (at === 3 ? { ...rate, message: 'dearer' } : rate));
    const changed = { ...book, rates: dearer };
    const parts = changedParts(stateOf(changed), heldOf(stateOf(book)));
    expect(parts).toMatchObject({ book: {}, lists: {}, entries: { rates: [[3, dearer[3]]] } });
    expect(withParts(there, parts)).toEqual(changed);
  });

  test('is a whole list where it grew, shrank, or most of it changed', () => {
    for (const next of [
      rates.slice(1),
      [...rates, makeRate({ id: 'more' })],
      rates.map((rate) => ({ ...rate })),
    ]) {
      const changed = { ...book, rates: next };
      const parts = changedParts(stateOf(changed), heldOf(stateOf(book)));
      expect(parts.book?.rates).toBe(next);
      expect(withParts(book, parts)).toEqual(changed);
    }
  });

  test('of a long list is text, or the few rows that changed', () => {
    const rule = { country: 'CA', pattern: 'B3H*', served: true, cashOnDelivery: false };
    const listed = { ...book, postalList: Array.from({ length: 9 }, () => rule) };
    const parts = changedParts(stateOf(listed), heldOf(stateOf(book)));
    expect(parts.lists?.postalList).toBe(JSON.stringify(listed.postalList));
    const there = withParts(book, parts);
    const edited = {
      ...listed,
      postalList: listed.postalList.map((one, at) => (at === 8 ? { ...one, served: false } : one)),
    };
    const few = changedParts(stateOf(edited), heldOf(stateOf(listed)));
    expect(few.lists).toEqual({});
    expect(withParts(there, few)).toEqual(edited);
  });

  test('of a rate table is text, even where one of many changed', () => {
    const table = (id: string) => ({
      id,
      name: id,
      basis: 'weight' as const,
      rows: [{ from: 0, amount: 500 }],
    });
    const tables = ['a', 'b', 'c', 'd', 'e'].map(table);
    const before = { ...book, rateTables: tables };
    const after = { ...book, rateTables: tables.with(2, { ...table('c'), name: 'Other' }) };
    const parts = changedParts(stateOf(after), heldOf(stateOf(before)));
    expect(parts.entries).toEqual({});
    expect(parts.lists?.rateTables).toBe(JSON.stringify(after.rateTables));
    expect(withParts(before, parts)).toEqual(after);
  });

  test('makes of what is there what the shop is now, after any change of the demo', () => {
    const held = heldOf(stateOf(demoBook));
    // Of the parts of a book, one alone may be missing.
    const isOne = (path: readonly unknown[]): boolean => path.length > 1 || path[0] === 'translations';
    const changes = oneChange<Book>(demoBook).filter(({ path }) => isOne(path));
    const unlike = changes.filter(({ value }) => {
      const there = withParts(demoBook, structuredClone(changedParts(stateOf(value), held)));
      return JSON.stringify(sorted(there)) !== JSON.stringify(sorted(value));
    });
    expect(unlike.map(({ path }) => path.join('.'))).toEqual([]);
  });

  test('is of one changed product that product alone, and the others stay what they were', () => {
    const goods = ['a', 'b', 'c', 'd', 'e'].map((sku) => makeGood(sku));
    const before = catalogueState(goods);
    const held = withCatalogue(null, changedParts(before, NOTHING_HELD));
    const heavier = goods.map((good) => (good.sku === 'c' ? { ...good, weight: 7_000 } : good));
    const parts = changedParts(catalogueState(heavier), heldOf(before));
    expect(parts).toMatchObject({ goods: [[2, heavier[2]]] });
    expect(parts.catalogue).toBeUndefined();
    const now = withCatalogue(held, parts);
    expect(now?.goods).toEqual(heavier);
    expect(now?.goods[0]).toBe(held?.goods[0]);
    const fewer = changedParts(catalogueState(goods.slice(1)), heldOf(before));
    expect(withCatalogue(held, fewer)?.goods).toEqual(goods.slice(1));
  });
});
