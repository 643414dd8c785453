import type { Price, StepsPrice } from '../model/price.ts';
import type { Book } from '../model/book.ts';
import type { Rate } from '../model/rate.ts';
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

const goods = makeCatalogue(
  makeGood('pot', { weight: 3_000, size: { length: 200, width: 200, height: 200 } }),
  makeGood('tin', { price: 400, weight: 500 }),
  makeGood('gift', { price: 900, chargeFree: true }),
);
const lines = [
  { sku: 'pot', quantity: 3 },
  { sku: 'tin', quantity: 2 },
  { sku: 'gift', quantity: 1 },
];
const request = makeRequest({ lines });
const bookOf = (price: Price, rate: Partial<Rate> = {}, store: Partial<Book['store']> = {}): Book =>
  makeBook({ store, rates: [makeRate({ price, ...rate })] });
const chargeOf = (...args: Parameters<typeof bookOf>): number =>
  onlyChoice(quoted(bookOf(...args), request, goods)).charge;
const wordsOf = (...args: Parameters<typeof bookOf>): string[] =>
  onlyChoice(quoted(bookOf(...args), request, goods)).working.map(({ text }) => text);

const BY_COUNT = { packing: { kind: 'by-count', maxUnits: 2 } } as const;

describe('a flat price', () => {
  test('counts units, lines and parcels of the goods charged for', () => {
    const flat = (per: 'order' | 'unit' | 'line' | 'parcel', first?: number): Price => ({
      kind: 'flat',
      amount: 300,
      per,
      ...(first === undefined ? {} : { first }),
    });
    expect(chargeOf(flat('order'))).toBe(300);
    expect(chargeOf(flat('unit'))).toBe(5 * 300);
    expect(chargeOf(flat('line'))).toBe(2 * 300);
    expect(chargeOf(flat('parcel'))).toBe(300);
    expect(chargeOf(flat('parcel'), {}, BY_COUNT)).toBe(3 * 300);
    expect(chargeOf(flat('parcel', 1_000), {}, BY_COUNT)).toBe(1_000 + 2 * 300);
    expect(chargeOf(flat('order', 1_000))).toBe(1_000);
    expect(wordsOf(flat('parcel'), {}, BY_COUNT)).toEqual(['3 parcels at 3.00']);
  });
});

describe('a price by percentage', () => {
  test('is of the subtotal, between its least and its greatest', () => {
    const percent = (part: Partial<Extract<Price, { kind: 'percent' }>> = {}): Price => ({
      kind: 'percent',
      points: 750,
      ...part,
    });
    expect(chargeOf(percent())).toBe(353);
    expect(chargeOf(percent({ min: 500 }))).toBe(500);
    expect(chargeOf(percent({ max: 200 }))).toBe(200);
    expect(wordsOf(percent({ min: 500 }))).toEqual(['7.5 % of the subtotal 47.00, at least 5.00']);
  });
});

describe('a price by goods', () => {
  const byGoods = (otherwise: number | null, per: 'unit' | 'line' = 'unit'): Price => ({
    kind: 'per-product',
    otherwise,
    per,
  });

  test('counts each unit or each line, and leaves out goods that travel free', () => {
    expect(chargeOf(byGoods(150))).toBe(5 * 150);
    expect(chargeOf(byGoods(150, 'line'))).toBe(2 * 150);
    expect(wordsOf(byGoods(150))[0]).toBe('pot, the price of other products: 3 at 1.50');
  });

  test('is withheld where a good has none and the rate has none for others', () => {
    const some = makeCatalogue(makeGood('pot', { shippingPrice: 0 }), ...goods.goods.slice(1));
    expect(onlyWithheld(quoted(bookOf(byGoods(null)), request, some))).toMatchObject({
      code: 'price-unknown',
      text: 'No price for sending: tin.',
      from: { kind: 'good', id: 'tin' },
    });
  });
});

describe('tiers per parcel', () => {
  const perParcel: StepsPrice = {
    ...tiers('weight', [
      { from: 0, amount: 500 },
      { from: 3_000, amount: 900 },
    ]),
    per: 'parcel',
  };

  test('price each parcel for itself and add', () => {
    expect(chargeOf(perParcel)).toBe(900);
    const byWeight = { packing: { kind: 'by-weight', maxWeight: 3_500 } } as const;
    expect(chargeOf(perParcel, {}, byWeight)).toBe(3 * 900);
    expect(wordsOf(perParcel, {}, byWeight)).toEqual([
      '2 parcels alike, each: Weight 3.5 kg, from 3 kg: 9.00',
      'A parcel: Weight 3 kg, from 3 kg: 9.00',
    ]);
  });

  test('by units and by volume look at what a parcel holds', () => {
    const byUnits: StepsPrice = {
      ...tiers('units', [
        { from: 1, amount: 100 },
        { from: 2, amount: 160 },
      ]),
      per: 'parcel',
    };
    expect(chargeOf(byUnits, {}, BY_COUNT)).toBe(160 + 160 + 100);
    const byVolume: StepsPrice = { ...tiers('volume', [{ from: 0, amount: 100 }]), per: 'parcel' };
    expect(onlyWithheld(quoted(bookOf(byVolume), request, goods)).code).toBe('size-unknown');
  });

  test('are withheld where one unit packs into no parcel, for the handling per parcel too', () => {
    const small = { packing: { kind: 'even', maxWeight: 1_000 } } as const;
    for (const book of [
      bookOf(perParcel, {}, small),
      bookOf({ kind: 'flat', amount: 5, per: 'order' }, { handling: { amount: 100, per: 'parcel' } }, small),
    ]) {
      expect(onlyWithheld(quoted(book, request, goods))).toMatchObject({
        code: 'does-not-pack',
        text: 'pot weighs 3 kg; a parcel may weigh 1 kg.',
        from: { kind: 'good', id: 'pot' },
      });
    }
  });
});
