import { roundedBound, roundedMeasure } from '../model/measured.ts';
import type { Each, Measure, Step, StepsPrice } from '../model/price.ts';
import type { Message } from '../words/message.ts';
import { multiplyDivide, pointsOf } from './rounding.ts';

/** Tiers with their steps in order of `from`; of steps with one `from`, the first listed stands. */
export interface SortedTiers {
  basis: Measure;
  froms: readonly number[];
  steps: readonly Step[];
  until: number | undefined;
}

export type Priced =
  | { ok: true; amount: number; say: Extract<Message, { code: 'tier' }> }
  | { ok: false; code: 'below-first-step' | 'above-last-step'; say: Message };

/** The steps of a price in order, ready to be searched. */
export const sortTiers = (price: StepsPrice): SortedTiers => {
  const { basis } = price;
  const seen = new Set<number>();
  const steps = price.steps
    .map((step) => ({ step, from: roundedMeasure(basis, step.from) }))
    .sort((a, b) => a.from - b.from)
    .filter(({ from }) => !seen.has(from) && seen.add(from));
  return {
    basis,
    froms: steps.map(({ from }) => from),
    steps: steps.map(({ step }) => step),
    until: roundedBound(basis, price.until),
  };
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

/** A difference of two figures that were rounded to 0.001 may be off by so much. */
const SLACK = 0.0015;
/** Imperial units are whole numbers of these parts of a gram or a millimetre. */
const PARTS = 100_000;

const begunSizes = (above: number, size: number): number =>
  Number.isInteger(above) && Number.isInteger(size)
    ? Math.ceil(above / size)
    : Math.max(0, Math.ceil((above - SLACK) / size));

const inProportion = (above: number, amount: number, size: number): number =>
  Number.isInteger(above) && Number.isInteger(size)
    ? multiplyDivide(above, amount, size)
    : multiplyDivide(Math.round(above * PARTS), amount, Math.round(size * PARTS));

/** What `each` adds for what lies above a step: begun sizes, or in proportion and rounded. */
export const eachAmount = ({ count, size, amount }: Each, above: number): number =>
  count === 'started' ? begunSizes(above, size) * amount : inProportion(above, amount, size);

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
