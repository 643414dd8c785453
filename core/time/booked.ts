import type { QuoteRequest } from '../model/request.ts';

/** How many orders are taken that begin in [from, to), in milliseconds since 1970. */
export type BookedCount = (from: number, to: number) => number;

/** The first place of a sorted list whose value is not below `value`. */
const firstNotBelow = (sorted: Float64Array, value: number): number => {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((sorted[middle] as number) < value) low = middle + 1;
    else high = middle;
  }
  return low;
};

const counter = (orders: readonly { at: number; count: number }[]): BookedCount => {
  const sorted = [...orders].sort((a, b) => a.at - b.at);
  const starts = Float64Array.from(sorted, ({ at }) => at);
  const before = new Float64Array(sorted.length + 1);
  sorted.forEach(({ count }, at) => (before[at + 1] = (before[at] as number) + count));
  return (from, to) =>
    (before[firstNotBelow(starts, to)] as number) - (before[firstNotBelow(starts, from)] as number);
};

/**
 * The orders that were taken, by what they were taken for (a pickup point's id, or 'area:way'), ready to be
 * counted: a look-up costs what the logarithm of their number does. Orders for one moment are added up first.
 */
export const indexBooked = (
  taken: NonNullable<QuoteRequest['slotsTaken']>,
): ReadonlyMap<string, BookedCount> => {
  const byId = new Map<string, Map<string, number>>();
  for (const { id, start, count } of taken) {
    const counts = byId.get(id) ?? new Map<string, number>();
    if (counts.size === 0) byId.set(id, counts);
    counts.set(start, (counts.get(start) ?? 0) + count);
  }
  return new Map(
    [...byId].map(([id, counts]) => [
      id,
      counter([...counts].map(([start, count]) => ({ at: Date.parse(start), count }))),
    ]),
  );
};

/** Nothing was taken. */
export const NOTHING_BOOKED: BookedCount = () => 0;
