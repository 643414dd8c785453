import type { Book } from '../model/book.ts';
import type { DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { QuoteRequest } from '../model/request.ts';
import {
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makePickup,
  makeRequest,
  makeYard,
  northOfYard,
  onlyChoice,
  onlyWithheld,
  quoted,
} from '../testing/book.ts';

type Parts = Partial<Book>;

const nearby = (parts: Parts): Book =>
  makeBook({ locations: [makeYard()], services: [], rates: [], zones: [], ...parts });
const delivering = (area: Partial<DeliveryArea>, parts: Parts = {}): Book =>
  nearby({ areas: [makeArea(area)], ...parts });
const collecting = (point: Partial<PickupPoint>, parts: Parts = {}): Book =>
  nearby({ pickups: [makePickup(point)], ...parts });
const worth = (price: number, more: Partial<QuoteRequest> = {}): QuoteRequest =>
  makeRequest({ lines: [{ sku: 'pot', quantity: 1, price }], ...more });
const van = (part: Partial<DeliveryArea['methods'][number]>): DeliveryArea['methods'] =>
  makeArea().methods.map((way) => ({ ...way, ...part }));

describe('a delivery', () => {
  test('needs no zone, and has its price, what its way adds, goods’ fees and the tax of the destination', () => {
    const book = delivering(
      { methods: van({ add: 150 }), instructions: 'Leave it dry' },
      {
        taxes: [{ id: 'hst', name: 'HST', region: { country: 'CA' }, points: 1_500, on: 'charges' }],
      },
    );
    const request = makeRequest({ lines: [{ sku: 'pot', quantity: 2, onceFee: 300 }] });
    expect(onlyChoice(quoted(book, request))).toMatchObject({
      id: 'ring:van',
      kind: 'delivery',
      name: 'Van',
      note: 'Leave it dry',
      charge: 640 + 150 + 300,
      tax: 164,
      total: 1_254,
      arrives: { words: 'within two days' },
    });
  });

  test('free from a subtotal takes price and addition off, not the fee of the goods nor the service fee', () => {
    const book = delivering({
      methods: van({ add: 150 }),
      freeFrom: 7_500,
      serviceFee: { name: 'Crate', amount: 85 },
    });
    const short = onlyChoice(quoted(book, worth(7_499)));
    expect(short).toMatchObject({ charge: 640 + 150 + 85, hint: { kind: 'free-from', short: 1 } });
    const fee = onlyChoice(
      quoted(book, makeRequest({ lines: [{ sku: 'pot', quantity: 1, price: 7_500, onceFee: 200 }] })),
    );
    expect(fee.charge).toBe(200 + 85);
    expect(fee.hint).toBeUndefined();
  });

  test('by goods that all travel free is price 0 with a line that says so, and the addition still counts', () => {
    const request = makeRequest({ lines: [{ sku: 'pot', quantity: 1, chargeFree: true }] });
    const choice = onlyChoice(quoted(delivering({ methods: van({ add: 150 }) }), request));
    expect(choice.charge).toBe(150);
    expect(choice.working[0]).toMatchObject({
      step: 'price',
      change: 0,
      text: 'All products shipped here ship free',
    });
  });

  test('an adjustment below 0 does not eat the service fee', () => {
    const book = delivering(
      { serviceFee: { name: 'Crate', amount: 85 } },
      {
        adjustments: [
          {
            id: 'less',
            name: 'Less',
            active: true,
            when: [],
            to: { areaIds: ['ring'] },
            effect: { do: 'add', amount: -900, per: 'order' },
          },
        ],
      },
    );
    expect(onlyChoice(quoted(book)).charge).toBe(85);
  });

  test.each<[string, Parameters<typeof delivering>, Partial<QuoteRequest>, string]>([
    ['address-needed', [{}], { destination: null }, 'Needs to know where the order goes.'],
    ['rate-off', [{ active: false }], {}, 'Deliveries in Ring are switched off.'],
    [
      'outside-area',
      [{ covers: { kind: 'radius', metres: 1_000 } }],
      { destination: { country: 'CA', point: northOfYard(1_250) } },
      'The address is outside Ring, 250 m past its edge.',
    ],
    [
      'outside-area',
      [{ covers: { kind: 'radius', metres: 1_000 } }],
      {},
      'Whether the address is inside Ring is not known: it has no point on the map.',
    ],
    [
      'above-limit',
      [{ limits: { weight: { max: 400 } } }],
      {},
      'Weight 500 g is above the maximum of 400 g.',
    ],
    [
      'above-limit',
      [{ methods: van({ limits: { units: { max: 0 } } }) }],
      {},
      'Basket 1 unit is above the maximum of 0 units.',
    ],
    ['below-minimum', [{ minSubtotal: 1_001 }], {}, 'Minimum order 10.01; 0.01 is missing.'],
    [
      'distance-unknown',
      [{ price: { kind: 'steps', basis: 'distance', per: 'order', steps: [{ from: 0, amount: 1 }] } }],
      {},
      'The distance is not known: the location and the address both need a point on the map.',
    ],
  ])('is withheld %s', (code, [area, parts], request, text) => {
    expect(onlyWithheld(quoted(delivering(area, parts), makeRequest(request)))).toMatchObject({
      id: 'ring:van',
      kind: 'delivery',
      name: 'Van',
      code,
      text,
      tell: code === 'below-minimum',
    });
  });

  test('is by the best area of each location; what another takes is withheld and names it', () => {
    const areas = [
      makeArea({ id: 'wide', name: 'Wide', covers: { kind: 'postal', country: 'CA', patterns: ['B*'] } }),
      makeArea(),
    ];
    const answer = quoted(nearby({ areas }));
    expect(answer.choices.map(({ id }) => id)).toEqual(['ring:van']);
    expect(answer.withheld).toMatchObject([
      { id: 'wide:van', code: 'outside-area', text: 'Ring takes this address, not Wide.' },
    ]);
  });

  test('goes by the flag of the goods’ group, and stops with the store’s pause', () => {
    const groups: Book['groups'] = [
      { id: 'live', name: 'Live plants', shipping: 'none', delivery: 'none', pickup: 'any' },
    ];
    const catalogue = makeCatalogue(makeGood('pot', { groupIds: ['live'] }));
    expect(onlyWithheld(quoted(delivering({}, { groups }), makeRequest(), catalogue))).toMatchObject({
      code: 'goods-not-allowed',
      text: 'Live plants are not delivered locally: pot.',
      from: { kind: 'group', id: 'live' },
    });
    expect(onlyChoice(quoted(collecting({}, { groups }), makeRequest(), catalogue)).id).toBe('counter');
  });

  test('abroad bears import charges by its terms', () => {
    const rates: Book['duties']['rates'] = [
      { country: 'CA', duty: 1_000, importTax: 0, freeBelow: 0, valueBasis: 'goods' },
    ];
    const duties = {
      show: 'amount',
      terms: 'both',
      homeCountries: ['US'],
      clearanceFee: 100,
      rates,
    } as const;
    const { choices } = quoted(
      delivering({}, { duties: { ...duties, homeCountries: ['US'] } }),
      worth(1_000),
    );
    expect(choices.map(({ id, total }) => [id, total])).toEqual([
      ['ring:van:DAP', 640],
      ['ring:van:DDP', 640 + 100 + 100],
    ]);
  });
});

describe('a collection', () => {
  const weekday = { placedAt: '2026-11-24T10:15:00-04:00' };

  test('goes on without an address and off the postal list, but not where the shop does not sell', () => {
    const book = collecting({}, {});
    const open = (request: Partial<QuoteRequest>, store: Partial<Book['store']> = {}): string[] =>
      quoted({ ...book, store: { ...book.store, ...store } }, makeRequest(request)).choices.map(
        ({ id }) => id,
      );
    expect(open({ destination: null })).toEqual(['counter']);
    const american = { sellsTo: { mode: 'listed' as const, countries: ['US'], closedRegions: [] } };
    expect(open({}, american)).toEqual([]);
    expect(open({ destination: null }, american)).toEqual(['counter']);
    const listed = {
      ...book,
      postalList: [{ country: 'CA', pattern: 'B2G*', served: false, cashOnDelivery: false }],
    };
    expect(quoted(listed).choices.map(({ id }) => id)).toEqual(['counter']);
  });

  test('stops with the store’s pause, unless collecting goes on', () => {
    const pause = { from: '2026-11-20', to: '2026-11-30', message: '', keepPickup: false };
    const paused = (keepPickup: boolean) => {
      const book = collecting({});
      return quoted({ ...book, store: { ...book.store, pause: { ...pause, keepPickup } } });
    };
    expect(onlyWithheld(paused(false))).toMatchObject({
      id: 'counter',
      code: 'store-paused',
      kind: 'pickup',
    });
    expect(onlyChoice(paused(true)).id).toBe('counter');
  });

  test('costs its charge, adjusted and rounded, taxed where the point is; no fee of goods, no handling', () => {
    const book = collecting(
      { charge: 203, instructions: 'Ring the bell' },
      {
        taxes: [
          {
            id: 'here',
            name: 'Here',
            region: { country: 'CA', subdivision: 'CA-NS' },
            points: 1_000,
            on: 'charges',
          },
          {
            id: 'there',
            name: 'There',
            region: { country: 'CA', subdivision: 'CA-ON' },
            points: 9_000,
            on: 'charges',
          },
        ],
        adjustments: [
          {
            id: 'half',
            name: 'Half',
            active: true,
            when: [],
            to: { pickupIds: ['counter'] },
            effect: { do: 'percent', points: -5_000, of: 'charge' },
          },
        ],
      },
    );
    const store = {
      ...book.store,
      rounding: { to: 5, mode: 'up' } as const,
      handling: { amount: 400, per: 'order' } as const,
    };
    const request = makeRequest({
      destination: { country: 'CA', subdivision: 'CA-ON' },
      lines: [{ sku: 'pot', quantity: 1, onceFee: 300 }],
    });
    expect(onlyChoice(quoted({ ...book, store }, request))).toMatchObject({
      kind: 'pickup',
      charge: 105,
      tax: 11,
      note: 'Ring the bell',
    });
  });

  test('is for customers up to a distance that is known, and for those who give no address', () => {
    const book = collecting({ maxDistance: 2_000 });
    const from = (metres: number) =>
      quoted(book, makeRequest({ destination: { country: 'CA', point: northOfYard(metres) } }));
    expect(onlyChoice(from(2_000)).id).toBe('counter');
    expect(onlyWithheld(from(2_001))).toMatchObject({ code: 'too-far', tell: true });
    expect(onlyWithheld(quoted(book))).toMatchObject({ code: 'distance-unknown', tell: true });
    expect(onlyChoice(quoted(book, makeRequest({ destination: null }))).id).toBe('counter');
  });

  test('offers slots from when it is ready, without those that others filled, and says when the next would be', () => {
    const timing: PickupPoint['timing'] = {
      kind: 'slot',
      hours: [{ day: 2, from: '10:00', to: '12:00' }],
      minutes: 60,
      horizonDays: 6,
      capacity: 2,
    };
    const book = collecting({ timing });
    const taken = (count: number) => [{ id: 'counter', start: '2026-11-24T11:00:00-04:00', count }];
    const slots = (count: number) =>
      quoted(
        book,
        makeRequest({ ...weekday, placedAt: '2026-11-24T09:30:00-04:00', slotsTaken: taken(count) }),
      );
    expect(onlyChoice(slots(1))).toMatchObject({
      ready: '2026-11-24T10:30:00-04:00',
      slots: [{ start: '2026-11-24T11:00:00-04:00', end: '2026-11-24T12:00:00-04:00', left: 1 }],
    });
    expect(onlyWithheld(slots(2))).toMatchObject({
      code: 'no-time-left',
      tell: true,
      text: 'No time is left to choose; the next would be Tue 1 Dec, 10:00.',
    });
  });

  test('is paid where its location is; at the door only for deliveries the postal list allows it for', () => {
    const payments: Book['payments'] = [
      { id: 'counter-cash', name: 'At the counter', kind: 'at-pickup', for: ['pickup'], countries: ['CA'] },
      { id: 'door', name: 'At the door', kind: 'on-delivery', for: ['delivery'] },
    ];
    const abroad = collecting({}, { payments });
    expect(onlyChoice(quoted(abroad, makeRequest({ destination: null }))).payments).toEqual(['counter-cash']);
    const listed = (cashOnDelivery: boolean): Book =>
      delivering(
        {},
        { payments, postalList: [{ country: 'CA', pattern: 'B2G*', served: true, cashOnDelivery }] },
      );
    expect(onlyChoice(quoted(listed(true))).payments).toEqual(['door']);
    expect(onlyChoice(quoted(listed(false))).payments).toEqual([]);
  });
});

test('a basket in which nothing travels has one choice, whatever areas and points there are', () => {
  const book = nearby({ areas: [makeArea()], pickups: [makePickup()] });
  const request = makeRequest({ lines: [{ sku: 'card', quantity: 1, price: 100, fulfilment: 'digital' }] });
  expect(onlyChoice(quoted(book, request)).kind).toBe('nothing-to-ship');
});
