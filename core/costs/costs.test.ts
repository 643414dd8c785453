import fc from 'fast-check';
import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { readOrders } from '../formats/orders.ts';
import demoOrdersFile from '../../demo/data/orders.json';
import type { PastOrder } from '../model/order.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeRate,
  makeRequest,
  makeYard,
  tiers,
} from '../testing/book.ts';
import { accountsByCell, accountShares, comparedOrder } from './accounts-compared.ts';
import { costedOrder, type CostedOrder } from './costed-order.ts';
import { leverValue, withLever, type Lever } from './lever.ts';
import { leversOf } from './levers.ts';
import { bestUnder, breakEvens, marginWithMore, shareOfMore } from './lever-curve.ts';
import { leverValues } from './lever-range.ts';
import { cellKey, marginBoard, marginOf, marginsBy } from './margin-board.ts';
import { nearThreshold } from './near-threshold.ts';
import { isCounted } from './order-filter.ts';
import { withPastChoice } from '../order/past-choice.ts';
import { quantile, quartiles } from './quantile.ts';
import { measuredOrders, stepCosts } from './step-costs.ts';
import { netCharge, preparedOrder, type WhatIfOrders } from './what-if-orders.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { Good } from '../model/good.ts';
import { dearerAsk, leverOver, whatIf } from './what-if.ts';

const read = readOrders(demoOrdersFile);
const past = read.ok ? read.value : [];
const demo = compile(demoBook, demoCatalogue, answersAtOnce);
const costed = past.slice(0, 150).flatMap((order) => costedOrder(demo, order) ?? []);

const placed = (part: Partial<PastOrder> = {}): PastOrder => ({
  number: '1',
  request: makeRequest(),
  chosen: {
    id: 'parcel-country',
    kind: 'shipping',
    of: { rateId: 'parcel-country' },
    name: 'Parcel',
    charge: 845,
    total: 845,
  },
  status: 'handed-over',
  history: [{ status: 'placed', at: '2026-11-24T10:15:00-04:00' }],
  ...part,
});
const shop = (part: Parameters<typeof makeBook>[0] = {}) => compile(makeBook(part), makeCatalogue());

const whatIfOrders = (compiled: CompiledBook, goods: Good[], all: readonly CostedOrder[]): WhatIfOrders => ({
  ...{ compiled, goods },
  orders: all.flatMap((one) => preparedOrder(compiled, one) ?? []),
});

describe('the cost of an order', () => {
  test('is the one on record, and is not known where none is and no carrier says one', () => {
    expect(costedOrder(shop(), placed({ cost: 700 }))).toMatchObject({ cost: 700, origin: 'recorded' });
    expect(costedOrder(shop(), placed())).toMatchObject({ cost: null, origin: 'unknown' });
  });

  test('is estimated by the service it was sent by, else by the cheapest of any account', () => {
    const ask: typeof demo.ask = (questions) =>
      questions.map(({ key }) => ({
        key,
        ok: true,
        services: [
          { code: 'ground', name: 'Ground', amount: 900 },
          { code: 'slow', name: 'Slow', amount: 400 },
        ],
      }));
    const [carriers, locations] = [[makeAccount()], [makeYard()]];
    const flat = compile(makeBook({ carriers, locations }), makeCatalogue(), ask);
    expect(costedOrder(flat, placed())).toMatchObject({ cost: 400, origin: 'estimated' });
    const priced = compile(
      makeBook({ carriers, locations, rates: [makeRate({ price: makeCarrierPrice() })] }),
      makeCatalogue(),
      ask,
    );
    const sent = placed();
    sent.chosen = {
      ...sent.chosen,
      id: 'parcel-country:ground',
      of: { rateId: 'parcel-country', serviceCode: 'ground' },
    };
    expect(costedOrder(priced, sent)).toMatchObject({ cost: 900, origin: 'estimated' });
  });

  test('leaves out what was cancelled, and keeps what the book no longer has in a place of its own', () => {
    expect(costedOrder(shop(), placed({ status: 'cancelled' }))).toBeNull();
    expect(costedOrder(shop({ rates: [] }), placed())).toMatchObject({ row: 'gone', column: 'gone' });
  });

  test('is set against the charge without the tax in it', () => {
    const taxes = [{ id: 'vat', name: 'Tax', region: { country: 'CA' }, points: 2_500, on: 'both' as const }];
    const compiled = compile(makeBook({ store: { pricesIncludeTax: true }, taxes }), makeCatalogue());
    expect(costedOrder(compiled, placed())?.charged).toBe(845 - 169);
  });
});

