import type { PastOrder } from '../model/order.ts';

const isSame = (a: PastOrder, b: PastOrder): boolean =>
  a.request.placedAt === b.request.placedAt && a.recipient === b.recipient;

const freeNumber = (number: string, taken: ReadonlyMap<string, PastOrder>): string => {
  let at = 2;
  while (taken.has(`${number}-${at}`)) at += 1;
  return `${number}-${at}`;
};

/**
 * Two lists of orders as one, oldest first; the first list itself where the second adds nothing. An order in
 * both is the one with the longer history; two orders that got one number are both kept, the second's with
 * a mark.
 */
export const mergeOrders = (first: PastOrder[], second: readonly PastOrder[]): PastOrder[] => {
  const orders = new Map(first.map((order) => [order.number, order]));
  let changed = false;
  for (const order of second) {
    const there = orders.get(order.number);
    if (there && isSame(there, order) && there.history.length >= order.history.length) continue;
    const number = there && !isSame(there, order) ? freeNumber(order.number, orders) : order.number;
    orders.set(number, number === order.number ? order : { ...order, number });
    changed = true;
  }
  if (!changed) return first;
  return [...orders.values()].sort(
    (a, b) =>
      Date.parse(a.request.placedAt) - Date.parse(b.request.placedAt) || (a.number < b.number ? -1 : 1),
  );
};
