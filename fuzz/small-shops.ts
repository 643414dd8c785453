import type { Shop } from '../core/formats/shop-file.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeYard,
  makeZone,
  tiers,
} from '../core/testing/book.ts';
import type { TestOrder } from '../core/model/test-order.ts';

const testOrder = (id: string, part: Partial<TestOrder['request']> = {}): TestOrder => ({
  id,
  name: id,
  request: makeRequest(part),
  expects: [],
});
const catalogue = makeCatalogue(
  makeGood('pot', { size: { length: 260, width: 260, height: 240 } }),
  makeGood('seed', { weight: 12, price: 350 }),
  makeGood('voucher', { fulfilment: 'digital' }),
);
const testOrders = [
  testOrder('near'),
  testOrder('two', {
    lines: [
      { sku: 'pot', quantity: 2 },
      { sku: 'seed', quantity: 40 },
    ],
    discount: 200,
  }),
  testOrder('far', { destination: { country: 'US', subdivision: 'US-ME', postalCode: '04101' } }),
  testOrder('nowhere', { destination: null }),
];
const zones = [
  makeZone('country'),
  makeZone('east', { includes: [{ country: 'CA', postal: ['B3H*', 'B3J 1A1 to B3K 9Z9'] }] }),
  makeZone('rest', { includes: [], remainder: true }),
];
const steps = tiers(
  'weight',
  [
    { from: 0, amount: 600 },
    { from: 2_000, amount: 900 },
  ],
  30_000,
);

/** Small shops of each kind of rule, so that an audit of each takes little. */
export const smallShops: readonly Shop[] = [
  { book: makeBook(), catalogue, testOrders },
  {
    book: makeBook({
      zones,
      rates: [
        makeRate({ price: steps, freeFrom: 6_000, limits: { weight: { max: 30_000 } } }),
        makeRate({
          id: 'parcel-east',
          zoneId: 'east',
          price: { kind: 'flat', amount: 500, per: 'unit' },
        }),
        makeRate({ id: 'parcel-rest', zoneId: 'rest', price: { kind: 'percent', points: 900, min: 700 } }),
      ],
      adjustments: [
        {
          id: 'heavy',
          name: 'Heavy',
          active: true,
          when: [{ test: 'measure', of: 'weight', min: 900 }],
          to: {},
          effect: { do: 'add', amount: 300, per: 'order' },
        },
        {
          id: 'less',
          name: 'Less',
          active: true,
          when: [],
          to: {},
          effect: { do: 'percent', points: -1_000, of: 'charge' },
        },
      ],
    }),
    catalogue,
    testOrders,
  },
  {
    book: makeBook({
      locations: [makeYard()],
      carriers: [makeAccount({ packing: { kind: 'by-weight', maxWeight: 2_000 } })],
      rates: [makeRate({ price: makeCarrierPrice({ onError: { amount: 1_500, per: 'order' } }) })],
    }),
    catalogue,
    testOrders,
  },
];
