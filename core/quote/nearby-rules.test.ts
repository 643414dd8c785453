import type { Book } from '../model/book.ts';
import type { DeliveryMethod } from '../model/delivery.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { Timing } from '../model/time.ts';
import {
  makeArea,
  makeBook,
  makeCarrierPrice,
  makePickup,
  makeRequest,
  makeYard,
  northOfYard,
  onlyChoice,
  onlyWithheld,
  quoted,
} from '../testing/book.ts';

const nearby = (parts: Partial<Book>): Book =>
  makeBook({ locations: [makeYard()], services: [], rates: [], zones: [], ...parts });
const worth = (price: number, more: Partial<QuoteRequest> = {}): QuoteRequest =>
  makeRequest({ lines: [{ sku: 'pot', quantity: 1, price }], ...more });

/** Tuesdays and Thursdays, an hour in the morning. */
const SLOTS: Timing = {
  kind: 'slot',
  hours: [
    { day: 2, from: '10:00', to: '11:00' },
    { day: 4, from: '10:00', to: '11:00' },
  ],
  minutes: 60,
  horizonDays: 9,
  capacity: 1,
};
const van = (part: Partial<DeliveryMethod>): DeliveryMethod[] =>
  makeArea().methods.map((method) => ({ ...method, ...part }));
const MONDAY = { placedAt: '2026-11-23T09:00:00-04:00' };
const daysOf = (book: Book, request: Partial<QuoteRequest> = {}): (string | undefined)[] =>
  (onlyChoice(quoted(book, makeRequest({ ...MONDAY, ...request }))).slots ?? []).map(({ start }) =>
    start.slice(0, 10),
  );

describe('where and when', () => {
  test('an area and a point are closed on their own dates too, besides those of their location', () => {
    const locations = [makeYard({ closedDates: ['2026-11-26'] })];
    const closedDates = ['2026-11-24'];
    expect(daysOf(nearby({ locations, areas: [makeArea({ methods: van({ timing: SLOTS }) })] }))).toEqual([
      '2026-11-24',
      '2026-12-01',
    ]);
    const area = makeArea({ methods: van({ timing: SLOTS }), closedDates });
    expect(daysOf(nearby({ locations, areas: [area] }))).toEqual(['2026-12-01']);
    expect(daysOf(nearby({ locations, pickups: [makePickup({ timing: SLOTS, closedDates })] }))).toEqual([
      '2026-12-01',
    ]);
    expect(daysOf(nearby({ locations, pickups: [makePickup({ timing: SLOTS, closedDates: [] })] }))).toEqual([
      '2026-11-24',
      '2026-12-01',
    ]);
  });

  test('a time that others took is gone for its own method alone', () => {
    const methods = [...van({ timing: SLOTS }), ...van({ id: 'cart', name: 'Cart', timing: SLOTS })];
    const taken = [{ id: 'ring:cart', start: '2026-11-24T10:00:00-04:00', count: 1 }];
    const { choices } = quoted(
      nearby({ areas: [makeArea({ methods })] }),
      makeRequest({ ...MONDAY, slotsTaken: taken }),
    );
    expect(choices.map(({ id, of, slots }) => [id, of, slots?.[0]?.start.slice(0, 10)])).toEqual([
      ['ring:van', { areaId: 'ring', methodId: 'van' }, '2026-11-24'],
      ['ring:cart', { areaId: 'ring', methodId: 'cart' }, '2026-11-26'],
    ]);
  });

  test('a point that is switched off says so by its name', () => {
    expect(onlyWithheld(quoted(nearby({ pickups: [makePickup({ active: false })] })))).toMatchObject({
      code: 'rate-off',
      say: { code: 'pickup-off', point: 'Counter' },
      detail: { what: 'pickup', name: 'Counter', zone: null },
    });
  });

  test('a point that is too far away says how far it is, and how far it may be', () => {
    const book = nearby({ pickups: [makePickup({ maxDistance: 2_000 })] });
    const far = quoted(book, makeRequest({ destination: { country: 'CA', point: northOfYard(3_000) } }));
    const { detail, say } = onlyWithheld(far);
    expect(say).toMatchObject({ code: 'too-far', most: 2_000 });
    expect(detail['most']).toBe(2_000);
    expect(Number(detail['distance'])).toBeCloseTo(3_000, 0);
  });

  test('an order without an address is in no area', () => {
    expect(
      onlyWithheld(quoted(nearby({ areas: [makeArea()] }), makeRequest({ destination: null }))).code,
    ).toBe('address-needed');
  });
});

describe('what it costs', () => {
  test.each([
    ['area', nearby({ areas: [makeArea({ minSubtotal: 2_000 })] })],
    ['point', nearby({ pickups: [makePickup({ minSubtotal: 2_000 })] })],
  ])('the %s is for orders that reach its minimum', (_, book) => {
    expect(onlyWithheld(quoted(book, worth(1_999)))).toMatchObject({
      code: 'below-minimum',
      say: { code: 'below-minimum', subtotal: 1_999, least: 2_000 },
    });
    expect(quoted(book, worth(2_000)).choices).toHaveLength(1);
  });

  test('a point whose charge bears no tax has none', () => {
    const taxes: Book['taxes'] = [
      { id: 'hst', name: 'HST', region: { country: 'CA' }, points: 1_000, on: 'charges' },
    ];
    const taxOf = (taxable: boolean): number =>
      onlyChoice(quoted(nearby({ taxes, pickups: [makePickup({ charge: 500, taxable })] }))).tax;
    expect([taxOf(true), taxOf(false)]).toEqual([50, 0]);
  });

  test('each step of a delivery has a line of its own, and what is 0 none', () => {
    const stepsOf = (add: number, amount: number): string[] =>
      onlyChoice(
        quoted(
          nearby({ areas: [makeArea({ methods: van({ add }), serviceFee: { name: 'Crate', amount } })] }),
        ),
      ).working.map(({ step, change }) => `${step} ${change}`);
    expect(stepsOf(150, 85)).toEqual(['price 640', 'method 150', 'service-fee 85']);
    expect(stepsOf(0, 0)).toEqual(['price 640']);
  });

  test('an area has no carrier’s price: it says so, and charges nothing by accident', () => {
    const book = nearby({ areas: [makeArea({ price: makeCarrierPrice() as never })] });
    expect(onlyWithheld(quoted(book))).toMatchObject({
      code: 'carrier-none',
      detail: { account: null, services: [], area: 'Ring' },
    });
  });

  test('an adjustment for collecting alone leaves deliveries as they are', () => {
    const adjustments: Book['adjustments'] = [
      {
        id: 'more',
        name: 'More',
        active: true,
        when: [],
        to: { kinds: ['pickup'] },
        effect: { do: 'add', amount: 100, per: 'order' },
      },
    ];
    const { choices } = quoted(nearby({ adjustments, areas: [makeArea()], pickups: [makePickup()] }));
    expect(choices.map(({ id, charge }) => [id, charge])).toEqual([
      ['ring:van', 640],
      ['counter', 100],
    ]);
  });
});
