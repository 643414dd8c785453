import type { Measure, StepsPrice } from '../model/price.ts';
import { eachAmount, sortTiers, type SortedTiers } from './tiers.ts';

/** One straight piece of a price drawn against its measure. */
export interface Piece {
  from: number;
  to: number;
  start: number;
  end: number;
}

/** A price as a line, with the places where it falls as the measure grows. */
export interface Curve {
  basis: Measure;
  pieces: Piece[];
  dots: { at: number; amount: number }[];
  falls: { at: number; by: number; step: number }[];
  /** Where the price ends, if it does. */
  until: number | undefined;
  end: number;
}

const MOST_STAIRS = 60;

const stairs = (tiers: SortedTiers, at: number, end: number): Piece[] => {
  const step = tiers.steps[at];
  if (!step) return [];
  const { from, amount, each } = step;
  if (!each) return [{ from, to: end, start: amount, end: amount }];
  const height = (value: number): number => amount + eachAmount(each, value - from);
  const count = Math.ceil((end - from) / each.size);
  if (each.count === 'exact' || count > MOST_STAIRS)
    return [{ from, to: end, start: height(from), end: height(end) }];
  return Array.from({ length: count }, (_, stair) => {
    const to = Math.min(end, from + (stair + 1) * each.size);
    return { from: from + stair * each.size, to, start: height(to), end: height(to) };
  });
};

/** Where the charge just before a step is above the charge at it. */
export const fallsOf = (tiers: SortedTiers): Curve['falls'] =>
  tiers.steps.flatMap((step, at) => {
    const before = tiers.steps[at - 1];
    if (!before) return [];
    const last = before.amount + (before.each ? eachAmount(before.each, step.from - 1 - before.from) : 0);
    return last > step.amount ? [{ at: step.from, by: last - step.amount, step: at }] : [];
  });

const LEAST_END: Record<Measure, number> = {
  weight: 1_000,
  subtotal: 1_000,
  units: 5,
  volume: 1_000_000,
  distance: 1_000,
};

/** A curve of these pieces, without steps. */
export const linearCurve = (basis: Measure, pieces: Piece[], end: number): Curve => ({
  basis,
  pieces,
  dots: [],
  falls: [],
  until: undefined,
  end,
});

/** The same charge for every weight up to an end. */
export const levelCurve = (charge: number, end: number): Curve =>
  linearCurve('weight', [{ from: 0, to: end, start: charge, end: charge }], end);

/** Steps as a line, without their percentages of the subtotal; those for each parcel are drawn for one parcel. */
export const tiersCurve = (price: StepsPrice, reach: number): Curve => {
  const tiers = sortTiers(price);
  const last = tiers.froms.at(-1) ?? 0;
  const end = Math.max(tiers.until ?? 0, reach, Math.ceil(last * 1.5), LEAST_END[price.basis]);
  const ends = tiers.steps.map((_, at) => Math.min(tiers.froms[at + 1] ?? end, tiers.until ?? end));
  return {
    basis: price.basis,
    pieces: tiers.steps.flatMap((step, at) =>
      (ends[at] ?? end) > step.from ? stairs(tiers, at, ends[at] ?? end) : [],
    ),
    dots: tiers.steps.map(({ from, amount }) => ({ at: from, amount })),
    falls: fallsOf(tiers),
    until: tiers.until,
    end,
  };
};
