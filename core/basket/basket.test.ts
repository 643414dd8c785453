import fc from 'fast-check';
import type { Good } from '../model/good.ts';
import { makeGood, makeRequest } from '../testing/book.ts';
import { limitRefusal, activeLimits } from './limits.ts';
import { measureBasket } from './basket.ts';

const goodsOf = (...goods: Good[]): Map<string, Good> => new Map(goods.map((good) => [good.sku, good]));
const SIZE = { length: 300, width: 200, height: 100 };
const GOODS = goodsOf(
  makeGood('pot', { weight: 2_000, size: SIZE, price: 2_500 }),
  makeGood('leaflet', {
    weight: 40,
    chargeFree: true,
    price: 0,
    size: { length: 210, width: 148, height: 1 },
  }),
  makeGood('card', { fulfilment: 'digital', weight: undefined, price: 5_000 }),
  makeGood('urn', { weight: undefined }),
);
const basketOf = (lines: Parameters<typeof makeRequest>[0] & object, defaultWeight?: number) =>
  measureBasket(GOODS, defaultWeight, makeRequest(lines)).basket;

describe('a basket', () => {
  test('measures what travels, and of that what is charged for', () => {
    const lines = [
      { sku: 'pot', quantity: 2 },
      { sku: 'leaflet', quantity: 3 },
      { sku: 'card', quantity: 1 },
    ];
    const basket = basketOf({ lines, discount: 500 });
    expect(basket.subtotal).toBe(2 * 2_500 + 5_000 - 500);
    expect(basket.travels).toMatchObject({
      units: 5,
      weight: { value: 4_120, unknown: [] },
      longestSide: { value: 300 },
    });
    expect(basket.charged).toMatchObject({
      units: 2,
      weight: { value: 4_000 },
      volume: { value: 2 * 300 * 200 * 100 },
    });
  });

  test('takes a line’s own fields over the good’s, and leaves the good as it is', () => {
    const basket = basketOf({ lines: [{ sku: 'pot', quantity: 1, weight: 9, price: 1, name: 'Sample' }] });
    expect(basket.lines[0]?.good).toMatchObject({ name: 'Sample', weight: 9, price: 1, size: SIZE });
    expect(GOODS.get('pot')).toMatchObject({ name: 'pot', weight: 2_000 });
  });

  test('takes a field that is there and says nothing as not there', () => {
    const basket = basketOf({ lines: [{ sku: 'pot', quantity: 1, weight: undefined }] });
    expect(basket.travels.weight).toEqual({ value: 2_000, unknown: [] });
  });

  test('names what has no weight or size; a default stands for the weight and is told', () => {
    const lines = [{ sku: 'urn', quantity: 2 }];
    expect(basketOf({ lines }).travels.weight.unknown.map(({ good }) => good.sku)).toEqual(['urn']);
    const assumed = basketOf({ lines }, 750);
    expect(assumed.travels.weight).toEqual({ value: 1_500, unknown: [] });
    expect(assumed.assumed.map(({ good }) => good.sku)).toEqual(['urn']);
    expect(assumed.travels.volume.unknown).toHaveLength(1);
  });

  test('adds up like its lines, in whatever order', () => {
    const line = fc.record({
      sku: fc.constantFrom('pot', 'leaflet', 'card'),
      quantity: fc.integer({ min: 1, max: 9 }),
    });
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (lines) => {
        const whole = basketOf({ lines });
        const parts = lines.map((one) => basketOf({ lines: [one] }));
        const sum = (figure: (basket: typeof whole) => number) =>
          parts.reduce((total, part) => total + figure(part), 0);
        expect(whole.subtotal).toBe(sum((part) => part.subtotal));
        expect(whole.travels.weight.value).toBe(sum((part) => part.travels.weight.value));
        expect(whole.charged.units).toBe(sum((part) => part.charged.units));
        expect(basketOf({ lines: [...lines].reverse() }).charged).toEqual(whole.charged);
      }),
    );
  });
});

describe('limits', () => {
  const { travels } = basketOf({ lines: [{ sku: 'pot', quantity: 2 }] });
  const refusal = (limits: Parameters<typeof activeLimits>[0], subtotal = 5_000) =>
    limitRefusal(activeLimits(limits), travels, subtotal)?.say;

  test('include both ends', () => {
    expect(
      refusal({ weight: { min: 4_000, max: 4_000 }, units: { min: 2, max: 2 }, subtotal: { max: 5_000 } }),
    ).toBeUndefined();
    expect(refusal({ longestSide: { max: 300 }, volume: { min: 12_000_000 } })).toBeUndefined();
  });

  test('are looked at in their order, whatever the order they are written in', () => {
    expect(refusal({ longestSide: { max: 1 }, units: { max: 1 }, weight: { max: 1 } })).toEqual({
      code: 'above-limit',
      measure: 'weight',
      value: 4_000,
      limit: 1,
    });
    expect(refusal({ volume: { min: 13_000_000 }, units: { min: 3 } })).toMatchObject({
      code: 'below-limit',
      measure: 'units',
    });
    expect(refusal({ longestSide: { max: 299 } })).toMatchObject({ measure: 'longestSide', value: 300 });
  });

  test('that are empty are none', () => {
    expect(activeLimits({ weight: {}, longestSide: {} })).toEqual([]);
    expect(activeLimits(undefined)).toEqual([]);
  });

  test('that need what is not known refuse by naming it', () => {
    const urn = basketOf({ lines: [{ sku: 'urn', quantity: 1 }] }).travels;
    expect(limitRefusal(activeLimits({ weight: { max: 1 } }), urn, 0)).toMatchObject({
      code: 'weight-unknown',
      from: { kind: 'good', id: 'urn' },
    });
    expect(limitRefusal(activeLimits({ volume: { max: 1 } }), urn, 0)).toMatchObject({
      code: 'size-unknown',
      from: { kind: 'good', id: 'urn' },
    });
    expect(limitRefusal(activeLimits({ units: { max: 1 } }), urn, 0)).toBeNull();
  });
});