describe('the board by margin', () => {
  test('adds up over any grouping', () => {
    const { total, rows, columns, cells } = marginBoard(costed);
    const sum = (margins: Iterable<{ margin: number; orders: number; charged: number }>): number[] => {
      const all = [...margins];
      return [
        all.reduce((to, { margin }) => to + margin, 0),
        all.reduce((to, { orders }) => to + orders, 0),
        all.reduce((to, { charged }) => to + charged, 0),
      ];
    };
    const whole = [total.margin, total.orders, total.charged];
    expect(total.orders).toBe(costed.length);
    expect(total.orders).toBeGreaterThan(100);
    for (const part of [rows, columns, cells]) expect(sum(part.values())).toEqual(whole);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), (parts) => {
        const by = marginsBy(costed, ({ order }) => String(Number(order.number) % parts));
        expect(sum(by.values())).toEqual(whole);
      }),
      { numRuns: 20 },
    );
  });

  test('counts a cell by its row and column, and leaves out of the margin what has no cost', () => {
    const orders = [placed({ cost: 700 }), placed({ number: '2' })].map((one) => costedOrder(shop(), one)!);
    expect(marginBoard(orders).cells.get(cellKey('zone:country', 'service:parcel'))).toEqual({
      orders: 2,
      charged: 1_690,
      recorded: 1,
      estimated: 0,
      unknown: 1,
      chargedWithCost: 845,
      cost: 700,
      margin: 145,
    });
  });

  test('counts by period, weight and group', () => {
    const [first] = costed as [CostedOrder];
    const { placedAt } = first.order.request;
    const weight = first.weight ?? 0;
    expect(isCounted({}, first)).toBe(true);
    expect(isCounted({ from: placedAt }, first)).toBe(true);
    expect(isCounted({ before: placedAt }, first)).toBe(false);
    expect(isCounted({ minWeight: weight, maxWeight: weight }, first)).toBe(true);
    expect(isCounted({ minWeight: weight + 1 }, first)).toBe(false);
    expect(isCounted({ maxWeight: 1_000_000 }, { ...first, weight: null })).toBe(false);
    expect(isCounted({ groupId: 'none-such' }, first)).toBe(false);
    expect(isCounted({ groupId: 'live-plants' }, { ...first, groupIds: ['live-plants'] })).toBe(true);
  });
});

