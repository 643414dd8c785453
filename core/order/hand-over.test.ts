import fc from 'fast-check';
import type { OrderStatus, PastOrder } from '../model/order.ts';
import { metresBetween } from '../place/distance.ts';
import { makeClock } from '../time/clock.ts';
import { makeGood, makeRequest, makeShipment, makeYard, northOfYard, YARD_POINT } from '../testing/book.ts';
import { ENGLISH_WORDS, FRENCH_WORDS } from '../testing/words.ts';
import { orderMessage } from '../words/customer/order-message.ts';
import { dueOf, isLate, toHandOver } from './due.ts';
import { movedTo, nextStatuses, steppedBack } from './hand-over.ts';
import { ordersToPack, pickingList } from './picking.ts';
import { sensibleRound } from './round.ts';
import { roundStops } from './round-stops.ts';

const clock = makeClock('America/Halifax');
const SLOT = { start: '2026-11-27T15:00:00-04:00', end: '2026-11-27T16:00:00-04:00' };

const makeOrder = (kind: PastOrder['chosen']['kind'], part: Partial<PastOrder> = {}): PastOrder => ({
  number: '1001',
  request: makeRequest(),
  chosen: { id: 'ring:van', kind, name: 'Van', charge: 640, total: 640 },
  status: 'placed',
  history: [{ status: 'placed', at: '2026-11-24T10:15:00-04:00' }],
  recipient: 'Ines Varga',
  ...part,
});
const timed = (kind: PastOrder['chosen']['kind'], status: OrderStatus = 'placed'): PastOrder => ({
  ...makeOrder(kind),
  chosen: { ...makeOrder(kind).chosen, slot: SLOT },
  status,
});

const walk = (order: PastOrder): OrderStatus[] => {
  const [next] = nextStatuses(order);
  if (!next || next === 'cancelled') return [order.status];
  const moved = movedTo(order, next, '2026-11-27T12:00:00Z');
  return moved.ok ? [order.status, ...walk(moved.value)] : [order.status];
};

describe('the states of an order', () => {
  test.each<[PastOrder['chosen']['kind'], string]>([
    ['shipping', 'placed packed booked handed-over'],
    ['delivery', 'placed packed on-its-way handed-over'],
    ['pickup', 'placed packed ready handed-over'],
    ['nothing-to-ship', 'placed handed-over'],
  ])('of what is for %s', (kind, states) => {
    expect(walk(makeOrder(kind)).join(' ')).toBe(states);
  });

  test('follow each other: none is passed over, and what is over stays over', () => {
    expect(movedTo(makeOrder('delivery'), 'on-its-way', 'x')).toMatchObject({
      ok: false,
      faults: [{ code: 'status-not-next' }],
    });
    expect(nextStatuses(makeOrder('pickup', { status: 'cancelled' }))).toEqual([]);
    expect(nextStatuses(makeOrder('shipping', { status: 'packed' }))).toEqual([
      'booked',
      'handed-over',
      'cancelled',
    ]);
  });

  test('are undone step by step, and all that happened stays in the history', () => {
    const at = '2026-11-27T12:00:00Z';
    const go = (order: PastOrder, status: OrderStatus): PastOrder => {
      const moved = movedTo(order, status, at);
      if (!moved.ok) throw new Error(status);
      return moved.value;
    };
    const ready = go(go(makeOrder('pickup'), 'packed'), 'ready');
    const packed = steppedBack(ready, at);
    expect(packed?.status).toBe('packed');
    const placed = packed && steppedBack(packed, at);
    expect(placed?.status).toBe('placed');
    expect(placed && steppedBack(placed, at)).toBeNull();
    expect(placed?.history.map(({ status }) => status)).toEqual([
      'placed',
      'packed',
      'ready',
      'packed',
      'placed',
    ]);
    expect(steppedBack(go(ready, 'cancelled'), at)?.status).toBe('ready');
  });
});

