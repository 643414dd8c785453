import type { Step, StepsPrice } from '../../../core/model/price.ts';

/** Whether each step begins above the one before it. */
export const isInOrder = (steps: readonly Step[]): boolean =>
  steps.every((step, at) => at === 0 || (steps[at - 1] as Step).from < step.from);

export const inOrder = (steps: readonly Step[]): Step[] => [...steps].sort((a, b) => a.from - b.from);

const ONE: Record<StepsPrice['basis'], number> = {
  weight: 1_000,
  subtotal: 1_000,
  units: 1,
  volume: 1_000_000,
  distance: 1_000,
};

/** A step to go on from the last: as far on as the last two are apart, at the last charge. */
export const nextStep = ({ basis, steps }: StepsPrice): Step => {
  const ordered = inOrder(steps);
  const last = ordered.at(-1) ?? { from: 0, amount: 0 };
  const gap = last.from - (ordered.at(-2)?.from ?? last.from);
  return { from: last.from + (gap > 0 ? gap : ONE[basis]), amount: last.amount };
};
