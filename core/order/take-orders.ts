import type { PastOrder } from '../model/order.ts';
import { isLater, isSameOrder } from './merge-orders.ts';
import { withStatus } from './hand-over.ts';

/** What orders of a file come to beside those that are here. */
export interface OrdersTaken {
  /** The orders to put beside those here: new ones, and those here as the file changes them. */
  orders: PastOrder[];
  added: number;
  /** The numbers of orders that were here and changed. */
  updated: string[];
  /** The numbers under which another order was here already: those of the file get one of their own. */
  renumbered: string[];
  /** How many were here already, just so. */
  same: number;
}

/** What a table may change of an order that was placed; its goods and its charge stay what they were. */
const CHANGEABLE = ['recipient', 'contact', 'cost', 'payment'] as const;

const isAlike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** An order that is here with what the file says of it otherwise; null where it says nothing new. */
const changedBy = (here: PastOrder, read: PastOrder, at: string, hasState: boolean): PastOrder | null => {
  if (isLater(read, here)) return { ...here, ...read };
  const changes = Object.fromEntries(
    CHANGEABLE.flatMap((field) =>
      read[field] === undefined || isAlike(read[field], here[field]) ? [] : [[field, read[field]]],
    ),
  );
  const isMoved = hasState && read.status !== here.status && read.history.length === 1;
  if (!isMoved && Object.keys(changes).length === 0) return null;
  return withStatus({ ...here, ...changes }, isMoved ? read.status : here.status, at);
};

/**
 * Orders of a file beside those that are here, at an instant. One with the number and the moment of an order here is
 * that order: its state, recipient, contact, cost and payment are brought up to date, as a step of its history; the
 * state is left where the file says none (`stateless`, by number).
 */
export const takeOrders = (
  here: readonly PastOrder[],
  read: readonly PastOrder[],
  at: string,
  stateless: ReadonlySet<string> = new Set(),
): OrdersTaken => {
  const known = new Map(here.map((order) => [order.number, order]));
  const taken: OrdersTaken = { orders: [], added: 0, updated: [], renumbered: [], same: 0 };
  for (const order of read) {
    const there = known.get(order.number);
    const isSame = there !== undefined && isSameOrder(there, order);
    const next = isSame ? changedBy(there, order, at, !stateless.has(order.number)) : order;
    if (!next) {
      taken.same += 1;
      continue;
    }
    taken.orders.push(next);
    if (isSame) taken.updated.push(order.number);
    else taken.added += 1;
    if (there && !isSame) taken.renumbered.push(order.number);
  }
  return taken;
};
