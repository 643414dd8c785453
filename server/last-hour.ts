import { readingOf, type Reading } from './metric-reading.ts';

const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;
/** Of readings nearer than this a rate by the minute says nothing. */
const LEAST_APART_MS = 5_000;

/** What came to pass between two readings; counts by the minute, times in milliseconds. */
export interface Stretch {
  from: number;
  to: number;
  offered: number;
  nothing: number;
  refused: number;
  /** Half of the orders, and all but one in a hundred, took no longer; null where none was quoted. */
  median: number | null;
  slowest: number | null;
  answered: number;
  failed: number;
  fallbacks: number;
}

/** How much a count grew. The sum over all processes falls when one of them ends; what it had counted is no burst. */
const grown = (was: number, now: number): number => Math.max(0, now - was);

/** Where a share of the orders lies between the bounds of a histogram, straight between two; milliseconds, or null without orders. */
export const timeOf = (share: number, was: Reading['within'], now: Reading['within']): number | null => {
  const counts = now.map(({ seconds, orders }) => ({
    seconds,
    orders: grown(was.find((one) => one.seconds === seconds)?.orders ?? 0, orders),
  }));
  const all = counts.at(-1)?.orders ?? 0;
  if (all === 0) return null;
  const wanted = share * all;
  const at = counts.findIndex(({ orders }) => orders >= wanted);
  const [below, bound] = [counts[at - 1] ?? { seconds: 0, orders: 0 }, counts[at]];
  if (!bound) return null;
  if (bound.seconds === Infinity) return below.seconds * 1_000;
  const into = (wanted - below.orders) / (bound.orders - below.orders || 1);
  return (below.seconds + into * (bound.seconds - below.seconds)) * 1_000;
};

const stretchOf = (was: Reading, now: Reading): Stretch => {
  const minutes = (now.at - was.at) / MINUTE_MS;
  const rate = (of: (reading: Reading) => number): number => grown(of(was), of(now)) / minutes;
  return {
    from: was.at,
    to: now.at,
    offered: rate(({ quotes }) => quotes.offered),
    nothing: rate(({ quotes }) => quotes.nothing),
    refused: rate(({ quotes }) => quotes.refused),
    median: timeOf(0.5, was.within, now.within),
    slowest: timeOf(0.99, was.within, now.within),
    answered: rate(({ carriers }) => carriers.answered),
    failed: rate(({ carriers }) => carriers.failed),
    fallbacks: rate(({ fallbacks }) => fallbacks),
  };
};

/** The readings of the last hour, of all processes together; each process keeps its own. */
export class LastHour {
  #readings: Reading[] = [];

  /** Takes the text of `/metrics` at a moment, unless it was just taken; what is older than an hour is let go. */
  take(text: string, at: number): void {
    const last = this.#readings.at(-1);
    if (last && at < last.at + LEAST_APART_MS) return;
    this.#readings = [...this.#readings.filter((one) => one.at >= at - HOUR_MS), readingOf(text, at)];
  }

  /** What came to pass between each reading and the one before, oldest first. */
  stretches(): Stretch[] {
    return this.#readings.slice(1).map((now, at) => stretchOf(this.#readings[at] as Reading, now));
  }

  /** Why choices were not offered since the first reading, the most frequent first. */
  withheld(): { code: string; count: number }[] {
    const [first, last] = [this.#readings[0], this.#readings.at(-1)];
    if (!first || !last) return [];
    return [...last.withheld]
      .map(([code, now]) => ({ code, count: grown(first.withheld.get(code) ?? 0, now) }))
      .filter(({ count }) => count > 0)
      .sort((a, b) => b.count - a.count || (a.code < b.code ? -1 : 1));
  }
}
