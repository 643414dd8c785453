import type { Choice } from '../model/quote.ts';
import type { Good } from '../model/good.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { choicesOfOneWay } from '../quote/one-way.ts';
import { orderContext, withAnswers, type OrderContext } from '../quote/order-context.ts';
import { questionsOf } from '../quote/questions.ts';
import { requestFaults } from '../quote/quote.ts';
import type { CostedOrder } from './costed-order.ts';

/** A past order measured once, with what the choice it took costs by the book as it is. */
export interface PreparedOrder {
  costed: CostedOrder;
  context: OrderContext;
  /** The account whose carrier takes it, where that is known. */
  accountId: string | null;
  /** Minor units, without the tax in it; null where the book no longer offers the choice. */
  charge: number | null;
}

/** The past orders of a shop, ready to be put under levers; `goods` are the catalogue it was compiled with. */
export interface WhatIfOrders {
  compiled: CompiledBook;
  goods: Good[];
  orders: readonly PreparedOrder[];
}

/**
 * What a customer is charged for a choice without the tax in it; null where it is not among those offered. An order from
 * elsewhere names the rate alone: its first choice stands for it.
 */
export const netCharge = (choices: readonly Choice[], id: string): number | null => {
  const choice = choices.find((one) => one.id === id) ?? choices.find((one) => one.id.startsWith(`${id}:`));
  return choice ? choice.charge - (choice.taxIncluded ? choice.tax : 0) : null;
};

/** The account that prices the rate an order was sent by; null where no carrier prices it. */
const pricedBy = ({ book }: CompiledBook, { order }: CostedOrder): string | null => {
  const price = book.rates.find(({ id }) => id === order.chosen.of?.rateId)?.price;
  return price?.kind === 'carrier' ? price.accountId : null;
};

/** The account whose carrier took it: the one that priced it, else the one it was booked with. */
const accountOf = (compiled: CompiledBook, costed: CostedOrder): string | null =>
  pricedBy(compiled, costed) ??
  compiled.book.carriers.find(({ carrier }) => carrier === costed.order.shipment?.carrier)?.id ??
  null;

/** An order with what carriers say to it, asked only where one prices what was chosen: asking takes packing. */
const answered = (compiled: CompiledBook, costed: CostedOrder, order: OrderContext): OrderContext =>
  pricedBy(compiled, costed) === null ? order : withAnswers(order, compiled.ask?.(questionsOf(order)) ?? []);

/** A past order measured once, for levers; null where its goods are not known any more. */
export const preparedOrder = (compiled: CompiledBook, costed: CostedOrder): PreparedOrder | null => {
  const { request, chosen } = costed.order;
  if (requestFaults(compiled, request).length > 0) return null;
  const context = answered(compiled, costed, orderContext(compiled, request));
  const charge = netCharge(choicesOfOneWay(context, chosen.of ?? {}), chosen.id);
  return { costed, context, accountId: accountOf(compiled, costed), charge };
};
