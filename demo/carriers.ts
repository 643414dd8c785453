import type { CarrierAccount } from '../core/model/carrier.ts';
import type { Box } from '../core/model/pack.ts';
import type { CarrierPrice } from '../core/model/price.ts';

const box = (
  id: string,
  name: string,
  [length, width, height]: [number, number, number],
  maxWeight: number,
  tare: number,
  part: Partial<Box> = {},
): Box => ({ id, name, inside: { length, width, height }, maxWeight, tare, ...part });

const gannets = (code: string): Box['carrierBox'] => ({ carrier: 'gannet', code });

/** The boxes on the packing table, and two of a carrier's own. */
export const demoBoxes: Box[] = [
  box('envelope', 'Card envelope', [240, 165, 18], 400, 14, { cost: 22 }),
  box('small', 'Small carton', [250, 200, 120], 5_000, 110, { cost: 58 }),
  box('medium', 'Medium carton', [400, 300, 300], 15_000, 320, { cost: 125 }),
  box('twin', 'Twin pot carton', [565, 290, 280], 20_000, 460, { cost: 190 }),
  box('large', 'Large carton', [560, 520, 540], 28_000, 780, { cost: 290 }),
  box('plant', 'Plant carton, upright', [300, 300, 920], 12_000, 540, { cost: 340 }),
  box('tube', 'Long tube', [1_850, 150, 150], 15_000, 610, { cost: 410 }),
  box('flat', 'Flat crate', [1_650, 640, 140], 25_000, 2_400, { cost: 880 }),
  box('gannet-s', 'Gannet box, small', [280, 190, 70], 5_000, 90, { carrierBox: gannets('GB-S') }),
  box('gannet-m', 'Gannet box, medium', [360, 260, 140], 10_000, 180, { carrierBox: gannets('GB-M') }),
  box('pallet', 'Pallet, half height', [1_200, 1_000, 1_000], 400_000, 22_000),
];

const OWN = ['envelope', 'small', 'medium', 'twin', 'large', 'plant', 'tube', 'flat'];
export const demoPacking = { kind: 'boxes' as const, boxIds: OWN };

const account = (id: string, name: string, part: Partial<CarrierAccount>): CarrierAccount => ({
  id,
  name,
  carrier: id,
  mode: 'live',
  credentials: { kind: 'shared' },
  locationId: 'nursery',
  handover: 'collected',
  address: 'as-given',
  packing: demoPacking,
  books: true,
  timeoutMs: 2_000,
  ...part,
});

/** The carriers that the made-up shop has accounts with. */
export const demoCarriers: CarrierAccount[] = [
  account('fulmar', 'Fulmar Parcel', { address: 'residential' }),
  account('gannet', 'Gannet Post', {
    handover: 'dropped-off',
    packing: { kind: 'boxes', boxIds: [...OWN, 'gannet-s', 'gannet-m'] },
  }),
  account('cairn', 'Cairn Freight', {
    mode: 'sandbox',
    books: false,
    insure: 10_000,
    packing: { kind: 'boxes', boxIds: ['tube', 'flat', 'pallet'] },
    timeoutMs: 3_000,
  }),
];

const withFallback = (
  accountId: string,
  codes: string[],
  amount: number | null,
  part: Partial<CarrierPrice> = {},
): CarrierPrice => ({
  kind: 'carrier',
  accountId,
  services: codes.map((code) => ({ code })),
  show: 'all',
  onError: amount === null ? 'withhold' : { amount, per: 'order' },
  onNone: 'withhold',
  ...part,
});

/** Two days or overnight by Fulmar, a little dearer than it asks, and a price for when it does not answer. */
export const byFulmar = (fallback: number): CarrierPrice =>
  withFallback('fulmar', [], fallback, {
    services: [
      { code: 'two-day', label: 'Express, two days', change: { points: 500 } },
      { code: 'overnight', label: 'Express, overnight', change: { points: 500, amount: 100 } },
    ],
  });

/** The post, cheapest of its two, for parcels over the border. */
export const byGannet = (fallback: number): CarrierPrice =>
  withFallback('gannet', ['parcel', 'priority'], fallback, { show: 'cheapest' });

/** A pallet as the haulier prices it; withheld where it does not answer. */
export const byCairn: CarrierPrice = withFallback('cairn', ['pallet'], null);
