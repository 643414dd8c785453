import type { PastOrder } from '../model/order.ts';

/** Whether the taxes of an order are part of its prices: they are not added to what makes its total. */
export const isTaxWithin = ({ sums, chosen }: Pick<PastOrder, 'sums' | 'chosen'>): boolean =>
  sums !== undefined && sums.taxes > 0 && sums.goods + chosen.charge + (sums.prepaid ?? 0) === sums.total;
