import type { CostedOrder } from '../../../core/costs/costed-order.ts';

/** An order behind a figure, as a list shows it. */
export type ListedOrder = Pick<CostedOrder, 'charged' | 'cost' | 'origin' | 'weight' | 'subtotal'> & {
  number: string;
  placedAt: string;
  name: string;
  town: string;
};

/** A past order as a list shows it. */
export const listed = ({ order, charged, cost, origin, weight, subtotal }: CostedOrder): ListedOrder => ({
  ...{ charged, cost, origin, weight, subtotal },
  number: order.number,
  placedAt: order.request.placedAt,
  name: order.chosen.name,
  town: order.request.destination?.city ?? '',
});

/** What an order left; without a cost it comes after all others. Minor units. */
export const margin = ({ charged, cost }: CostedOrder): number =>
  cost === null ? Number.POSITIVE_INFINITY : charged - cost;
