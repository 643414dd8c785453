import type { CostedOrder } from './costed-order.ts';

/** Which orders are counted; a part that is left out holds for all. */
export interface OrderFilter {
  /** Placed from this instant on, and before that one. */
  from?: string;
  before?: string;
  /** Grams of what travels, the least and the greatest included. */
  minWeight?: number;
  maxWeight?: number;
  /** A handling group that some of its goods are in. */
  groupId?: string;
}

const isWithin = (value: number | null, min: number | undefined, max: number | undefined): boolean =>
  (min === undefined && max === undefined) ||
  (value !== null && value >= (min ?? value) && value <= (max ?? value));

/** Whether an order is one of those a filter counts. */
export const isCounted = (
  { from, before, minWeight, maxWeight, groupId }: OrderFilter,
  { order, weight, groupIds }: CostedOrder,
): boolean => {
  const placed = Date.parse(order.request.placedAt);
  return (
    (from === undefined || placed >= Date.parse(from)) &&
    (before === undefined || placed < Date.parse(before)) &&
    isWithin(weight, minWeight, maxWeight) &&
    (groupId === undefined || groupIds.includes(groupId))
  );
};
