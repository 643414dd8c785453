import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { demoBook } from '../../demo/book.ts';
import demoOrdersFile from '../../demo/data/orders.json';
import { demoCatalogue } from '../../demo/goods.ts';
import { readOrders } from '../formats/orders.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { accountPrices } from './estimated-cost.ts';
import { costedOrder } from './costed-order.ts';
import { switchOver, type SwitchOver } from './switch-over.ts';
import { switchedRates, withSwitch, type Switch } from './switch.ts';
import { netCharge, preparedOrder, type WhatIfOrders } from './what-if-orders.ts';

const read = readOrders(demoOrdersFile);
const past = read.ok ? read.value : [];
const compiled = compile(demoBook, demoCatalogue, answersAtOnce);
const orders = past
  .filter(({ chosen }) => chosen.kind === 'shipping')
  .slice(0, 90)
  .flatMap((order) => costedOrder(compiled, order) ?? [])
  .flatMap((costed) => preparedOrder(compiled, costed) ?? []);
const all: WhatIfOrders = { compiled, goods: demoCatalogue.goods, orders };

const over = (switched: Switch): SwitchOver => {
  const work = switchOver(all, switched);
  let step = work.next();
  let turns = 0;
  while (!step.done) {
    turns += 1;
    expect(step.value).toBe(turns);
    step = work.next();
  }
  expect(turns).toBe(orders.length);
  return step.value;
};

const taken = (rateId: string): number =>
  orders.filter(({ costed }) => costed.order.chosen.of?.rateId === rateId).length;
const rate = demoBook.rates
  .filter(({ price }) => price.kind === 'carrier' && price.accountId === 'fulmar')
  .sort((a, b) => taken(b.id) - taken(a.id))[0]!;
const GANNET: Switch = {
  kind: 'account',
  rateId: rate.id,
  accountId: 'gannet',
  codes: ['parcel', 'priority'],
};
const ONE_PARCEL: Switch = { kind: 'packing', accountId: 'fulmar', plan: { kind: 'single' } };

test('the demo has orders of a rate that a carrier prices', () => expect(taken(rate.id)).toBeGreaterThan(1));

test('the same packing changes nothing', () => {
  const { packing } = demoBook.carriers.find(({ id }) => id === 'fulmar')!;
  const { result, moved } = over({ kind: 'packing', accountId: 'fulmar', plan: packing });
  expect(moved).toEqual([]);
  expect(result.now).toEqual(result.was);
});

test('a switch that is about no rate of the book changes nothing', () => {
  const gone: Switch = { ...GANNET, rateId: 'none-such' };
  expect(switchedRates(demoBook, gone)).toEqual([]);
  expect(withSwitch(demoBook, gone)).toEqual(demoBook);
  expect(over(gone).moved).toEqual([]);
});

test.each([
  ['another account', GANNET],
  ['another packing', ONE_PARCEL],
])('with %s, every order is charged what the whole quote of the changed book says', (_, switched) => {
  const changed = compile(withSwitch(demoBook, switched), demoCatalogue, answersAtOnce);
  const { moved } = over(switched);
  const now = new Map(moved.map((one) => [one.costed.order.number, one.now]));
  for (const { costed, charge } of orders) {
    const { number, request, chosen } = costed.order;
    const { choices } = quote(changed, request);
    const ofRate = choices.filter(({ of }) => of?.rateId === chosen.of?.rateId);
    const cheapest = Math.min(...ofRate.map(({ id }) => netCharge(choices, id) ?? Infinity));
    const whole = netCharge(choices, chosen.id) ?? (ofRate.length > 0 ? cheapest : null);
    expect([number, now.has(number) ? now.get(number) : charge]).toEqual([number, whole]);
  }
});

test('costs are what the other account asks, and only of the orders it is about', () => {
  const changed = compile(withSwitch(demoBook, GANNET), demoCatalogue, answersAtOnce);
  const { result } = over(GANNET);
  const costs = orders.map(({ costed }) => {
    if (costed.cost === null || costed.order.chosen.of?.rateId !== rate.id) return costed.cost;
    const [asked] = accountPrices(changed, costed.order, ['gannet']);
    return asked ? Math.min(...asked.services.map(({ amount }) => amount)) : null;
  });
  const offered = orders.filter(({ charge }) => charge !== null).length;
  expect(result.now.orders).toBe(offered - result.lost + result.gained);
  expect(result.lost).toBeLessThan(taken(rate.id));
  expect(result.now.cost).toBeLessThanOrEqual(costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0));
  expect(result.now.cost).not.toBe(result.was.cost);
});