describe('what was promised', () => {
  test('is a collection ready by its time, a delivery handed over by its end, a parcel on its way the day it is ready', () => {
    expect(dueOf(timed('pickup'), clock)).toEqual({ at: SLOT.start, by: 'ready' });
    expect(dueOf(timed('delivery'), clock)).toEqual({ at: SLOT.end, by: 'handed-over' });
    const parcel = makeOrder('shipping', { promise: { ready: '2026-11-27T15:30:00-04:00' } });
    expect(dueOf(parcel, clock)).toEqual({ at: '2026-11-27T23:59:00-04:00', by: 'booked' });
    expect(dueOf(makeOrder('delivery', { promise: { latest: '2026-11-28' } }), clock)?.at).toBe(
      '2026-11-28T23:59:00-04:00',
    );
    expect(dueOf(makeOrder('shipping'), clock)).toBeNull();
  });

  test('is late once its moment is over and it has not happened', () => {
    const late = (order: PastOrder, now: string): boolean => isLate(order, dueOf(order, clock), now);
    expect(late(timed('pickup'), '2026-11-27T14:59:00-04:00')).toBe(false);
    expect(late(timed('pickup'), '2026-11-27T15:01:00-04:00')).toBe(true);
    expect(late(timed('pickup', 'ready'), '2026-11-27T19:00:00-04:00')).toBe(false);
    expect(late(timed('delivery', 'on-its-way'), '2026-11-27T16:01:00-04:00')).toBe(true);
    expect(late(timed('delivery', 'cancelled'), '2026-11-28T16:01:00-04:00')).toBe(false);
  });

  test('puts open orders in their order, those without a promise by when they were placed', () => {
    const plain = makeOrder('shipping', { number: '7' });
    const done = makeOrder('pickup', { number: '8', status: 'handed-over' });
    const list = toHandOver([timed('delivery'), plain, done], clock, '2026-11-27T12:00:00Z');
    expect(list.map(({ order, date, late }) => [order.number, date, late])).toEqual([
      ['7', '2026-11-24', false],
      ['1001', '2026-11-27', false],
    ]);
  });

  test('puts a time that begins earlier first, though it may end later', () => {
    const at = (number: string, kind: PastOrder['chosen']['kind'], from: string, to: string): PastOrder => ({
      ...makeOrder(kind, { number }),
      chosen: {
        ...makeOrder(kind).chosen,
        slot: { start: `2026-11-27T${from}:00-04:00`, end: `2026-11-27T${to}:00-04:00` },
      },
    });
    const list = toHandOver(
      [
        at('1', 'delivery', '16:00', '17:00'),
        at('2', 'pickup', '13:00', '13:30'),
        at('3', 'delivery', '12:30', '17:30'),
      ],
      clock,
      '2026-11-27T12:00:00Z',
    );
    expect(list.map(({ order }) => order.number)).toEqual(['3', '2', '1']);
  });
});

test('the picking list adds up what several orders need, without what needs no sending', () => {
  const goods = new Map(
    [makeGood('pot', { name: 'Pot' }), makeGood('card', { fulfilment: 'digital' })].map((good) => [
      good.sku,
      good,
    ]),
  );
  const order = (number: string, quantity: number): PastOrder =>
    makeOrder('pickup', {
      number,
      request: makeRequest({
        lines: [
          { sku: 'pot', quantity },
          { sku: 'card', quantity: 1 },
        ],
      }),
    });
  expect(pickingList([order('1', 2), order('2', 3)], goods)).toEqual([
    { sku: 'pot', name: 'Pot', quantity: 5, orders: ['1', '2'] },
  ]);
});

test('still to be packed is what was placed and has something to pack', () => {
  const goods = new Map(
    [makeGood('pot'), makeGood('card', { fulfilment: 'digital' })].map((good) => [good.sku, good]),
  );
  const of = (number: string, sku: string, status: OrderStatus = 'placed'): PastOrder =>
    makeOrder('pickup', { number, status, request: makeRequest({ lines: [{ sku, quantity: 1 }] }) });
  const orders = [of('1', 'pot'), of('2', 'card'), of('3', 'pot', 'packed')];
  expect(ordersToPack(orders, goods).map(({ number }) => number)).toEqual(['1']);
});

test('the message says where the order stands, to whom and from whom', () => {
  const shop = 'Wrack & Thistle';
  const location = makeYard({ name: 'The Yard' });
  const said = (order: PastOrder, part: { instructions?: string; location?: undefined } = {}): string =>
    orderMessage(order, { shop, location, ...part }, ENGLISH_WORDS);
  const text = said(timed('pickup', 'ready'));
  expect(text).toContain('Dear Ines Varga,');
  expect(text).toContain('can be collected at The Yard, Fri 27 Nov, 15:00 to 16:00.');
  expect(text).toContain('Open Mon to Fri 08:30–16:30');
  expect(text).toContain('Order 1001.');
  expect(said(timed('pickup', 'packed'))).toContain('You can collect it: Fri 27 Nov, 15:00 to 16:00.');
  expect(said(timed('pickup'), { instructions: 'Ring the bell.' })).toMatch(
    /Collect it at The Yard\. Open .*\. Ring the bell\./,
  );
  expect(said(timed('delivery', 'packed'), { location: undefined })).toContain('Expect it on Fri 27 Nov');
  const booked = makeOrder('shipping', { status: 'booked', shipment: makeShipment() });
  expect(said(booked)).toContain('Its tracking number is TE1.');
});

