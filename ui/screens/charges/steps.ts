import type { DisplayFormat } from '../../../core/words/figure.ts';
import type { Step, StepsPrice } from '../../../core/model/price.ts';

type Units = DisplayFormat['units'];

/** Whether each step begins above the one before it. */
export const isInOrder = (steps: readonly Step[]): boolean =>
  steps.every((step, at) => at === 0 || (steps[at - 1] as Step).from < step.from);

export const inOrder = (steps: readonly Step[]): Step[] => [...steps].sort((a, b) => a.from - b.from);

/** How far on a first further step is: a kilogram or a pound, ten units of currency, a litre or a hundred cubic inches. */
const ONE: Record<Units, Record<StepsPrice['basis'], number>> = {
  metric: { weight: 1_000, subtotal: 1_000, units: 1, volume: 1_000_000, distance: 1_000 },
  imperial: { weight: 453.59237, subtotal: 1_000, units: 1, volume: 1_638_706, distance: 1_609.344 },
};

/** A step to go on from the last: as far on as the last two are apart, at the last charge. */
export const nextStep = ({ basis, steps }: StepsPrice, units: Units): Step => {
  const ordered = inOrder(steps);
  const last = ordered.at(-1) ?? { from: 0, amount: 0 };
  const gap = last.from - (ordered.at(-2)?.from ?? last.from);
  const from = last.from + (gap > 0 ? gap : ONE[units][basis]);
  return { from: Number(from.toFixed(9)), amount: last.amount };
};
