import fc from 'fast-check';
import type { Price } from '../model/price.ts';
import { ratePhrase } from './rate-phrase.ts';
import { makeCarrierPrice, makeRate, tiers } from '../testing/book.ts';
import { asKind, kindOf } from './kinds.ts';
import type { Raise } from './raise.ts';

const curveOf = (price: Price, reach: number) => kindOf(price).curve(price, reach);
const raisedPrice = (price: Price, raise: Raise) => kindOf(price).raised(price, raise);
const chargesNothing = (price: Price | null) => price !== null && kindOf(price).chargesNothing(price);

const METRIC = { decimals: 2, units: 'metric' as const };
const FLAT: Price = { kind: 'flat', amount: 850, per: 'order' };
const PERCENT: Price = { kind: 'percent', points: 750, min: 500, max: 2_000 };
const BY_GOODS: Price = { kind: 'per-product', otherwise: 560, per: 'line' };
const UNIT: Price = { kind: 'flat', amount: 430, per: 'unit', first: 1_150 };

describe('a price of another kind', () => {
  test('charges about the same, and is never nothing where the first was something', () => {
    const kinds: Price['kind'][] = ['flat', 'steps', 'percent', 'per-product'];
    for (const price of [FLAT, PERCENT, BY_GOODS, UNIT, tiers('weight', [{ from: 0, amount: 640 }])]) {
      for (const kind of kinds) {
        const other = asKind(price, kind);
        expect(other?.kind).toBe(kind);
        const back = other && asKind(other, 'flat');
        expect(back?.kind === 'flat' && back.amount).toBeGreaterThan(0);
      }
    }
    expect(asKind(FLAT, 'percent')).toEqual({ kind: 'percent', points: 1_000, min: 850 });
    expect(asKind(FLAT, 'flat')).toBe(FLAT);
  });

  test('out of a table or a carrier is never nothing by itself', () => {
    const rows = [400, 900, 700].map((amount, at) => ({ from: at, to: at + 1, amount }));
    const table: Price = { kind: 'table', tableId: 't' };
    const tables = [{ id: 't', name: 'T', basis: 'weight' as const, rows }];
    expect(asKind(table, 'flat', tables)).toEqual({ kind: 'flat', amount: 900, per: 'order' });
    for (const price of [table, makeCarrierPrice()])
      expect(chargesNothing(asKind(price, 'flat'))).toBe(false);
  });

  test('that charges nothing is told from one that may charge something', () => {
    expect(chargesNothing({ ...FLAT, amount: 0 })).toBe(true);
    expect(chargesNothing(tiers('weight', [{ from: 0, amount: 0 }]))).toBe(true);
    expect(chargesNothing({ kind: 'percent', points: 0 })).toBe(true);
    expect(chargesNothing({ kind: 'per-product', otherwise: 0, per: 'unit' })).toBe(true);
    const started = { size: 1, amount: 5, count: 'started' as const };
    expect(chargesNothing(tiers('weight', [{ from: 0, amount: 0, each: started }]))).toBe(false);
    for (const price of [FLAT, PERCENT, BY_GOODS, UNIT, makeCarrierPrice()])
      expect(chargesNothing(price)).toBe(false);
  });
});

describe('the phrase of a rate', () => {
  const phrase = (price: Price) => {
    const { price: figure, notes } = ratePhrase(makeRate({ price }), METRIC);
    return [figure, ...notes].join(' · ');
  };

  test.each<[Price, string]>([
    [UNIT, '11.50 · then 4.30 a unit'],
    [{ kind: 'flat', amount: 300, per: 'parcel' }, '3.00 · a parcel'],
    [PERCENT, '7.5 % · by subtotal, at least 5.00, at most 20.00'],
    [BY_GOODS, '5.60 · per product, a line'],
    [{ kind: 'per-product', otherwise: null, per: 'unit' }, 'each its own · per product, a unit'],
    [{ ...tiers('weight', [{ from: 0, amount: 640 }]), per: 'parcel' }, '6.40 · by weight, each parcel'],
  ])('of %j', (price, words) => expect(phrase(price)).toBe(words));
});

describe('a raise', () => {
  const raise = { by: { kind: 'percent', points: 1_000 }, rounding: null } as const;

  test('raises every amount of a price, and no percentage', () => {
    expect(raisedPrice(UNIT, raise)).toEqual({ ...UNIT, amount: 473, first: 1_265 });
    expect(raisedPrice(PERCENT, raise)).toEqual({ ...PERCENT, min: 550, max: 2_200 });
    expect(raisedPrice(BY_GOODS, raise)).toEqual({ ...BY_GOODS, otherwise: 616 });
    expect(raisedPrice({ ...BY_GOODS, otherwise: null }, raise)).toEqual({ ...BY_GOODS, otherwise: null });
  });
});

describe('the line of a price', () => {
  test('grows with each unit, the first at its own price', () => {
    const curve = curveOf(UNIT, 0);
    expect(curve?.basis).toBe(kindOf(UNIT).curveBasis(UNIT));
    expect(curve?.pieces.slice(0, 3).map(({ from, start }) => [from, start])).toEqual([
      [1, 1_150],
      [2, 1_580],
      [3, 2_010],
    ]);
  });

  test('of a percentage is level to its least, rises, and is level from its greatest', () => {
    const pieces = curveOf(PERCENT, 0)?.pieces ?? [];
    expect(pieces.map(({ start, end }) => [start, end])).toEqual([
      [500, 500],
      [500, 2_000],
      [2_000, 2_000],
    ]);
    const ends = fc.option(fc.integer({ min: 0, max: 5_000 }), { nil: undefined });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10_000 }), ends, ends, (points, min, max) => {
        const curve = curveOf(
          {
            kind: 'percent',
            points,
            ...(min === undefined ? {} : { min }),
            ...(max === undefined ? {} : { max }),
          },
          0,
        );
        expect(curve?.pieces.length).toBeGreaterThan(0);
        expect(curve?.pieces.at(-1)?.to).toBe(curve?.end);
        expect(curve?.pieces.every(({ from, to }) => to > from)).toBe(true);
      }),
    );
  });

  test('is none where it counts what has no measure', () => {
    for (const price of [BY_GOODS, { kind: 'flat', amount: 1, per: 'line' } as const])
      expect(curveOf(price, 0)).toBeNull();
  });
});
