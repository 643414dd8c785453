import fc from 'fast-check';
import type { Adjustment } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { HandlingGroup } from '../model/good.ts';
import type { Price } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { compile } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import {
  makeBook,
  makeCatalogue,
  makeGood,
  makeGroup,
  makeRate,
  makeRequest,
  tiers,
} from '../testing/book.ts';
import { isForAll } from './for-all.ts';
import { placeClasses } from './place-classes.ts';

const SIDES = { length: 200, width: 150, height: 100 };
const POT = makeGood('pot', { weight: 700, size: SIDES, groupIds: ['pots'] });
const CANE = makeGood('cane', { weight: 300, size: SIDES, packsAlone: true });
const LEAFLET = {
  id: 'leaflet',
  name: 'Leaflet',
  basis: 'weight' as const,
  rows: [
    { country: 'CA', from: 0, to: 2_000, amount: 900 },
    { country: 'CA', from: 2_000, amount: 1_400 },
  ],
};
const SHORT = { ...LEAFLET, id: 'short', rows: LEAFLET.rows.slice(0, 1) };

const prices: readonly Price[] = [
  { kind: 'flat', amount: 850, per: 'order' },
  { kind: 'flat', amount: 850, per: 'parcel' },
  { kind: 'percent', points: 750 },
  { kind: 'per-product', otherwise: 560, per: 'unit' },
  { kind: 'per-product', otherwise: null, per: 'unit' },
  tiers('weight', [{ from: 0, amount: 850 }]),
  tiers('weight', [{ from: 500, amount: 850 }]),
  tiers('volume', [{ from: 0, amount: 850 }], 9_000_000),
  tiers('distance', [{ from: 0, amount: 850 }]),
  { kind: 'table', tableId: 'leaflet' },
  { kind: 'table', tableId: 'short' },
];
const always: Adjustment = {
  id: 'frost',
  name: 'Frost',
  active: true,
  when: [],
  to: { kinds: ['shipping'] },
  effect: { do: 'withhold', message: '' },
};
const adjustments: readonly Adjustment[][] = [
  [],
  [always],
  [{ ...always, active: false }],
  [{ ...always, to: { kinds: ['pickup'] } }],
  [{ ...always, effect: { do: 'set', amount: 500 } }],
  [{ ...always, when: [{ test: 'measure', of: 'weight', max: 900 }], effect: { do: 'free' } }],
];
const groups: readonly HandlingGroup[][] = [
  [],
  [makeGroup('pots', { shipping: 'any' })],
  [makeGroup('pots', { shipping: 'none' })],
  [makeGroup('pots', { shipping: ['parcel'] })],
  [makeGroup('pots', { shipping: 'any', neverZones: ['country'] })],
  [makeGroup('pots', { shipping: 'any', onlyZones: ['elsewhere'] })],
];
const edges: readonly Partial<Rate>[] = [
  {},
  { limits: { weight: { max: 1_000 } } },
  { limits: {} },
  { handling: { amount: 130, per: 'parcel' } },
  { channels: ['counter'] },
];
const packings: readonly Book['store']['packing'][] = [
  { kind: 'single' },
  { kind: 'by-weight', maxWeight: 800 },
];
const goods: readonly Good[][] = [
  [POT, CANE],
  [{ ...POT, weight: undefined }, CANE],
  [POT, { ...CANE, size: undefined }],
];

const books = fc.record({
  price: fc.constantFrom(...prices),
  adjustments: fc.constantFrom(...adjustments),
  groups: fc.constantFrom(...groups),
  edge: fc.constantFrom(...edges),
  packing: fc.constantFrom(...packings),
  goods: fc.constantFrom(...goods),
});
type Drawn = typeof books extends fc.Arbitrary<infer T> ? T : never;

const shopOf = ({ price, edge, packing, goods: catalogue, ...part }: Drawn) => {
  const book = makeBook({ rates: [makeRate({ price, ...edge })], rateTables: [LEAFLET, SHORT], ...part });
  return compile({ ...book, store: { ...book.store, packing } }, makeCatalogue(...catalogue));
};
const quantity = fc.integer({ min: 0, max: 6 });

test('a rate that is said to be for all is offered for every order to the place', () => {
  let forAll = 0;
  let offered = 0;
  fc.assert(
    fc.property(books, quantity, quantity, (drawn, pots, canes) => {
      const shop = shopOf(drawn);
      const [rate] = shop.book.rates;
      const place = placeClasses(shop).classes.find(({ zone }) => zone !== null);
      if (!rate || !place) throw new Error('the book has a rate and a zone');
      const lines = [
        { sku: 'pot', quantity: pots },
        { sku: 'cane', quantity: canes },
      ].filter((line) => line.quantity > 0);
      const request = makeRequest({ destination: place.destination, lines });
      if (lines.length === 0 || requestFaults(shop, request).length > 0) return;
      const isOffered = quote(shop, request).choices.some(({ kind }) => kind === 'shipping');
      if (isOffered) offered += 1;
      if (!isForAll(shop, rate, place)) return;
      forAll += 1;
      expect(isOffered).toBe(true);
    }),
    { numRuns: 1_500 },
  );
  expect([forAll > 50, offered > forAll]).toEqual([true, true]);
});
