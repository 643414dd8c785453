import { GRAMS_A_POUND, METRES_A_MILE, MM3_A_CUBIC_INCH } from '../model/imperial.ts';
import type { Measure, Step, StepsPrice } from '../model/price.ts';
import type { DisplayFormat } from '../words/figure.ts';

type Units = DisplayFormat['units'];

/** Whether each step begins above the one before it. */
export const isInOrder = (steps: readonly Step[]): boolean =>
  steps.every((step, at) => at === 0 || (steps[at - 1] as Step).from < step.from);

export const inOrder = (steps: readonly Step[]): Step[] => [...steps].sort((a, b) => a.from - b.from);

/** A round figure of each measure: a kilogram or a pound, ten units of currency, a litre or a hundred cubic inches. */
export const ROUND_FIGURE: Record<Units, Record<Measure, number>> = {
  metric: { weight: 1_000, subtotal: 1_000, units: 1, volume: 1_000_000, distance: 1_000 },
  imperial: {
    ...{ weight: GRAMS_A_POUND, subtotal: 1_000, units: 1, distance: METRES_A_MILE },
    volume: Math.round(100 * MM3_A_CUBIC_INCH),
  },
};

/** A step to go on from the last: as far on as the last two are apart, else by a round figure; at the last charge. */
export const nextStep = ({ basis, steps }: StepsPrice, units: Units): Step => {
  const ordered = inOrder(steps);
  const last = ordered.at(-1) ?? { from: 0, amount: 0 };
  const gap = last.from - (ordered.at(-2)?.from ?? last.from);
  const from = last.from + (gap > 0 ? gap : ROUND_FIGURE[units][basis]);
  return { from: Number(from.toFixed(9)), amount: last.amount };
};
