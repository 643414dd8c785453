import { makeAccount, makeArea, makeBook, makeCarrierPrice, makePickup, makeRate } from '../testing/book.ts';
import { makeCatalogue, makeYard, makeZone } from '../testing/book.ts';
import { differences } from './differences.ts';

type Part = Parameters<typeof makeBook>[0];

const said = (before: Part, after: Part): string[] => {
  const catalogue = makeCatalogue();
  return differences({ book: makeBook(before), catalogue }, { book: makeBook(after), catalogue }).map(
    ({ text }) => text,
  );
};

const hours = [{ day: 1 as const, from: '09:00', to: '17:00' }];

const PAIRS: [what: string, before: Part, after: Part, told: string][] = [
  [
    'preparation of a location',
    { locations: [makeYard({ preparation: { kind: 'open-minutes', minutes: 90 } })] },
    { locations: [makeYard({ preparation: { kind: 'working-days', days: 2 } })] },
    'Yard: preparation: 90 open minutes becomes 2 working days.',
  ],
  [
    'preparation of a pickup point',
    { pickups: [makePickup({ preparation: { kind: 'open-minutes', minutes: 90 } })] },
    {
      pickups: [makePickup({ preparation: { kind: 'cut-off', cutoff: '13:00', readyAt: '15:30', days: 0 } })],
    },
    'preparation: 90 open minutes becomes orders before 13:00 ready the same day at 15:30.',
  ],
  [
    'hours and closed dates',
    { locations: [makeYard({ hours: [], closedDates: ['2026-12-25'] })] },
    { locations: [makeYard({ hours, closedDates: ['2026-12-26'] })] },
    'Yard: hours: closed becomes Mon 09:00–17:00; closed dates: 2026-12-26 added, 2026-12-25 removed.',
  ],
  [
    'a carrier’s service',
    { carriers: [makeAccount()], rates: [makeRate({ price: makeCarrierPrice() })] },
    {
      carriers: [makeAccount()],
      rates: [
        makeRate({ price: makeCarrierPrice({ services: [{ code: 'ground', change: { amount: 90 } }] }) }),
      ],
    },
    '“ground”, change, amount: none becomes 0.90.',
  ],
  [
    'what is done without an answer',
    { carriers: [makeAccount()], rates: [makeRate({ price: makeCarrierPrice({ onNone: 'withhold' }) })] },
    {
      carriers: [makeAccount()],
      rates: [makeRate({ price: makeCarrierPrice({ onNone: { amount: 900, per: 'order' } }) })],
    },
    'when no service is offered: nothing offered becomes 9.00.',
  ],
  [
    'a delivery method',
    { areas: [makeArea()] },
    { areas: [makeArea({ methods: makeArea().methods.map((one) => ({ ...one, add: 250 })) })] },
    'addition: 0.00 becomes 2.50.',
  ],
  [
    'a minimum order',
    { areas: [makeArea({ minSubtotal: 2_000 })] },
    { areas: [makeArea()] },
    'minimum order: 20.00 becomes none.',
  ],
  [
    'the packing of the store',
    {},
    { store: { packing: { kind: 'even', maxWeight: 20_000 } } },
    'The store, packing: one parcel becomes equal parcels of up to 20 kg.',
  ],
  [
    'closed regions',
    {},
    {
      store: {
        sellsTo: {
          mode: 'everywhere',
          countries: [],
          closedRegions: [{ country: 'CA', subdivision: 'CA-NU' }],
        },
      },
    },
    'closed regions: none becomes CA-NU.',
  ],
  [
    'what a zone leaves out on purpose',
    { zones: [makeZone('country')] },
    { zones: [makeZone('country', { without: ['parcel'] })] },
    'Parcel left out on purpose.',
  ],
];

test.each(PAIRS)('%s is told with what it was and what it is', (_, before, after, told) => {
  expect(said(before, after).join(' ')).toContain(told);
});

test('no difference is only said to change, save a shape', () => {
  for (const [, before, after] of PAIRS) expect(said(before, after).join(' ')).not.toMatch(/ changes\b/);
});
