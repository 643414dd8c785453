import type { Measure, Price, RateTable, StepsPrice } from '../model/price.ts';
import { placeOf } from '../place/place.ts';
import { makeCarrierPrice, tiers } from '../testing/book.ts';
import { kindOf } from './kinds.ts';
import type { ShopFacts } from './price-kind.ts';
import { indexTable } from './table.ts';

const each = { size: 1_000, amount: 30, count: 'started' } as const;
const FLAT: Price = { kind: 'flat', amount: 850, per: 'order' };
const FLAT_UNIT: Price = { kind: 'flat', amount: 430, per: 'unit', first: 1_150 };
const PERCENT: Price = { kind: 'percent', points: 750, min: 500, max: 2_000 };
const PER_PRODUCT: Price = { kind: 'per-product', otherwise: 560, per: 'line' };
const TABLE: Price = { kind: 'table', tableId: 'leaflet' };
const CARRIER = makeCarrierPrice();
const STEPS = tiers(
  'weight',
  [
    { from: 0, amount: 850 },
    { from: 5_000, amount: 1_230 },
  ],
  20_000,
);
const ALL: readonly Price[] = [FLAT, FLAT_UNIT, PERCENT, PER_PRODUCT, TABLE, CARRIER, STEPS];
const row = (from: number, to: number | undefined, amount: number) => ({
  country: 'CA',
  from,
  ...(to === undefined ? {} : { to }),
  amount,
});
const LEAFLET: RateTable = {
  id: 'leaflet',
  name: 'Leaflet',
  basis: 'weight',
  rows: [row(0, 2_000, 900), row(2_000, undefined, 1_400)],
};

const facts = (part: Partial<ShopFacts> = {}, table: RateTable = LEAFLET): ShopFacts => ({
  isSingleParcel: true,
  allKnown: () => true,
  place: placeOf({ country: 'CA', subdivision: 'CA-NS' }),
  tables: (id) => (id === table.id ? indexTable(table) : undefined),
  ...part,
});
const isForAll = (price: Price, part?: Partial<ShopFacts>, table?: RateTable): boolean =>
  kindOf(price).isForAll(price, facts(part, table));

test('one figure stands for a price', () => {
  expect(ALL.map((price) => kindOf(price).figure(price, [LEAFLET]))).toEqual([
    850, 430, 500, 560, 1_400, 0, 850,
  ]);
  const steps = tiers('weight', [
    { from: 0, amount: 0 },
    { from: 1, amount: 640 },
  ]);
  expect(kindOf(steps).figure(steps, [])).toBe(640);
  const fallback = makeCarrierPrice({ onError: { amount: 2_400, per: 'order' } });
  expect(kindOf(fallback).figure(fallback, [])).toBe(2_400);
  expect(kindOf(TABLE).figure(TABLE, [])).toBe(0);
});

test('the least and the greatest that it comes to, where that is plain', () => {
  const extent = (price: Price) => kindOf(price).extent(price);
  expect([extent(FLAT), extent({ ...FLAT, first: 700 })]).toEqual([
    { least: 850, most: 850 },
    { least: 700, most: 700 },
  ]);
  expect(extent(STEPS)).toEqual({ least: 850, most: 1_230 });
  const falling = tiers('weight', [
    { from: 0, amount: 900 },
    { from: 1, amount: 200, percent: 10 },
  ]);
  expect(extent(falling)).toEqual({ least: 200, most: Number.POSITIVE_INFINITY });
  const adding = tiers('weight', [{ from: 0, amount: 900, each }]);
  expect(extent(adding)).toEqual({ least: 900, most: Number.POSITIVE_INFINITY });
  for (const price of [
    FLAT_UNIT,
    PERCENT,
    PER_PRODUCT,
    TABLE,
    CARRIER,
    { ...STEPS, per: 'parcel' } as StepsPrice,
  ])
    expect(extent(price)).toBeNull();
});

