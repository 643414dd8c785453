import type { Each, Measure, Step, TiersPrice } from '../model/price.ts';
import type { Say } from '../words/say.ts';
import { multiplyDivide, pointsOf } from './rounding.ts';

/** Tiers with their steps in order of `from`; of steps with one `from`, the first listed stands. */
export interface SortedTiers {
  basis: Measure;
  froms: readonly number[];
  steps: readonly Step[];
  until: number | undefined;
}

export type Priced =
  | { ok: true; amount: number; say: Extract<Say, { code: 'tier' }> }
  | { ok: false; code: 'below-first-step' | 'above-last-step'; say: Say };

/** The steps of a price in order, ready to be searched. */
export const sortTiers = (price: TiersPrice): SortedTiers => {
  const seen = new Set<number>();
  const steps = [...price.steps]
    .sort((a, b) => a.from - b.from)
    .filter((step) => !seen.has(step.from) && seen.add(step.from));
  return { basis: price.basis, froms: steps.map((step) => step.from), steps, until: price.until };
};

/** How many steps begin at or below the value. */
const reached = (froms: readonly number[], value: number): number => {
  let low = 0;
  let high = froms.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((froms[middle] as number) <= value) low = middle + 1;
    else high = middle;
  }
  return low;
};

/** What `each` adds for what lies above a step: begun sizes, or in proportion and rounded. */
export const eachAmount = (each: Each, above: number): number =>
  each.count === 'started'
    ? Math.ceil(above / each.size) * each.amount
    : multiplyDivide(above, each.amount, each.size);

/**
 * The price of a measured value: the step with the greatest `from` it reaches, what `each` adds, and
 * the percentage of the subtotal, rounded for itself. Below the first step and from `until` on there is none.
 */
export const priceByTiers = (tiers: SortedTiers, value: number, subtotal: number): Priced => {
  const { basis, until } = tiers;
  if (until !== undefined && value >= until) {
    return {
      ok: false,
      code: 'above-last-step',
      say: { code: 'above-last-step', measure: basis, value, until },
    };
  }
  const step = tiers.steps[reached(tiers.froms, value) - 1];
  if (!step) {
    const first = tiers.froms[0] ?? 0;
    return {
      ok: false,
      code: 'below-first-step',
      say: { code: 'below-first-step', measure: basis, value, first },
    };
  }
  const added = step.each ? eachAmount(step.each, value - step.from) : 0;
  const share = step.percent === undefined ? 0 : pointsOf(subtotal, step.percent);
  const { from, amount, each, percent } = step;
  return {
    ok: true,
    amount: amount + added + share,
    say: { code: 'tier', measure: basis, value, from, amount, each, added, percent, share },
  };
};
