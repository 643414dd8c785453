import type { PastOrder } from '../model/order.ts';

const placed = ({ request }: PastOrder): number => Date.parse(request.placedAt);

/** Orders by the moment they were placed, oldest first; the very same list where they are. */
export const inTime = (orders: readonly PastOrder[]): readonly PastOrder[] => {
  const moments = orders.map(placed);
  return moments.every((moment, at) => at === 0 || (moments[at - 1] ?? 0) <= moment)
    ? orders
    : [...orders].sort((a, b) => placed(a) - placed(b));
};
