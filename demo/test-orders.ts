import type { Destination } from '../core/model/place.ts';
import type { TestOrder } from '../core/model/test-order.ts';
import { to } from './places.ts';

const testOrder = (
  id: string,
  name: string,
  destination: Destination | null,
  goods: Record<string, number>,
  expects: TestOrder['expects'],
  part: Partial<TestOrder> = {},
): TestOrder => ({
  id,
  name,
  request: {
    destination,
    lines: Object.entries(goods).map(([sku, quantity]) => ({ sku, quantity })),
    placedAt: '2026-11-24T10:15:00-04:00',
  },
  expects,
  ...part,
});

/** A test order whose order says more of who places it. */
const ordered = (one: TestOrder, part: Partial<TestOrder['request']>): TestOrder => ({
  ...one,
  request: { ...one.request, ...part },
});

const offered = (choiceId: string, charge: number): TestOrder['expects'][number] => ({
  kind: 'offered',
  choiceId,
  charge,
});
const withheld = (
  id: string,
  code: Extract<TestOrder['expects'][number], { kind: 'withheld' }>['code'],
): TestOrder['expects'][number] => ({
  kind: 'withheld',
  id,
  code,
});

/** The headings under which the test orders stand. */
const GROUPS: [group: string, ids: string[]][] = [
  [
    'Across Canada',
    ['seeds-toronto', 'garden-vancouver', 'urn-iqaluit', 'fly-in', 'heather-winnipeg', 'pallet-victoria'],
  ],
  ['Abroad', ['seeds-utrecht', 'heather-alaska']],
  ['Nearby', ['soil-north-end', 'too-late-today', 'van-cole-harbour', 'soil-sydney', 'in-two-parts']],
  ['Trade', ['trade-sydney', 'trade-ottawa']],
];

const grouped = (one: TestOrder): TestOrder => {
  const group = GROUPS.find(([, ids]) => ids.includes(one.id))?.[0];
  return group === undefined ? one : { ...one, group };
};

