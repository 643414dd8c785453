import type { CarrierAnswer } from '../model/carrier.ts';
import { pointsOf } from '../price/rounding.ts';
import { compile, type Ask, type CompiledBook } from '../quote/compile.ts';
import { choicesOfOneWay } from '../quote/one-way.ts';
import { withAnswers, type OrderContext } from '../quote/order-context.ts';
import { withLever, type Lever, type LeverValue } from './lever.ts';
import { netCharge, type PreparedOrder, type WhatIfOrders } from './what-if-orders.ts';

/** What orders are charged and cost; amounts in minor units. The margin is of those whose cost is known or estimated. */
export interface Sums {
  orders: number;
  charged: number;
  withCost: number;
  cost: number;
  margin: number;
}

/** How many orders, and by how much in sum; minor units. */
export interface Moved {
  orders: number;
  by: number;
}

/** What a lever moved to a value does to past orders, the orders themselves held fixed. */
export interface WhatIf {
  value: LeverValue;
  /** Every order that is offered its choice, by the book as it is, and with the lever moved. */
  was: Sums;
  now: Sums;
  /** Orders that are charged more, and less. */
  more: Moved;
  less: Moved;
  /** Orders whose choice is no longer offered; and that have it only with the lever moved. */
  lost: number;
  gained: number;
  /** Orders that travel free with the lever moved, and what those with a cost take. */
  free: { orders: number; withCost: number; cost: number };
}

const noSums = (): Sums => ({ orders: 0, charged: 0, withCost: 0, cost: 0, margin: 0 });

const addTo = (sums: Sums, charged: number, cost: number | null): void => {
  sums.orders += 1;
  sums.charged += charged;
  if (cost === null) return;
  sums.withCost += 1;
  sums.cost += cost;
  sums.margin += charged - cost;
};

/** Adds up one order after another. */
class Tally implements WhatIf {
  readonly was = noSums();
  readonly now = noSums();
  readonly more: Moved = { orders: 0, by: 0 };
  readonly less: Moved = { orders: 0, by: 0 };
  readonly free = { orders: 0, withCost: 0, cost: 0 };
  lost = 0;
  gained = 0;

  constructor(readonly value: LeverValue) {}

  add({ costed, charge: was }: PreparedOrder, now: number | null, costNow: number | null): void {
    if (was !== null) addTo(this.was, was, costed.cost);
    if (now !== null) addTo(this.now, now, costNow);
    if (was === null || now === null) {
      if (was !== null) this.lost += 1;
      if (now !== null) this.gained += 1;
    } else if (now !== was) {
      const moved = now > was ? this.more : this.less;
      moved.orders += 1;
      moved.by += Math.abs(now - was);
    }
    if (now === 0) this.addFree(costNow);
  }

  private addFree(cost: number | null): void {
    this.free.orders += 1;
    if (cost === null) return;
    this.free.withCost += 1;
    this.free.cost += cost;
  }
}

const dearer = (amount: number, points: number): number => amount + pointsOf(amount, points);

const isDearer = (lever: Lever, accountId: string | null): boolean =>
  lever.kind === 'carrier-increase' && (lever.accountId === null || lever.accountId === accountId);

const dearerAnswer = (lever: Lever, answer: CarrierAnswer, points: number): CarrierAnswer =>
  answer.ok && isDearer(lever, answer.key)
    ? {
        ...answer,
        services: answer.services.map((service) => ({ ...service, amount: dearer(service.amount, points) })),
      }
    : answer;

/** Carriers that ask as a lever says; hundredths of a percent more. */
export const dearerAsk =
  (ask: Ask, lever: Lever, points: number): Ask =>
  (questions) =>
    ask(questions).map((answer) => dearerAnswer(lever, answer, points));

/** Whether a lever can change what an order is charged, or what it costs. */
const isTouched = (lever: Lever, { costed: { order }, accountId }: PreparedOrder): boolean => {
  const { rateId } = order.chosen.of ?? {};
  switch (lever.kind) {
    case 'adjustment-from':
      return true;
    case 'raise-percent':
    case 'raise-amount':
      return rateId !== undefined && lever.rateIds.includes(rateId);
    case 'carrier-increase':
      return order.chosen.kind === 'shipping' && isDearer(lever, accountId);
    default:
      return rateId === lever.rateId;
  }
};

/** The same order under a changed book; what was measured of it holds, since levers change prices only. */
const under = (context: OrderContext, changed: CompiledBook, lever: Lever, points: number): OrderContext => {
  const order = { ...context, compiled: changed, tables: changed.tables };
  if (lever.kind !== 'carrier-increase' || context.answers.size === 0) return order;
  return withAnswers(
    order,
    [...context.answers.values()].map((answer) => dearerAnswer(lever, answer, points)),
  );
};

/**
 * What past orders come to with a lever moved to a value. Only the way each order took is worked out again, and
 * only where the lever can touch it; the charge is the one the whole quote of the changed book gives.
 */
export const whatIf = (
  { compiled, goods, orders }: WhatIfOrders,
  lever: Lever,
  value: LeverValue,
): WhatIf => {
  const { book, ask, parts } = compiled;
  const changed = compile(withLever(book, lever, value), { goods }, ask, parts);
  const points = value ?? 0;
  const tally = new Tally(value);
  for (const one of orders) {
    const { order, cost } = one.costed;
    if (!isTouched(lever, one)) {
      tally.add(one, one.charge, cost);
      continue;
    }
    const choices = choicesOfOneWay(under(one.context, changed, lever, points), order.chosen.of ?? {});
    const isCostlier = lever.kind === 'carrier-increase' && cost !== null;
    tally.add(one, netCharge(choices, order.chosen.id), isCostlier ? dearer(cost, points) : cost);
  }
  return tally;
};
