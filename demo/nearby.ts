import type { DeliveryArea, PickupPoint } from '../core/model/delivery.ts';
import type { OpeningHours } from '../core/model/time.ts';
import type { Weekday } from '../core/model/unit.ts';

const WEEK: Weekday[] = [1, 2, 3, 4, 5, 6];
const hours = (days: Weekday[], from: string, to: string): OpeningHours[] =>
  days.map((day) => ({ day, from, to }));

const crate = { name: 'Crate, returnable', amount: 75 };

/** Where the made-up shop delivers by itself: the peninsula by electric cart, the rest of the harbour by van. */
export const demoAreas: DeliveryArea[] = [
  {
    id: 'peninsula',
    name: 'Peninsula',
    active: true,
    locationId: 'nursery',
    covers: { kind: 'postal', country: 'CA', patterns: ['B3H*', 'B3J*', 'B3K*', 'B3L*'] },
    price: { kind: 'flat', amount: 550, per: 'order' },
    methods: [
      {
        id: 'today',
        name: 'Electric cart, today',
        add: 250,
        addStays: true,
        timing: {
          kind: 'slot',
          hours: hours(WEEK, '14:30', '17:30'),
          minutes: 60,
          horizonDays: 0,
          capacity: 3,
        },
        limits: { weight: { max: 40_000 } },
        withinDays: 0,
      },
      {
        id: 'cart',
        name: 'Electric cart',
        add: 0,
        timing: {
          kind: 'slot',
          hours: [...hours(WEEK, '10:00', '12:00'), ...hours([1, 2, 3, 4, 5], '15:00', '18:00')],
          minutes: 60,
          horizonDays: 10,
          capacity: 3,
        },
        limits: { weight: { max: 40_000 } },
      },
    ],
    preparation: { kind: 'cut-off', cutoff: '11:00', readyAt: '14:00', days: 0 },
    freeFrom: 7_500,
    serviceFee: crate,
    instructions: 'We ring twice. The crate goes back with the next order.',
    taxable: true,
  },
  {
    id: 'harbour-ring',
    name: 'Harbour ring',
    active: true,
    locationId: 'nursery',
    covers: { kind: 'radius', metres: 18_000 },
    price: {
      kind: 'steps',
      basis: 'distance',
      per: 'order',
      steps: [
        { from: 0, amount: 790 },
        { from: 6_000, amount: 1_040 },
        { from: 12_000, amount: 1_380 },
      ],
    },
    methods: [
      {
        id: 'van',
        name: 'Van',
        add: 0,
        timing: { kind: 'day', hours: hours([2, 4, 6], '12:30', '17:00'), horizonDays: 14, capacity: 12 },
      },
    ],
    preparation: { kind: 'working-days', days: 1 },
    minSubtotal: 2_000,
    freeFrom: 7_500,
    serviceFee: crate,
    limits: { weight: { max: 400_000 } },
    taxable: true,
  },
];

/** Where its customers collect. */
export const demoPickups: PickupPoint[] = [
  {
    id: 'nursery-yard',
    name: 'Collect at the Nursery',
    active: true,
    locationId: 'nursery',
    charge: 0,
    maxDistance: 80_000,
    preparation: { kind: 'open-minutes', minutes: 100 },
    timing: { kind: 'slot', hours: hours(WEEK, '09:00', '17:30'), minutes: 30, horizonDays: 7, capacity: 4 },
    limits: { weight: { max: 60_000 } },
    kerbside: true,
    instructions:
      'Come in by **Kelp Row**, not by the lane.\n\n1. Park in a bay marked *Thistle*.\n2. Ring the brass bell; we bring the order out.\n\nHave the order number ready.',
    taxable: true,
  },
  {
    id: 'market-stall',
    name: 'Collect at the Market Stall',
    active: true,
    locationId: 'market-stall',
    charge: 0,
    maxDistance: 80_000,
    preparation: { kind: 'working-days', days: 0 },
    timing: { kind: 'day', hours: hours([6], '09:00', '13:00'), horizonDays: 21, capacity: 20 },
    kerbside: false,
    instructions: 'Stall 7 in the Thrift Hall, by the *north* door.',
    limits: { weight: { max: 15_000 } },
    closedDates: ['2026-12-26', '2027-01-02'],
    taxable: true,
  },
];