describe('a lever', () => {
  const prepared = whatIfOrders(demo, demoCatalogue.goods, costed);
  const levers: Lever[] = [
    ...leversOf(demoBook),
    { kind: 'raise-percent', rateIds: demoBook.rates.map(({ id }) => id) },
    { kind: 'raise-amount', rateIds: ['parcel-maritimes', 'parcel-central'] },
  ];

  test('at today’s value changes nothing', () => {
    for (const lever of levers) {
      const today = leverValue(demoBook, lever);
      expect(withLever(demoBook, lever, today)).toEqual(demoBook);
      const { was, now, more, less, lost, gained } = whatIf(prepared, lever, today);
      expect(now).toEqual(was);
      expect([more.orders, less.orders, lost, gained]).toEqual([0, 0, 0, 0]);
    }
    expect(levers.length).toBeGreaterThan(20);
  });

  test.each(levers.filter((_, at) => at % 4 === 0 || levers.length - at < 3))(
    'charges what the whole quote of the changed book does, order by order: %j',
    (lever) => {
      const values = leverValues(demoBook, lever, costed);
      const over = leverOver(prepared, lever);
      const tried = [values[1], values[Math.floor(values.length / 2)], values.at(-1)].map(
        (one) => one ?? null,
      );
      for (const found of over.at(tried)) {
        const of = found.value;
        const ask =
          lever.kind === 'carrier-increase' ? dearerAsk(answersAtOnce, lever, of ?? 0) : answersAtOnce;
        const changed = compile(withLever(demoBook, lever, of), demoCatalogue, ask, demo.parts);
        let [charged, orders] = [0, 0];
        for (const { costed: one } of prepared.orders) {
          const { request, chosen } = one.order;
          const charge = netCharge(quote(changed, request).choices, chosen.id);
          charged += charge ?? 0;
          orders += charge === null ? 0 : 1;
        }
        expect([found.now.charged, found.now.orders]).toEqual([charged, orders]);
        const moved = over.moved(of);
        expect(moved).toHaveLength(found.more.orders + found.less.orders + found.lost + found.gained);
        const by = moved.reduce((sum, { was, now }) => sum + (now ?? 0) - (was ?? 0), 0);
        expect(by).toBe(found.now.charged - found.was.charged);
      }
    },
  );

  test('that lowers a free threshold gives less, and tells how many pay less', () => {
    const lever = { kind: 'free-from', rateId: 'parcel-maritimes' } as const;
    const { was, now, more, less, free } = whatIf(prepared, lever, 0);
    expect(now.charged).toBeLessThan(was.charged);
    expect(was.charged - now.charged).toBe(less.by);
    expect([more.orders, more.by]).toEqual([0, 0]);
    expect(free.orders).toBeGreaterThanOrEqual(less.orders);
    expect(marginWithMore({ now, free }, 10)).toBe(now.margin - Math.round((10 * free.cost) / free.withCost));
  });

  test('that lets carriers ask more costs more, and charges more where they price', () => {
    const lever = { kind: 'carrier-increase', accountId: null } as const;
    const { was, now, more } = whatIf(prepared, lever, 1_000);
    expect(now.cost).toBeGreaterThan(was.cost * 1.05);
    expect(more.by).toBe(now.charged - was.charged);
  });

  test('that sets a minimum order withholds the choice from orders below it', () => {
    const one = shop();
    const orders = whatIfOrders(one, makeCatalogue().goods, [costedOrder(one, placed({ cost: 1 }))!]);
    const lever = { kind: 'minimum-order', rateId: 'parcel-country' } as const;
    expect(whatIf(orders, lever, 10_000_000)).toMatchObject({ lost: 1, now: { orders: 0 } });
    const closed = shop({ rates: [makeRate({ limits: { subtotal: { min: 10_000_000 } } })] });
    const none = whatIfOrders(closed, makeCatalogue().goods, [costedOrder(closed, placed())!]);
    expect(whatIf(none, lever, null)).toMatchObject({ gained: 1, was: { orders: 0 }, now: { orders: 1 } });
  });

  test('has rising values at even figures with today’s among them', () => {
    const lever = { kind: 'free-from', rateId: 'parcel-maritimes' } as const;
    const values = leverValues(demoBook, lever, costed) as number[];
    expect(values).toEqual([...values].sort((a, b) => a - b));
    expect(values).toContain(leverValue(demoBook, lever));
    expect(values.length).toBeGreaterThan(15);
    expect(values.length).toBeLessThan(45);
    const nowhere = { kind: 'free-from', rateId: 'parcel-west' } as const;
    expect(leverValues(demoBook, nowhere, costed)[0]).toBeNull();
  });

  test('breaks even between neighbours, and has a best value under a bound', () => {
    const at = (value: number, margin: number, dearer: number, lost = 0) =>
      ({
        ...whatIf(prepared, { kind: 'raise-amount', rateIds: [] }, value),
        value,
        was: { orders: 100, charged: 0, withCost: 0, cost: 0, margin: 0 },
        now: { orders: 100, charged: 0, withCost: 0, cost: 0, margin },
        more: { orders: dearer, by: 1 },
        free: { orders: 0, withCost: 0, cost: 0 },
        lost,
      }) as const;
    const curve = [at(0, -300, 0), at(100, -100, 4), at(200, 100, 5), at(300, 400, 6), at(400, 900, 1, 1)];
    expect(breakEvens(curve)).toEqual([150]);
    expect(bestUnder(curve, 500)?.value).toBe(200);
    expect(bestUnder(curve, 10_000)?.value).toBe(300);
    expect(bestUnder([at(0, 1, 9)], 500)).toBeNull();
    expect(shareOfMore(at(0, 0, 4))).toBe(400);
  });
});

