import type { PastOrder } from '../model/order.ts';

/** Whether two of one number are one order: both were placed at the same instant. */
export const isSameOrder = (a: PastOrder, b: PastOrder): boolean =>
  Date.parse(a.request.placedAt) === Date.parse(b.request.placedAt);

const lastStep = ({ history }: PastOrder): number => Date.parse(history.at(-1)?.at ?? '');

/** Whether an order is a later state of another: its last step is later, or as late after more steps. */
export const isLater = (order: PastOrder, than: PastOrder): boolean => {
  const [mine, other] = [lastStep(order), lastStep(than)];
  return mine > other || (mine === other && order.history.length > than.history.length);
};

const freeNumber = (number: string, taken: ReadonlyMap<string, PastOrder>): string => {
  let at = 2;
  while (taken.has(`${number}-${at}`)) at += 1;
  return `${number}-${at}`;
};

/**
 * Two lists of orders as one, oldest first; the first list itself where the second adds nothing. An order in
 * both is the one whose last step is later; two orders that got one number are both kept, the second's with
 * a mark.
 */
export const mergeOrders = (first: PastOrder[], second: readonly PastOrder[]): PastOrder[] => {
  const orders = new Map(first.map((order) => [order.number, order]));
  let changed = false;
  for (const order of second) {
    const there = orders.get(order.number);
    if (there && isSameOrder(there, order) && !isLater(order, there)) continue;
    const number = there && !isSameOrder(there, order) ? freeNumber(order.number, orders) : order.number;
    orders.set(number, number === order.number ? order : { ...order, number });
    changed = true;
  }
  if (!changed) return first;
  return [...orders.values()].sort(
    (a, b) =>
      Date.parse(a.request.placedAt) - Date.parse(b.request.placedAt) || (a.number < b.number ? -1 : 1),
  );
};
