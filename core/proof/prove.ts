import type { PastOrder } from '../model/order.ts';
import type { Trial } from '../model/trial.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import { checkTrial, type TrialResult } from './check-trial.ts';
import { countTouched } from './touched.ts';

/** How many trials and past orders a rule touches. */
export interface Touches {
  trials: number;
  orders: number;
}

/** The trials put through a book, and what each adjustment touches; null where that was not asked. */
export interface Proof {
  results: TrialResult[];
  touches: Record<string, Touches> | null;
}

const touchedByOrders = (compiled: CompiledBook, orders: readonly PastOrder[]): Map<string, number> => {
  const touched = new Map<string, number>();
  if (compiled.adjustments.length === 0) return touched;
  for (const { request } of orders)
    if (requestFaults(compiled, request).length === 0) countTouched(touched, quote(compiled, request));
  return touched;
};

/**
 * Every trial against what it should give. Where past orders are handed in, also how many trials and past orders
 * each adjustment touches; every one of them is quoted for it.
 */
export const prove = (
  compiled: CompiledBook,
  trials: readonly Trial[],
  orders: readonly PastOrder[] | null,
): Proof => {
  const byTrials = new Map<string, number>();
  const results = trials.map((trial) => {
    const { result, quote: quoted } = checkTrial(compiled, trial);
    if (quoted) countTouched(byTrials, quoted);
    return result;
  });
  if (orders === null) return { results, touches: null };
  const byOrders = touchedByOrders(compiled, orders);
  const touches = Object.fromEntries(
    compiled.book.adjustments.map(({ id }) => [
      id,
      { trials: byTrials.get(id) ?? 0, orders: byOrders.get(id) ?? 0 },
    ]),
  );
  return { results, touches };
};
