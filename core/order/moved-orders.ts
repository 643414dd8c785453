import type { PastOrder } from '../model/order.ts';

const DAY_MS = 86_400_000;

const moved = (instant: string, days: number): string =>
  new Date(Date.parse(instant) + days * DAY_MS).toISOString();

/** Orders moved by whole days so that the newest was placed on the day of an instant, or the day before it. */
export const movedTo = (orders: readonly PastOrder[], instant: string): PastOrder[] => {
  const newest = Math.max(...orders.map(({ request }) => Date.parse(request.placedAt)));
  const days = Math.floor((Date.parse(instant) - newest) / DAY_MS);
  return orders.map((order) => ({
    ...order,
    request: { ...order.request, placedAt: moved(order.request.placedAt, days) },
    history: order.history.map(({ status, at }) => ({ status, at: moved(at, days) })),
  }));
};
