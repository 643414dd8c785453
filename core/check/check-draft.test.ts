import type { Adjustment } from '../model/adjustment.ts';
import type { PastOrder } from '../model/order.ts';
import type { TestOrder } from '../model/test-order.ts';
import { compile } from '../quote/compile.ts';
import { makeBook, makeCatalogue, makeGood, makeRate, makeRequest } from '../testing/book.ts';
import { checkTestOrder, type Came, type Expectation } from './check-test-order.ts';
import { checkDraft } from './check-draft.ts';

const services = [
  { id: 'parcel', name: 'Parcel' },
  { id: 'letter', name: 'Letter' },
];
const rates = [
  makeRate(),
  makeRate({
    id: 'letter-country',
    serviceId: 'letter',
    price: { kind: 'flat', amount: 300, per: 'order' },
    limits: { weight: { max: 100 } },
  }),
];
const catalogue = makeCatalogue(makeGood('pot'), makeGood('seed', { weight: 10 }));
const compiled = compile(makeBook({ services, rates }), catalogue);
const testOrder = (expects: Expectation[], part: Partial<TestOrder> = {}): TestOrder => ({
  id: 'test-order',
  name: 'Test order',
  request: makeRequest(),
  expects,
  ...part,
});

describe('a test order', () => {
  test.each<[Expectation, Came | null]>([
    [{ kind: 'offered', choiceId: 'parcel-country' }, null],
    [{ kind: 'offered', choiceId: 'parcel-country', charge: 845 }, null],
    [{ kind: 'offered', choiceId: 'parcel-country', charge: { min: 845, max: 900 } }, null],
    [
      { kind: 'offered', choiceId: 'parcel-country', charge: 844 },
      { kind: 'charge', charge: 845 },
    ],
    [
      { kind: 'offered', choiceId: 'parcel-country', charge: { min: 846, max: 900 } },
      { kind: 'charge', charge: 845 },
    ],
    [
      { kind: 'offered', choiceId: 'letter-country' },
      { kind: 'withheld', code: 'above-limit', text: 'Weight 500 g is above the maximum of 100 g.' },
    ],
    [{ kind: 'offered', choiceId: 'gone' }, { kind: 'absent' }],
    [{ kind: 'withheld', id: 'letter-country' }, null],
    [{ kind: 'withheld', id: 'letter-country', code: 'above-limit' }, null],
    [
      { kind: 'withheld', id: 'letter-country', code: 'rate-off' },
      { kind: 'withheld', code: 'above-limit', text: 'Weight 500 g is above the maximum of 100 g.' },
    ],
    [
      { kind: 'withheld', id: 'parcel-country' },
      { kind: 'offered', charge: 845 },
    ],
    [{ kind: 'how-many', of: 'shipping', min: 1, max: 1 }, null],
    [
      { kind: 'how-many', of: 'shipping', min: 2 },
      { kind: 'count', count: 1 },
    ],
    [{ kind: 'how-many', of: 'pickup', max: 0 }, null],
    [{ kind: 'cheapest', choiceId: 'parcel-country' }, null],
    [
      { kind: 'cheapest', choiceId: 'letter-country' },
      { kind: 'cheapest', id: 'parcel-country', name: 'Parcel', charge: 845 },
    ],
  ])('expects %j', (expects, came) => {
    const { result } = checkTestOrder(compiled, testOrder([expects]));
    expect(result).toEqual({
      id: 'test-order',
      name: 'Test order',
      kept: came === null,
      outcomes: [{ expects, came }],
      faults: [],
    });
  });

  test('of which the cheapest is another, or none', () => {
    const cheap = testOrder([{ kind: 'cheapest', choiceId: 'parcel-country' }]);
    const seeds = makeRequest({ lines: [{ sku: 'seed', quantity: 1 }] });
    expect(checkTestOrder(compiled, { ...cheap, request: seeds }).result.outcomes[0]?.came).toEqual({
      kind: 'cheapest',
      id: 'letter-country',
      name: 'Letter',
      charge: 300,
    });
    const nowhere = makeRequest({ destination: { country: 'FR' } });
    expect(checkTestOrder(compiled, { ...cheap, request: nowhere }).result.outcomes[0]?.came).toEqual({
      kind: 'no-choice',
    });
  });

  test('whose goods are not known is broken, and says so', () => {
    const { result, quote } = checkTestOrder(
      compiled,
      testOrder([], { request: makeRequest({ lines: [{ sku: 'gone', quantity: 1 }] }) }),
    );
    expect(quote).toBeNull();
    expect(result).toMatchObject({ kept: false, faults: [{ code: 'good-unknown' }] });
  });
});

test('each adjustment is said to touch the test orders and past orders that it changes or withholds', () => {
  const rule = (id: string, part: Partial<Adjustment>): Adjustment => ({
    id,
    name: id,
    active: true,
    when: [],
    to: {},
    effect: { do: 'free' },
    ...part,
  });
  const book = makeBook({
    services,
    rates,
    adjustments: [
      rule('trade', { when: [{ test: 'customer', in: ['trade'] }] }),
      rule('no-letters', { to: { serviceIds: ['letter'] }, effect: { do: 'withhold' } }),
      rule('off', { active: false }),
    ],
  });
  const past = (part: Partial<PastOrder['request']>): PastOrder => ({
    number: '1',
    request: makeRequest(part),
    chosen: { id: 'parcel-country', kind: 'shipping', name: 'Parcel', charge: 845, total: 845 },
    status: 'placed',
    history: [{ status: 'placed', at: '2026-11-24T10:15:00-04:00' }],
  });
  const seeds = { lines: [{ sku: 'seed', quantity: 1 }] };
  const gone = { lines: [{ sku: 'gone', quantity: 1 }] };
  const testOrders = [
    testOrder([]),
    testOrder([], { id: 'trade', request: makeRequest({ customer: 'trade' }) }),
  ];
  const check = checkDraft(compile(book, catalogue), testOrders, [
    past(seeds),
    past({ ...seeds, customer: 'trade' }),
    past(gone),
  ]);
  expect(check.touches).toEqual({
    trade: { testOrders: 1, orders: 1 },
    'no-letters': { testOrders: 0, orders: 2 },
    off: { testOrders: 0, orders: 0 },
  });
  expect(check.results.map(({ kept }) => kept)).toEqual([true, true]);
  const { results } = check;
  expect(checkDraft(compile(book, catalogue), testOrders, null)).toEqual({ results, touches: null });
});
