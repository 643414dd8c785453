import { fault, type Result } from '../model/fault.ts';
import type { OrderStatus, PastOrder } from '../model/order.ts';

/** The states that an order goes through by its kind, from placed to handed over. */
const PATHS: Record<PastOrder['chosen']['kind'], readonly OrderStatus[]> = {
  shipping: ['placed', 'packed', 'booked', 'handed-over'],
  delivery: ['placed', 'packed', 'on-its-way', 'handed-over'],
  pickup: ['placed', 'packed', 'ready', 'handed-over'],
  'nothing-to-ship': ['placed', 'handed-over'],
};

const isOver = ({ status }: PastOrder): boolean => status === 'handed-over' || status === 'cancelled';

/**
 * The states an order can go to next, the one to be expected first: the next of its kind's; a parcel that is packed
 * may also be handed over without being booked; anything that is not over may be cancelled.
 */
export const nextStatuses = (order: PastOrder): OrderStatus[] => {
  if (isOver(order)) return [];
  const path = PATHS[order.chosen.kind];
  const at = path.indexOf(order.status);
  const next = path[at + 1];
  const unbooked: OrderStatus[] =
    order.chosen.kind === 'shipping' && order.status === 'packed' ? ['handed-over'] : [];
  return [...(next ? [next] : []), ...unbooked, 'cancelled'];
};

const MOST_HISTORY = 100;

/** An order in a state from an instant on. Of a history of a hundred steps the first stays, and the oldest after it goes. */
export const withStatus = (order: PastOrder, status: OrderStatus, at: string): PastOrder => {
  const [first, ...later] = [...order.history, { status, at }];
  return { ...order, status, history: first ? [first, ...later.slice(1 - MOST_HISTORY)] : later };
};

/** An order in its next state, at an instant. A fault where that state is not one of the next. */
export const movedTo = (order: PastOrder, status: OrderStatus, at: string): Result<PastOrder> =>
  nextStatuses(order).includes(status)
    ? { ok: true, value: withStatus(order, status, at) }
    : { ok: false, faults: [fault('status-not-next', '')] };

/**
 * The state an order was in before the last one, as a step of its own: what happened stays in its history. Null for
 * an order that was only placed.
 */
export const steppedBack = (order: PastOrder, at: string): PastOrder | null => {
  const earlier = statusBefore(order);
  return earlier === null ? null : withStatus(order, earlier, at);
};

/** The last state in the history that differs from the present one and lies before it on the way. */
const statusBefore = ({ history, status, chosen }: PastOrder): OrderStatus | null => {
  const path = PATHS[chosen.kind];
  const rank = status === 'cancelled' ? path.length : path.indexOf(status);
  const earlier = history.findLast((one) => one.status !== 'cancelled' && path.indexOf(one.status) < rank);
  return earlier?.status ?? null;
};
