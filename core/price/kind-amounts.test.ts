import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Price, StepsPrice } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
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

describe('what each kind charges for an order of several parcels', () => {
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
    quoted(
      makeBook({ rates: [makeRate({ price })] }),
      makeRequest({ lines: LINES }),
      makeCatalogue(...goods),
    );
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
});

describe('what each kind charges, and says in the working', () => {
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

  describe('a price per product', () => {
    const byGoods = (otherwise: number | null, per: 'unit' | 'line' = 'unit'): Price => ({
      kind: 'per-product',
      otherwise,
      per,
    });

    test('counts each unit or each line, and leaves out products that ship free', () => {
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

  describe('steps per parcel', () => {
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
        bookOf(
          { kind: 'flat', amount: 5, per: 'order' },
          { handling: { amount: 100, per: 'parcel' } },
          small,
        ),
      ]) {
        expect(onlyWithheld(quoted(book, request, goods))).toMatchObject({
          code: 'does-not-pack',
          text: 'pot weighs 3 kg; a parcel may weigh 1 kg.',
          from: { kind: 'good', id: 'pot' },
        });
      }
    });
  });
});
