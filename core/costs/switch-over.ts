import type { Choice } from '../model/quote.ts';
import { compile, type CompiledBook } from '../quote/compile.ts';
import { choicesOfOneWay } from '../quote/one-way.ts';
import { orderContext, withAnswers } from '../quote/order-context.ts';
import { questionsOf } from '../quote/questions.ts';
import { accountPrices, leastPrice } from './estimated-cost.ts';
import { switchedRates, withSwitch, type Switch } from './switch.ts';
import { netCharge, type PreparedOrder, type WhatIfOrders } from './what-if-orders.ts';
import { Tally, type MovedOrder, type WhatIf } from './what-if.ts';

/** What past orders come to with a switch made, and which of them it changes. */
export interface SwitchOver {
  result: WhatIf;
  moved: MovedOrder[];
}

/** One order with a switch made: what it is charged and what it costs then, minor units; null is not offered, not known. */
interface Switched {
  charge: number | null;
  cost: number | null;
}

/** The choice that an order took, or where its service is gone the cheapest of the same rate. */
const sameOrCheapest = (choices: readonly Choice[], id: string): number | null =>
  netCharge(choices, id) ??
  choices.reduce<number | null>((least, { id: other }) => {
    const charge = netCharge(choices, other);
    return charge === null || (least !== null && least <= charge) ? least : charge;
  }, null);

const askedBy = (compiled: CompiledBook, order: PreparedOrder, accountId: string): number | null =>
  leastPrice(accountPrices(compiled, order.costed.order, [accountId]));

/**
 * What the order costs with the switch: what the other account asks for its parcels; or as much more as its own account
 * asks for parcels of the other packing. Null where the cost is not known, or the carrier gives no price.
 */
const costOf = (
  { compiled }: WhatIfOrders,
  changed: CompiledBook,
  order: PreparedOrder,
  switched: Switch,
): number | null => {
  const { cost } = order.costed;
  if (cost === null) return null;
  const now = askedBy(changed, order, switched.accountId);
  if (switched.kind === 'account') return now;
  const was = askedBy(compiled, order, switched.accountId);
  return now === null || was === null ? null : cost + now - was;
};

/** One order quoted anew by the book with the switch, by the way it took. */
const switchedOrder = (
  all: WhatIfOrders,
  changed: CompiledBook,
  order: PreparedOrder,
  switched: Switch,
): Switched => {
  const { request, chosen } = order.costed.order;
  const measured = orderContext(changed, request);
  const context = withAnswers(measured, changed.ask?.(questionsOf(measured)) ?? []);
  const charge = sameOrCheapest(choicesOfOneWay(context, chosen.of ?? {}), chosen.id);
  return { charge, cost: costOf(all, changed, order, switched) };
};

/**
 * What past orders come to with a switch made. Only the orders of the rates it is about are quoted anew, and all that is
 * measured of them is; yields how many orders are done.
 */
export function* switchOver(all: WhatIfOrders, switched: Switch): Generator<number, SwitchOver> {
  const { compiled, goods, orders } = all;
  const changed = compile(withSwitch(compiled.book, switched), { goods }, compiled.ask, compiled.parts);
  const rateIds = new Set(switchedRates(compiled.book, switched).map(({ id }) => id));
  const result = new Tally(null);
  const moved: MovedOrder[] = [];
  for (const [at, order] of orders.entries()) {
    const { costed, charge: was } = order;
    const isTouched = rateIds.has(costed.order.chosen.of?.rateId ?? '');
    const now = isTouched ? switchedOrder(all, changed, order, switched) : { charge: was, cost: costed.cost };
    result.add(order, now.charge, now.cost);
    if (now.charge !== was) moved.push({ costed, was, now: now.charge });
    yield at + 1;
  }
  return { result, moved };
}