test('the measure it goes by, where it may change, and what it names elsewhere', () => {
  const asked = (price: Price) => {
    const kind = kindOf(price);
    return [kind.basis(price, [LEAFLET]), kind.changesAt(price, [LEAFLET]), kind.names(price)];
  };
  expect(asked(STEPS)).toEqual(['weight', [0, 5_000, 20_000], {}]);
  expect(asked({ ...STEPS, until: undefined })).toEqual(['weight', [0, 5_000], {}]);
  expect(asked(TABLE)).toEqual(['weight', [0, 2_000], { tableId: 'leaflet' }]);
  expect(asked(CARRIER)).toEqual([null, [], { accountId: 'fulmar' }]);
  for (const price of [FLAT, FLAT_UNIT, PERCENT, PER_PRODUCT]) expect(asked(price)).toEqual([null, [], {}]);
  expect(kindOf(TABLE).basis(TABLE, [])).toBeNull();
});

test('the amount of one part is set anew, where there is one', () => {
  const set = (price: Price, part = '') => kindOf(price).withAmount(price, part, 999);
  expect(set(FLAT)).toEqual({ ...FLAT, amount: 999 });
  expect(set(PER_PRODUCT)).toEqual({ ...PER_PRODUCT, otherwise: 999 });
  expect(set(STEPS, '5000')).toEqual({
    ...STEPS,
    steps: [
      { from: 0, amount: 850 },
      { from: 5_000, amount: 999 },
    ],
  });
  expect([set(PERCENT), set(TABLE), set(CARRIER)]).toEqual([null, null, null]);
});

test('the line of a price is drawn against its measure', () => {
  const against = (price: Price): Measure => kindOf(price).curveBasis(price);
  expect(ALL.map(against)).toEqual(['weight', 'units', 'subtotal', 'weight', 'weight', 'weight', 'weight']);
  expect(against(tiers('distance', [{ from: 0, amount: 5 }]))).toBe('distance');
  expect([TABLE, CARRIER, PER_PRODUCT].map((price) => kindOf(price).curve(price, 5))).toEqual([
    null,
    null,
    null,
  ]);
});

describe('whether every order has a price by it', () => {
  test('one amount has, each parcel only where there is one parcel', () => {
    expect([isForAll(FLAT), isForAll(FLAT_UNIT), isForAll(PERCENT)]).toEqual([true, true, true]);
    const parcels: Price = { ...FLAT, per: 'parcel' };
    expect([isForAll(parcels), isForAll(parcels, { isSingleParcel: false })]).toEqual([true, false]);
    expect([isForAll(PER_PRODUCT), isForAll({ ...PER_PRODUCT, otherwise: null })]).toEqual([true, false]);
    expect(isForAll(CARRIER)).toBe(false);
  });

  test('steps have from 0 on without an end, of the order, where all of it is known', () => {
    const open = (basis: Measure, from = 0) => tiers(basis, [{ from, amount: 5 }]);
    expect([isForAll(open('weight')), isForAll(open('weight', 1)), isForAll(STEPS)]).toEqual([
      true,
      false,
      false,
    ]);
    expect(isForAll({ ...open('weight'), per: 'parcel' })).toBe(false);
    expect(isForAll(open('distance'))).toBe(false);
    const unknown = (name: string): Partial<ShopFacts> => ({ allKnown: (measure) => measure !== name });
    expect([
      isForAll(open('weight'), unknown('weight')),
      isForAll(open('volume'), unknown('volume')),
    ]).toEqual([false, false]);
    expect([
      isForAll(open('units'), unknown('weight')),
      isForAll(open('subtotal'), unknown('volume')),
    ]).toEqual([true, true]);
  });

  test('a table has whose rows for the place leave nothing out', () => {
    const rows = (...of: RateTable['rows']) => isForAll(TABLE, {}, { ...LEAFLET, rows: of });
    expect(isForAll(TABLE)).toBe(true);
    expect(rows(row(0, 2_000, 5), row(2_000, 4_000, 6))).toBe(false);
    expect(rows(row(0, 2_000, 5), row(2_001, undefined, 6))).toBe(false);
    expect(rows(row(0, 2_000, 5), row(1_000, undefined, 6))).toBe(true);
    expect(rows(row(1, undefined, 5))).toBe(false);
    expect(rows({ ...row(0, undefined, 5), country: 'US' })).toBe(false);
    expect(isForAll(TABLE, { allKnown: () => false })).toBe(false);
    expect(isForAll(TABLE, {}, { ...LEAFLET, basis: 'distance' })).toBe(false);
    expect(isForAll({ kind: 'table', tableId: 'gone' })).toBe(false);
  });
});