test('the message is in the language the customer ordered in, with the name they chose by', () => {
  const { chosen } = makeOrder('shipping');
  const order = makeOrder('shipping', {
    status: 'booked',
    language: 'fr',
    chosen: { ...chosen, shownAs: 'Colis' },
  });
  const text = orderMessage(order, { shop: 'Wrack & Thistle', location: undefined }, FRENCH_WORDS);
  expect(text).toContain('Bonjour Ines Varga,');
  expect(text).toContain('Votre commande part par Colis.');
  const ready = orderMessage(timed('pickup', 'ready'), { shop: 'W', location: makeYard() }, FRENCH_WORDS);
  expect(ready).toContain('ven. 27 nov., 15:00 à 16:00');
  expect(ready).toContain('Ouvert lun. à ven. 08:30–16:30');
});

describe('a delivery round', () => {
  const point = fc
    .record({ lat: fc.integer({ min: 0, max: 200 }), lng: fc.integer({ min: 0, max: 200 }) })
    .map(({ lat, lng }) => ({ lat: YARD_POINT.lat + lat / 1_000, lng: YARD_POINT.lng + lng / 1_000 }));

  type Stop = { lat: number; lng: number };
  const wayPast = (stops: readonly Stop[]): number =>
    [...stops, YARD_POINT].reduce(
      (sum, stop, at) => sum + metresBetween(at === 0 ? YARD_POINT : (stops[at - 1] ?? YARD_POINT), stop),
      0,
    );

  /** The shortest of all orders, each tried. */
  const shortestOfAll = (left: readonly Stop[], path: readonly Stop[] = []): number =>
    left.length === 0
      ? wayPast(path)
      : Math.min(
          ...left.map((stop, at) =>
            shortestOfAll([...left.slice(0, at), ...left.slice(at + 1)], [...path, stop]),
          ),
        );

  test('passes every stop once, and is the shortest where there are few', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 1, maxLength: 6 }), (stops) => {
        const round = sensibleRound(YARD_POINT, stops);
        expect([...round.order].sort((a, b) => a - b)).toEqual(stops.map((_, at) => at));
        expect(round.metres).toBe(shortestOfAll(stops));
      }),
      { numRuns: 60 },
    );
  });

  test('of more passes every stop once, and cannot be made shorter by turning a stretch round', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 10, maxLength: 14 }), (stops) => {
        const round = sensibleRound(YARD_POINT, stops);
        expect([...round.order].sort((a, b) => a - b)).toEqual(stops.map((_, at) => at));
        const path = round.order.map((at) => stops[at] as Stop);
        expect(round.metres).toBe(wayPast(path));
        for (let from = 0; from < path.length; from += 1)
          for (let to = from + 1; to < path.length; to += 1) {
            const turned = [
              ...path.slice(0, from),
              ...path.slice(from, to + 1).reverse(),
              ...path.slice(to + 1),
            ];
            expect(wayPast(turned)).toBeGreaterThanOrEqual(round.metres);
          }
      }),
      { numRuns: 40 },
    );
  });

  test('has each stop with its metres from the one before, and leaves out orders without a point', () => {
    const at = (number: string, metres: number | null): PastOrder => {
      const order = timed('delivery', 'ready');
      const destination = { country: 'CA', ...(metres === null ? {} : { point: northOfYard(metres) }) };
      return { ...order, number, request: { ...order.request, destination } };
    };
    const orders = [at('far', 900), at('nowhere', null), at('near', 200)];
    const { stops, metres, missing } = roundStops(orders, YARD_POINT);
    expect(stops.map((stop) => stop.order.number).sort()).toEqual(['far', 'near']);
    expect(missing).toBe(1);
    const [first, second] = stops.map((stop) => stop.metres) as [number, number];
    expect(Math.abs(second - 700)).toBeLessThanOrEqual(1);
    expect(metres - first - second).toBeGreaterThan(0);
    expect(roundStops(orders, undefined)).toEqual({ stops: [], metres: 0, missing: 3 });
  });

  test('of no stop is no way at all', () => {
    expect(sensibleRound(YARD_POINT, [])).toEqual({ order: [], metres: 0 });
  });
});