describe('figures around a threshold, in steps and by account', () => {
  test('show how many orders stop just short', () => {
    const orders = [5_000, 6_500, 7_400, 7_500, 9_000, 90_000].map((subtotal) => ({
      ...(costed[0] as CostedOrder),
      subtotal,
    }));
    const near = nearThreshold(orders, 7_500);
    expect(near).toMatchObject({ reached: 3, justShort: 2, short: 1_500, orders: 6 });
    expect(near.bins.reduce((sum, bin) => sum + bin.orders, 0)).toBe(6);
    expect(near.bins.at(-1)?.orders).toBe(1);
  });

  test('stand beside each step of a rate', () => {
    const price = tiers('weight', [
      { from: 0, amount: 800 },
      { from: 900, amount: 1_200 },
    ]);
    const compiled = shop({ rates: [makeRate({ price })] });
    const orders = [1, 2, 3].map((quantity) =>
      placed({
        number: String(quantity),
        cost: 600 * quantity,
        request: makeRequest({ lines: [{ ...makeRequest().lines[0]!, quantity }] }),
      }),
    );
    const prepared = whatIfOrders(
      compiled,
      makeCatalogue().goods,
      orders.map((order) => costedOrder(compiled, order)!),
    );
    const measured = measuredOrders(prepared, compiled.book.rates[0]!);
    const [first, second] = stepCosts(price, measured);
    expect((first?.orders ?? 0) + (second?.orders ?? 0)).toBe(3);
    expect(second).toMatchObject({ from: 900, to: null });
    expect([...(second?.costs ? [second.costs.least, second.costs.most] : [])]).toEqual([1_200, 1_800]);
  });

  test('have quartiles that are values', () => {
    expect(quartiles([4, 1, 3, 2])).toEqual({ least: 1, lower: 1, median: 2, upper: 3, most: 4 });
    expect(quartiles([])).toBeNull();
    expect(quantile([10, 20], 0.5)).toBe(10);
  });

  test('compare the accounts over the same orders', () => {
    const compared = costed.flatMap((one) => comparedOrder(demo, one) ?? []);
    const shares = accountShares(compared);
    expect(shares.size).toBeGreaterThan(1);
    for (const share of shares.values()) expect(share.orders).toBeLessThanOrEqual(compared.length);
    const cheapest = [...shares.values()].reduce((sum, share) => sum + share.cheapest, 0);
    expect(cheapest).toBeGreaterThanOrEqual(compared.length);
    const cells = accountsByCell(compared, [2_000, 10_000]);
    expect(cells.reduce((sum, { orders }) => sum + orders, 0)).toBe(compared.length);
    expect(marginOf(costed).orders).toBe(costed.length);
  });
});

describe('a past order from elsewhere', () => {
  const from = (name: string, request = placed().request): PastOrder => ({
    ...placed({ request, cost: 500 }),
    chosen: { id: 'past-order', kind: 'shipping', name, charge: 700, total: 700 },
  });

  test('stands for the rate of its service and place, by name or by what is said of all others', () => {
    expect(withPastChoice(shop(), from('PARCEL'), null).chosen).toEqual({
      id: 'parcel-country',
      kind: 'shipping',
      of: { rateId: 'parcel-country' },
      name: 'PARCEL',
      charge: 700,
      total: 700,
    });
    expect(withPastChoice(shop(), from('Lorry'), 'parcel').chosen.id).toBe('parcel-country');
    expect(withPastChoice(shop(), from('Lorry'), null)).toEqual(from('Lorry'));
  });

  test('is brought round or collected where the book has that name', () => {
    const [halifax] = past.filter(({ chosen }) => chosen.of?.areaId === 'peninsula');
    expect(withPastChoice(demo, from('Peninsula', halifax?.request), null).chosen).toMatchObject({
      kind: 'delivery',
      of: { areaId: 'peninsula' },
    });
    expect(withPastChoice(demo, from('Collect at the Nursery'), null).chosen.id).toBe('nursery-yard');
  });

  test('is priced by the first choice of its rate, where a carrier or the terms of import add to the id', () => {
    const [express] = past.filter(({ chosen }) => chosen.of?.rateId === 'express-central');
    const order = withPastChoice(demo, from('Express', express?.request), null);
    const one = costedOrder(demo, order);
    expect(one && preparedOrder(demo, one)?.charge).toBeGreaterThan(0);
  });
});
