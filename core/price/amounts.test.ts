import type { Good } from '../model/good.ts';
import type { Price } from '../model/price.ts';
import type { Line } from '../model/request.ts';
import {
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  onlyChoice,
  onlyWithheld,
  quoted,
  tiers,
} from '../testing/book.ts';

const SIDES = { length: 100, width: 100, height: 100 };
const POT = makeGood('pot', { name: 'Pot', weight: 1_200, size: SIDES });
const CANE = makeGood('cane', {
  name: 'Cane',
  weight: 400,
  packsAlone: true,
  shippingPrice: 700,
  size: SIDES,
});
const LINES: Line[] = [
  { sku: 'pot', quantity: 2 },
  { sku: 'cane', quantity: 3 },
];

/** Two pots in a parcel and three canes, each in its own: four parcels, five units, two lines, 3.6 kg, 50.00. */
const quoteOf = (price: Price, goods: Good[] = [POT, CANE]) =>
  quoted(makeBook({ rates: [makeRate({ price })] }), makeRequest({ lines: LINES }), makeCatalogue(...goods));
const chargeOf = (price: Price): number => onlyChoice(quoteOf(price)).charge;
const firstLines = (price: Price): string[] => onlyChoice(quoteOf(price)).working.map(({ text }) => text);

test.each<[Extract<Price, { kind: 'flat' }>['per'], number, number]>([
  ['order', 430, 1_150],
  ['parcel', 4 * 430, 1_150 + 3 * 430],
  ['unit', 5 * 430, 1_150 + 4 * 430],
  ['line', 2 * 430, 1_150 + 430],
])('one amount for each %s, the first at its own', (per, all, withFirst) => {
  expect(chargeOf({ kind: 'flat', amount: 430, per })).toBe(all);
  expect(chargeOf({ kind: 'flat', amount: 430, per, first: 1_150 })).toBe(withFirst);
});

test('each product by its own price, else that of the others, by unit or by line', () => {
  expect(chargeOf({ kind: 'per-product', otherwise: 200, per: 'unit' })).toBe(2 * 200 + 3 * 700);
  expect(chargeOf({ kind: 'per-product', otherwise: 200, per: 'line' })).toBe(200 + 700);
});

describe('steps', () => {
  const steps = (basis: 'weight' | 'units' | 'volume' | 'subtotal', from: number) =>
    tiers(basis, [
      { from: 0, amount: 100 },
      { from, amount: 900 },
    ]);

  test.each([
    ['weight', 3_600],
    ['units', 5],
    ['volume', 5_000_000],
    ['subtotal', 5_000],
  ] as const)('of the order by %s begin where it is reached', (basis, from) => {
    expect([chargeOf(steps(basis, from)), chargeOf(steps(basis, from + 1))]).toEqual([900, 100]);
  });

  test.each([
    ['weight', 2_400],
    ['units', 2],
    ['volume', 2_000_000],
  ] as const)('of each parcel by %s price each for itself', (basis, from) => {
    expect(chargeOf({ ...steps(basis, from), per: 'parcel' })).toBe(900 + 3 * 100);
    expect(chargeOf({ ...steps(basis, from + 1), per: 'parcel' })).toBe(4 * 100);
  });

  test('of each parcel by subtotal go by that of the order, which has no parts', () => {
    expect(chargeOf({ ...steps('subtotal', 5_000), per: 'parcel' })).toBe(4 * 900);
  });

  test('of each parcel are told parcel by parcel', () => {
    expect(firstLines({ ...steps('weight', 2_400), per: 'parcel' }).slice(0, 2)).toEqual([
      'A parcel: Weight 2.4 kg, from 2.4 kg: 9.00',
      '3 parcels alike, each: Weight 400 g, from 0 kg: 1.00',
    ]);
  });

  test('need to know what they go by', () => {
    const nameless = makeGood('pot', { name: 'Pot', weight: undefined, size: SIDES });
    const sizeless = makeGood('pot', { name: 'Pot', weight: 1_200 });
    const withheld = (price: Price, good: Good) => onlyWithheld(quoteOf(price, [good, CANE])).code;
    expect(withheld(steps('weight', 1), nameless)).toBe('weight-unknown');
    expect(withheld({ ...steps('weight', 1), per: 'parcel' }, nameless)).toBe('weight-unknown');
    expect(withheld(steps('volume', 1), sizeless)).toBe('size-unknown');
    expect(withheld(tiers('distance', [{ from: 0, amount: 5 }]), POT)).toBe('distance-unknown');
    expect(withheld(tiers('weight', [{ from: 3_601, amount: 5 }]), POT)).toBe('below-first-step');
  });
});
