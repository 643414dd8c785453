import type { Price } from '../model/price.ts';
import { makeCarrierPrice } from '../testing/book.ts';
import { hasNoFigure, isFilled, onlyRow } from './figure-rows.ts';
import { kindOf } from './kinds.ts';
import type { FigureRow } from './price-kind.ts';

const rowsOf = (price: Price): readonly FigureRow[] => kindOf(price).rows(price);
const withRows = (price: Price, ...rows: FigureRow[]): Price | null => kindOf(price).withRows(price, rows);

const FLAT: Price = { kind: 'flat', amount: 850, per: 'order' };
const PERCENT: Price = { kind: 'percent', points: 750, min: 500 };
const PER_PRODUCT: Price = { kind: 'per-product', otherwise: 560, per: 'line' };
const TABLE: Price = { kind: 'table', tableId: 'leaflet' };
const each = { size: 1_000, amount: 30, count: 'started' } as const;
const STEPS: Price = {
  kind: 'steps',
  basis: 'weight',
  per: 'order',
  until: 20_000,
  steps: [
    { from: 0, amount: 850, percent: 100 },
    { from: 5_000, amount: 1_230, each },
  ],
};
const fallback = (amount: number) => ({ amount, per: 'order' as const });
const CARRIER = makeCarrierPrice({ onError: fallback(2_400), onNone: 'withhold' });

test('a cell is filled unless it is empty or its column is missing', () => {
  expect([isFilled(0), isFilled(null), isFilled(undefined)]).toEqual([true, false, false]);
  expect([hasNoFigure({}), hasNoFigure({ amount: null }), hasNoFigure({ percent: 0 })]).toEqual([
    true,
    true,
    false,
  ]);
  expect(onlyRow([{ from: null, amount: 1 }])).toEqual({ from: null, amount: 1 });
  expect([onlyRow([]), onlyRow([{}, {}]), onlyRow([{ from: 0 }])]).toEqual([null, null, null]);
});

test.each<[string, Price]>([
  ['flat', FLAT],
  ['percent', PERCENT],
  ['per product', PER_PRODUCT],
  ['table', TABLE],
  ['steps', STEPS],
  ['carrier', CARRIER],
])('the rows of a price make the same price again: %s', (_, price) => {
  expect(withRows(price, ...rowsOf(price))).toEqual(price);
});

describe('one amount', () => {
  test('takes the place of what a merchant knows the price by', () => {
    expect(rowsOf({ ...FLAT, first: 900 })).toEqual([{ amount: 900 }]);
    expect(withRows({ ...FLAT, first: 900 }, { amount: 700 })).toEqual({ ...FLAT, amount: 700 });
    const perUnit: Price = { kind: 'flat', amount: 430, per: 'unit', first: 1_150 };
    expect(rowsOf(perUnit)).toEqual([{ amount: 430 }]);
    expect(withRows(perUnit, { amount: 400 })).toEqual({ ...perUnit, amount: 400 });
  });

  test('is needed by a flat price, in one row, and may be none where each product has its own', () => {
    expect([
      withRows(FLAT, { amount: null }),
      withRows(FLAT, {}),
      withRows(FLAT, { from: 0, amount: 5 }),
    ]).toEqual([null, null, null]);
    expect(withRows(PER_PRODUCT, { amount: null })).toEqual({ ...PER_PRODUCT, otherwise: null });
    expect(withRows(PER_PRODUCT, {})).toBe(PER_PRODUCT);
    expect(withRows(PER_PRODUCT, { amount: 5, percent: 100 })).toBeNull();
    expect(withRows(PER_PRODUCT, { amount: 5 }, { amount: 6 })).toBeNull();
  });

  test('of a carrier’s price is its fallback, where it has one', () => {
    expect(rowsOf(CARRIER)).toEqual([{ amount: 2_400 }]);
    expect(withRows(CARRIER, { amount: 2_600 })).toEqual({ ...CARRIER, onError: fallback(2_600) });
    expect(withRows(CARRIER, {})).toBe(CARRIER);
    expect([withRows(CARRIER, { amount: null }), withRows(CARRIER, { amount: 1, percent: 1 })]).toEqual([
      null,
      null,
    ]);
    const none = makeCarrierPrice({ onError: 'withhold', onNone: 'withhold' });
    expect(rowsOf(none)).toEqual([{ amount: null }]);
    expect([withRows(none, { amount: null }), withRows(none, { amount: 5 })]).toEqual([none, null]);
    const both = makeCarrierPrice({ onError: fallback(5), onNone: fallback(7) });
    expect(withRows(both, { amount: 9 })).toMatchObject({ onError: { amount: 9 }, onNone: { amount: 9 } });
  });
});

test('a share takes the place of a percentage, which has no amount', () => {
  expect(withRows(PERCENT, { percent: 800 })).toEqual({ ...PERCENT, points: 800 });
  expect(withRows(PERCENT, {})).toBe(PERCENT);
  expect([withRows(PERCENT, { percent: null }), withRows(PERCENT, { percent: 1, amount: 1 })]).toEqual([
    null,
    null,
  ]);
});

test('a table has its figures elsewhere', () => {
  expect(withRows(TABLE, { amount: null })).toBe(TABLE);
  expect([withRows(TABLE, { amount: 5 }), withRows(TABLE, {}, {})]).toEqual([null, null]);
});

describe('steps', () => {
  test('come in rising order; what a step adds for each measure stays with where it begins', () => {
    const read = withRows(STEPS, { from: 5_000, amount: 1_300 }, { from: null, amount: 800, percent: null });
    expect(read).toEqual({
      ...STEPS,
      steps: [
        { from: 0, amount: 800 },
        { from: 5_000, amount: 1_300, each },
      ],
    });
    expect(withRows(STEPS, { from: 0, amount: 800 })).toMatchObject({
      steps: [{ from: 0, amount: 800, percent: 100 }],
    });
    expect(withRows(STEPS, { from: 7_000, amount: 5, percent: 50 })).toMatchObject({
      steps: [{ from: 7_000, amount: 5, percent: 50 }],
    });
  });

  test('are none where one begins twice, has no amount, or begins where they end', () => {
    expect(withRows(STEPS)).toBeNull();
    expect(withRows(STEPS, { from: 0, amount: 1 }, { from: null, amount: 2 })).toBeNull();
    expect(withRows(STEPS, { from: 0, amount: null })).toBeNull();
    expect(withRows(STEPS, { amount: 800 })).toBeNull();
    expect(withRows(STEPS, { from: 20_000, amount: 800 })).toBeNull();
    expect(withRows(STEPS, { from: 19_999, amount: 800 })).not.toBeNull();
  });
});
