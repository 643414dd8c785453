import type { PostalRule } from '../core/model/delivery.ts';
import type { RateTable, TableRow } from '../core/model/price.ts';
import type { PaymentOption } from '../core/model/tax.ts';

const KG = 1_000;
const STEPS = [0, 50, 100, 200, 300];

/** What a pallet costs by weight in one place; each step is dearer by a part of the first. */
const pallet = (place: Pick<TableRow, 'subdivision' | 'postal'>, first: number, more: number): TableRow[] =>
  STEPS.map((from, at) => {
    const to = STEPS[at + 1];
    return {
      country: 'CA',
      ...place,
      from: from * KG,
      ...(to === undefined ? {} : { to: to * KG }),
      amount: first + at * more,
    };
  });

/** What the made-up haulier asks for a pallet in the West: by province, and more across the water. */
export const demoTables: RateTable[] = [
  {
    id: 'pallets-west',
    name: 'Pallets in the West',
    basis: 'weight',
    rows: [
      ...pallet({ subdivision: 'CA-MB' }, 14_200, 2_350),
      ...pallet({ subdivision: 'CA-SK' }, 15_100, 2_500),
      ...pallet({ subdivision: 'CA-AB' }, 15_800, 2_650),
      ...pallet({ subdivision: 'CA-BC' }, 16_900, 2_900),
      ...pallet({ postal: 'V8*' }, 21_400, 3_300),
      ...pallet({ postal: 'V9*' }, 21_900, 3_300),
    ],
  },
];

const line = (pattern: string, days: number | null, cashOnDelivery: boolean): PostalRule => ({
  country: 'CA',
  pattern,
  served: true,
  cashOnDelivery,
  ...(days === null ? {} : { days }),
});

/** Codes of which the made-up shop knows more: near ones that can pay at the door, far ones that take long. */
export const demoPostalList: PostalRule[] = [
  ...['B3H*', 'B3J*', 'B3K*', 'B3L*', 'B3M*', 'B2Y*', 'B2W*'].map((pattern) => line(pattern, 1, true)),
  ...['B1P*', 'B2G*', 'B2N*'].map((pattern) => line(pattern, null, true)),
  ...['X0A*', 'X0B*', 'X0C*'].map((pattern) => line(pattern, 14, false)),
  { country: 'CA', pattern: 'B3S 0B9', served: false, cashOnDelivery: false },
];

/** How orders of the made-up shop are paid. */
export const demoPayments: PaymentOption[] = [
  { id: 'card', name: 'By card', kind: 'online', for: ['shipping', 'delivery', 'pickup', 'nothing-to-ship'] },
  {
    id: 'at-the-door',
    name: 'At the door',
    kind: 'on-delivery',
    for: ['shipping', 'delivery'],
    maxTotal: 25_000,
    countries: ['CA'],
    instructions: 'By card or in cash, to whoever brings it.',
  },
  { id: 'at-the-nursery', name: 'When collecting', kind: 'at-pickup', for: ['pickup'] },
];
