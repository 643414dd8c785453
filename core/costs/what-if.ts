import type { CarrierAnswer } from '../model/carrier.ts';
import { pointsOf } from '../price/rounding.ts';
import { compile, type Ask, type CompiledBook } from '../quote/compile.ts';
import { chargeOfOffered, choicesOfOneWay } from '../quote/one-way.ts';
import { withAnswers, type OrderContext } from '../quote/order-context.ts';
import type { CostedOrder } from './costed-order.ts';
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

/** What the orders with a cost are charged: of them the margin is what is left. Minor units. */
export const chargedWithCost = ({ cost, margin }: Sums): number => cost + margin;

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

/** Adds up one order after another: what each is charged with a change, and what it costs then. */
export class Tally implements WhatIf {
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
const touches = (lever: Lever): ((order: PreparedOrder) => boolean) => {
  const rateIds = new Set('rateIds' in lever ? lever.rateIds : 'rateId' in lever ? [lever.rateId] : []);
  return ({ costed: { order }, accountId }) => {
    if (lever.kind === 'adjustment-from') return true;
    if (lever.kind === 'carrier-increase')
      return order.chosen.kind === 'shipping' && isDearer(lever, accountId);
    return rateIds.has(order.chosen.of?.rateId ?? '');
  };
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

/** Levers that change what is charged and nothing of what is offered. */
const PRICES_ONLY: readonly Lever['kind'][] = ['step', 'least-charge', 'raise-percent', 'raise-amount'];

const THRESHOLDS: readonly Lever['kind'][] = ['free-from', 'adjustment-from', 'minimum-order'];

/** A lever over past orders, with what it has worked out so far. */
class LeverOverOrders {
  private readonly touched: readonly boolean[];
  private readonly isPriceOnly: boolean;
  /** Of a threshold all that matters is whether an order reaches it: what each is charged if it does, if it does not. */
  private readonly charges: { reached: (number | null)[]; below: (number | null)[] } | null;

  constructor(
    private readonly all: WhatIfOrders,
    private readonly lever: Lever,
  ) {
    this.touched = all.orders.map(touches(lever));
    this.isPriceOnly = PRICES_ONLY.includes(lever.kind);
    this.charges = THRESHOLDS.includes(lever.kind) ? { reached: [], below: [] } : null;
  }

  private changed(value: LeverValue): CompiledBook {
    const { compiled, goods } = this.all;
    return compile(withLever(compiled.book, this.lever, value), { goods }, compiled.ask, compiled.parts);
  }

  moved(value: LeverValue): MovedOrder[] {
    const changed = this.changed(value);
    return this.all.orders.flatMap((one, index) => {
      const { costed, charge: was } = one;
      const now = this.touched[index] ? this.chargeOf(index, one, changed, value) : was;
      return now === was ? [] : [{ costed, was, now }];
    });
  }

  /** One order after the other under all the values: so what is read of an order is at hand for each of them. */
  at(values: readonly LeverValue[]): WhatIf[] {
    const moves = values.map((value) => ({ value, changed: this.changed(value), tally: new Tally(value) }));
    for (const [index, one] of this.all.orders.entries()) {
      const { cost } = one.costed;
      const isTouched = this.touched[index] === true;
      for (const { value, changed, tally } of moves) {
        if (isTouched) tally.add(one, this.chargeOf(index, one, changed, value), this.costAt(value, cost));
        else tally.add(one, one.charge, cost);
      }
    }
    return moves.map(({ tally }) => tally);
  }

  private costAt(value: LeverValue, cost: number | null): number | null {
    return this.lever.kind === 'carrier-increase' && cost !== null ? dearer(cost, value ?? 0) : cost;
  }

  /** What an order is charged under the changed book, without the tax in it; null where its choice is not offered. */
  private chargeOf(
    index: number,
    one: PreparedOrder,
    changed: CompiledBook,
    value: LeverValue,
  ): number | null {
    const isReached = value !== null && one.context.basket.subtotal >= value;
    const known = isReached ? this.charges?.reached : this.charges?.below;
    const found = known?.[index];
    if (found !== undefined) return found;
    const charge = this.worked(one, under(one.context, changed, this.lever, value ?? 0));
    if (known) known[index] = charge;
    return charge;
  }

  /** The charge by the way the order took; where the lever leaves what is offered as it is, by the steps of its rate alone. */
  private worked({ charge, costed: { order } }: PreparedOrder, context: OrderContext): number | null {
    const { of = {}, id } = order.chosen;
    if (of.rateId !== undefined && this.isPriceOnly) {
      if (charge === null) return null;
      const offered = chargeOfOffered(context, of.rateId, of.serviceCode);
      if (offered !== null) return offered;
    }
    return netCharge(choicesOfOneWay(context, of), id);
  }
}

/** An order that a lever moved to a value changes: what it is charged by the book as it is, and then; null is not offered. */
export interface MovedOrder {
  costed: CostedOrder;
  was: number | null;
  now: number | null;
}

/** What past orders come to with a lever moved to each of some values, and which of them one value changes. */
export interface LeverOver {
  at: (values: readonly LeverValue[]) => WhatIf[];
  moved: (value: LeverValue) => MovedOrder[];
}

/**
 * What past orders come to with a lever moved to a value, asked again and again. Only the way each order took is worked
 * out again, and only where the lever can touch it; the charge is the one the whole quote of the changed book gives.
 */
export const leverOver = (orders: WhatIfOrders, lever: Lever): LeverOver => {
  const over = new LeverOverOrders(orders, lever);
  return { at: (values) => over.at(values), moved: (value) => over.moved(value) };
};

/** The same for one value. */
export const whatIf = (orders: WhatIfOrders, lever: Lever, value: LeverValue): WhatIf =>
  leverOver(orders, lever).at([value])[0] as WhatIf;
