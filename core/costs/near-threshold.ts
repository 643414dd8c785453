import type { CostedOrder } from './costed-order.ts';
import { evenStep } from './lever-range.ts';

/** How many orders have a subtotal from one figure on, to less than the next; minor units. */
export interface SubtotalBin {
  from: number;
  to: number;
  orders: number;
}

/** How subtotals lie around the figure from which delivery is free. */
export interface NearThreshold {
  threshold: number;
  bins: SubtotalBin[];
  /** Orders at or above the figure, and what is free for them. */
  reached: number;
  /** Orders that stop short of it by no more than `short`, which is a fifth of it. */
  justShort: number;
  short: number;
  orders: number;
}

const BINS = 24;

/** The subtotals of orders in even steps up to twice a threshold, with all that is above in the last; minor units. */
export const nearThreshold = (orders: readonly CostedOrder[], threshold: number): NearThreshold => {
  const subtotals = orders.flatMap(({ subtotal }) => subtotal ?? []);
  const width = evenStep(threshold * 2, BINS);
  const count = Math.max(1, Math.ceil((threshold * 2) / width));
  const bins = Array.from({ length: count }, (_, at) => ({
    from: at * width,
    to: (at + 1) * width,
    orders: 0,
  }));
  for (const subtotal of subtotals) {
    const bin = bins[Math.min(Math.floor(subtotal / width), count - 1)];
    if (bin) bin.orders += 1;
  }
  const short = Math.round(threshold / 5);
  return {
    threshold,
    bins,
    reached: subtotals.filter((subtotal) => subtotal >= threshold).length,
    justShort: subtotals.filter((subtotal) => subtotal < threshold && subtotal >= threshold - short).length,
    short,
    orders: subtotals.length,
  };
};
