import type { Measure, Price, StepsPrice } from '../model/price.ts';
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

const plain = (basis: Measure, pieces: Piece[], end: number): Curve => ({
  basis,
  pieces,
  dots: [],
  falls: [],
  until: undefined,
  end,
});

const MOST_UNITS = 12;

/** A flat price: level, or growing with each unit; null where it counts what has no measure. */
const flatCurve = ({ amount, per, first }: Extract<Price, { kind: 'flat' }>, reach: number): Curve | null => {
  if (per === 'order') {
    const end = Math.max(reach, 1);
    const level = first ?? amount;
    return plain('weight', [{ from: 0, to: end, start: level, end: level }], end);
  }
  if (per !== 'unit') return null;
  const pieces = Array.from({ length: MOST_UNITS }, (_, at) => {
    const charge = (first ?? amount) + at * amount;
    return { from: at + 1, to: at + 2, start: charge, end: charge };
  });
  return plain('units', pieces, MOST_UNITS + 1);
};

/** A percentage of the subtotal between its least and its greatest. */
const percentCurve = ({ points, min, max }: Extract<Price, { kind: 'percent' }>): Curve => {
  const at = (charge: number | undefined): number =>
    charge === undefined || points === 0 ? 0 : Math.ceil((charge * 10_000) / points);
  const rises = at(min);
  const levels = max === undefined ? Number.POSITIVE_INFINITY : Math.max(at(max), rises);
  const end = Math.ceil(Math.max(rises * 2, Number.isFinite(levels) ? levels * 1.3 : 0, 10_000));
  const share = (value: number): number =>
    Math.min(Math.max(Math.round((value * points) / 10_000), min ?? 0), max ?? Number.POSITIVE_INFINITY);
  const ends = [0, rises, Math.min(levels, end), end].filter(
    (value, i, all) => i === 0 || value > (all[i - 1] ?? 0),
  );
  const pieces = ends.slice(1).map((to, i) => ({
    from: ends[i] ?? 0,
    to,
    start: share(ends[i] ?? 0),
    end: share(to),
  }));
  return plain('subtotal', pieces, end);
};

const tiersCurve = (price: StepsPrice, reach: number): Curve => {
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

/** The measure that a price's line is drawn against. */
export const curveBasis = (price: Price): Measure => {
  if (price.kind === 'steps') return price.basis;
  if (price.kind === 'percent') return 'subtotal';
  return price.kind === 'flat' && price.per === 'unit' ? 'units' : 'weight';
};

/**
 * A price as a line from 0, steps without their percentages of the subtotal; `reach` is a value that must
 * be on it, such as the test order's or a limit. Steps per parcel are drawn for one parcel. Null for prices that
 * are no line: by goods, per line, per parcel.
 */
export const curveOf = (price: Price, reach: number): Curve | null => {
  if (price.kind === 'flat') return flatCurve(price, reach);
  if (price.kind === 'percent') return percentCurve(price);
  return price.kind === 'steps' ? tiersCurve(price, reach) : null;
};
