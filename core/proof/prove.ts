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

/** The trials put through a book, and what each adjustment touches. */
export interface Proof {
  results: TrialResult[];
  touches: Record<string, Touches>;
}

const touchedByOrders = (compiled: CompiledBook, orders: readonly PastOrder[]): Map<string, number> => {
  const touched = new Map<string, number>();
  if (compiled.adjustments.length === 0) return touched;
  for (const { request } of orders)
    if (requestFaults(compiled, request).length === 0) countTouched(touched, quote(compiled, request));
  return touched;
};

/** Every trial against what it should give, and how many trials and past orders each adjustment touches. */
export const prove = (
  compiled: CompiledBook,
  trials: readonly Trial[],
  orders: readonly PastOrder[],
): Proof => {
  const byTrials = new Map<string, number>();
  const results = trials.map((trial) => {
    const { result, quote: quoted } = checkTrial(compiled, trial);
    if (quoted) countTouched(byTrials, quoted);
    return result;
  });
  const byOrders = touchedByOrders(compiled, orders);
  const touches = Object.fromEntries(
    compiled.book.adjustments.map(({ id }) => [
      id,
      { trials: byTrials.get(id) ?? 0, orders: byOrders.get(id) ?? 0 },
    ]),
  );
  return { results, touches };
};