const testOrders: TestOrder[] = [
  testOrder(
    'two-pots',
    'Two pots to Antigonish',
    to('CA', 'CA-NS', 'B2G 2L2', 'Antigonish'),
    { 'pot-26': 2 },
    [offered('parcel-maritimes', 1_730), { kind: 'cheapest', choiceId: 'parcel-maritimes' }],
    { pinned: true },
  ),
  testOrder(
    'seeds-toronto',
    'Seeds to Toronto',
    to('CA', 'CA-ON', 'M5V 1J1', 'Toronto'),
    { 'seed-lupin': 4, 'seed-kale': 2 },
    [offered('seed-mail-central', 210), offered('parcel-central', 1_230)],
  ),
  testOrder(
    'urn-iqaluit',
    'An urn to Iqaluit',
    to('CA', 'CA-NU', 'X0A 0H0', 'Iqaluit'),
    { 'pot-urn': 1 },
    [withheld('parcel', 'no-rate'), { kind: 'how-many', of: 'shipping', max: 0 }],
    { pinned: true },
  ),
  testOrder(
    'nearly-free',
    'Nearly free to Charlottetown',
    to('CA', 'CA-PE', 'C1A 4P3', 'Charlottetown'),
    { 'bulb-tulip': 2, trowel: 1, labels: 1 },
    [offered('parcel-maritimes', 1_280)],
  ),
  testOrder(
    'garden-vancouver',
    'A garden to Vancouver',
    to('CA', 'CA-BC', 'V6B 1A1', 'Vancouver'),
    { 'pot-26': 2, 'bulb-daffodil': 4, 'can-6': 1 },
    [offered('parcel-west', 2_570)],
  ),
  testOrder(
    'canes-moncton',
    'Canes and an urn to Moncton',
    to('CA', 'CA-NB', 'E1C 1A1', 'Moncton'),
    { 'cane-bamboo': 2, 'pot-urn': 2 },
    [offered('pallet-maritimes', 8_480), withheld('parcel-maritimes', 'goods-not-allowed')],
  ),
  testOrder(
    'planter-halifax',
    'A planter of unknown weight',
    to('CA', 'CA-NS', 'B3J 1S9', 'Halifax'),
    { 'pot-salt': 1 },
    [withheld('parcel-maritimes', 'weight-unknown')],
  ),
  testOrder(
    'seeds-utrecht',
    'Seeds to Utrecht',
    to('NL', null, '3511 AB', 'Utrecht'),
    { 'seed-sea-thrift': 3 },
    [offered('seed-mail-europe', 480)],
  ),
  testOrder(
    'heather-alaska',
    'Heather to Alaska',
    to('US', 'US-AK', '99615', 'Kodiak'),
    { 'plant-heather': 2 },
    [{ kind: 'how-many', of: 'shipping', max: 0 }],
  ),
  testOrder(
    'fly-in',
    'Seeds and snips to Kuujjuaq',
    to('CA', 'CA-QC', 'J0M 1C0', 'Kuujjuaq'),
    { snips: 1, 'seed-poppy': 3 },
    [offered('express-north', 4_680)],
  ),
  testOrder(
    'heather-winnipeg',
    'Heather to Winnipeg in the frost',
    to('CA', 'CA-MB', 'R3C 0V8', 'Winnipeg'),
    { 'plant-heather': 3, 'seed-poppy': 2 },
    [withheld('parcel-west', 'adjustment'), { kind: 'how-many', of: 'shipping', max: 0 }],
  ),
  ordered(
    testOrder(
      'trade-sydney',
      'A garden firm in Sydney',
      to('CA', 'CA-NS', 'B1P 6K1', 'Sydney'),
      { 'pot-18': 3 },
      [offered('parcel-maritimes', 0)],
    ),
    { customer: 'trade' },
  ),
  ordered(
    testOrder(
      'trade-ottawa',
      'A garden firm in Ottawa',
      to('CA', 'CA-ON', 'K1P 1J1', 'Ottawa'),
      { 'pot-34': 1 },
      [offered('parcel-central', 2_898)],
    ),
    { customer: 'trade' },
  ),
  testOrder(
    'pallet-victoria',
    'Urns to Victoria',
    to('CA', 'CA-BC', 'V8W 1A1', 'Victoria'),
    { 'pot-urn': 4 },
    [offered('pallet-west', 28_712)],
  ),
  testOrder(
    'soil-north-end',
    'Soil to the North End',
    to('CA', 'CA-NS', 'B3K 1V5', 'Halifax'),
    { 'soil-20': 3 },
    [
      offered('peninsula:cart', 625),
      offered('peninsula:today', 875),
      offered('nursery-yard', 0),
      withheld('market-stall', 'above-limit'),
    ],
  ),
  ordered(
    testOrder(
      'too-late-today',
      'Too late for the cart today',
      to('CA', 'CA-NS', 'B3H 2Y9', 'Halifax'),
      { 'plant-heather': 4, trowel: 1 },
      [withheld('peninsula:today', 'no-time-left'), offered('peninsula:cart', 625)],
    ),
    { placedAt: '2026-11-24T11:00:00-04:00' },
  ),
  testOrder(
    'van-cole-harbour',
    'By van to Cole Harbour',
    to('CA', 'CA-NS', 'B2V 1B4', 'Dartmouth'),
    { 'pot-26': 1, 'plant-heather': 2 },
    [offered('harbour-ring:van', 1_115), withheld('peninsula:cart', 'outside-area')],
  ),
  testOrder('soil-sydney', 'Soil to Sydney', to('CA', 'CA-NS', 'B1P 6K1', 'Sydney'), { 'soil-20': 1 }, [
    { kind: 'how-many', of: 'shipping', max: 0 },
    withheld('harbour-ring:van', 'outside-area'),
    withheld('nursery-yard', 'too-far'),
  ]),
  testOrder(
    'in-two-parts',
    'Canes and much soil, in two parts',
    to('CA', 'CA-NS', 'B2W 3T7', 'Dartmouth'),
    { 'cane-bamboo': 2, 'soil-20': 7 },
    [
      { kind: 'how-many', of: 'shipping', max: 0 },
      withheld('harbour-ring:van', 'goods-not-allowed'),
      withheld('nursery-yard', 'above-limit'),
    ],
  ),
  testOrder('gift-card', 'A gift card', null, { 'gift-card': 1 }, [offered('nothing-to-ship', 0)]),
];

/** Test orders of the made-up shop, each with what it should give, under their headings. */
export const demoTestOrders: TestOrder[] = testOrders.map(grouped);
