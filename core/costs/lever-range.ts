import type { Book } from '../model/book.ts';
import type { CostedOrder } from './costed-order.ts';
import { isInPercent, leverValue, type Lever, type LeverValue } from './lever.ts';
import { quantile } from './quantile.ts';

/** About so many values along a lever. */
const VALUES = 40;
/** Hundredths of a percent. */
const PERCENT_RANGE: Record<'raise-percent' | 'carrier-increase', readonly [number, number]> = {
  'raise-percent': [-3_000, 5_000],
  'carrier-increase': [-1_000, 3_000],
};

/** The 1, 2 or 5 times a power of ten that cuts a stretch into no more than so many parts; a whole number. */
export const evenStep = (stretch: number, parts: number): number => {
  const least = Math.max(stretch / parts, 1);
  const power = 10 ** Math.floor(Math.log10(least));
  return ([1, 2, 5].find((times) => times * power >= least) ?? 10) * power;
};

const numbers = (orders: readonly CostedOrder[], of: (order: CostedOrder) => number | null): number[] =>
  orders.flatMap((order) => of(order) ?? []).sort((a, b) => a - b);

/** The least and the greatest value that is worth a look. */
const rangeOf = (lever: Lever, today: LeverValue, orders: readonly CostedOrder[]): [number, number] => {
  switch (lever.kind) {
    case 'raise-percent':
    case 'carrier-increase':
      return [...PERCENT_RANGE[lever.kind]];
    case 'free-from':
    case 'adjustment-from':
    case 'minimum-order':
      return [
        0,
        Math.max(
          (today ?? 0) * 2,
          quantile(
            numbers(orders, ({ subtotal }) => subtotal),
            0.95,
          ),
        ),
      ];
    case 'raise-amount': {
      const most = quantile(
        numbers(orders, ({ charged }) => charged),
        0.9,
      );
      return [-Math.round(most / 2), most];
    }
    default: {
      const most = quantile(
        numbers(orders, ({ charged, cost }) => Math.max(charged, cost ?? 0)),
        0.95,
      );
      return [0, Math.max((today ?? 0) * 2, most)];
    }
  }
};

/**
 * Some forty values along a lever, rising, at even figures, with today's among them; a lever that stands nowhere yet
 * begins with that. In the units of the lever.
 */
export const leverValues = (book: Book, lever: Lever, orders: readonly CostedOrder[]): LeverValue[] => {
  const today = leverValue(book, lever);
  const [from, to] = rangeOf(lever, today, orders);
  const step = isInPercent(lever) ? (to - from) / VALUES : evenStep(to - from, VALUES);
  const first = Math.ceil(from / step) * step;
  const values = new Set<number>();
  for (let value = first; value <= to; value += step) values.add(value);
  if (today !== null) values.add(today);
  const rising = [...values].sort((a, b) => a - b);
  return today === null ? [null, ...rising] : rising;
};
