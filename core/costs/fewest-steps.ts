import type { Step } from '../model/price.ts';

/** What an order measures and what it cost; minor units. */
export interface CostAt {
  value: number;
  cost: number;
}

/** What the steps have to keep. */
export interface StepsBound {
  /** The share of the orders in each step whose cost its charge covers, from 0 to 1. */
  covered: number;
  /** How far charge and cost may lie apart, in the mean of all orders; minor units. */
  apart: number;
  /** Steps begin at multiples of it, in the units of the measure. */
  grain: number;
  /** Amounts are multiples of it; minor units. */
  unit: number;
  /** No more steps than these. */
  most: number;
}

/** Steps that follow costs. */
export interface FittedSteps {
  steps: Step[];
  /** How far charge and cost lie apart in the mean, and what is charged above all costs; minor units. */
  apart: number;
  margin: number;
}

/** More looks than this, at a begin, an end and an amount each, take seconds. */
const MOST_LOOKS = 100_000_000;

/** Whether the places where a step may begin, and the amounts it may have, are too many to look through. */
export const isTooFine = (orders: readonly CostAt[], { grain, unit, most }: StepsBound): boolean => {
  const places = new Set(orders.map(({ value }) => Math.floor(value / grain))).size;
  const amounts = Math.max(0, ...orders.map(({ cost }) => cost)) / unit;
  return (places ** 2 / 2) * amounts * most > MOST_LOOKS;
};

/** The orders between two places where a step may begin, by what each amount would do for them and all before them. */
interface Group {
  from: number;
  /** Up to and with this group, by the amount's place: how far amount and costs lie apart in sum. */
  apart: Float64Array;
  /** How many costs the amount covers. */
  covers: Float64Array;
  orders: number;
}

const costsByGrain = (orders: readonly CostAt[], grain: number): [from: number, costs: number[]][] => {
  const groups = new Map<number, number[]>();
  for (const { value, cost } of orders) {
    const from = Math.floor(value / grain) * grain;
    const costs = groups.get(from);
    if (costs) costs.push(cost);
    else groups.set(from, [cost]);
  }
  return [...groups].sort(([a], [b]) => a - b);
};

/** The groups with their running sums, after an empty one. */
const groupsOf = (orders: readonly CostAt[], grain: number, amounts: readonly number[]): Group[] => {
  const none = (): Float64Array => new Float64Array(amounts.length);
  const groups: Group[] = [{ from: 0, apart: none(), covers: none(), orders: 0 }];
  for (const [from, costs] of costsByGrain(orders, grain)) {
    const before = groups.at(-1) as Group;
    const group = { from, apart: none(), covers: none(), orders: before.orders + costs.length };
    amounts.forEach((amount, at) => {
      const [apart, covers] = [before.apart[at] ?? 0, before.covers[at] ?? 0];
      group.apart[at] = costs.reduce((sum, cost) => sum + Math.abs(amount - cost), apart);
      group.covers[at] = costs.reduce((sum, cost) => sum + (cost <= amount ? 1 : 0), covers);
    });
    groups.push(group);
  }
  return groups;
};

/** The best way to price the groups up to an end, the last step at an amount or below it. */
interface Best {
  apart: number;
  begin: number;
  amount: number;
}
const NEVER: Best = { apart: Number.POSITIVE_INFINITY, begin: -1, amount: -1 };

type Row = readonly (readonly Best[])[];

/** Every end and greatest amount with one step more: from each begin at each amount that covers enough of its orders. */
const oneMoreStep = (before: Row, groups: readonly Group[], covered: number): Row =>
  groups.map((last, end) => {
    let best = NEVER;
    return last.apart.reduce<Best[]>((row, _, amount) => {
      for (let begin = 0; begin < end; begin += 1) {
        const first = groups[begin] as Group;
        const covers = (last.covers[amount] ?? 0) - (first.covers[amount] ?? 0);
        if (covers < covered * (last.orders - first.orders)) continue;
        const inside = (last.apart[amount] ?? 0) - (first.apart[amount] ?? 0);
        const apart = (before[begin]?.[amount]?.apart ?? Number.POSITIVE_INFINITY) + inside;
        if (apart < best.apart) best = { apart, begin, amount };
      }
      row.push(best);
      return row;
    }, []);
  });

/** The steps of the best way that a row ends in, followed back. */
const stepsOf = (rows: readonly Row[], groups: readonly Group[], amounts: readonly number[]): Step[] => {
  const steps: Step[] = [];
  let [end, amount] = [groups.length - 1, amounts.length - 1];
  for (let count = rows.length - 1; count > 0; count -= 1) {
    const best = rows[count]?.[end]?.[amount] ?? NEVER;
    steps.unshift({
      from: best.begin === 0 ? 0 : (groups[best.begin + 1]?.from ?? 0),
      amount: amounts[best.amount] ?? 0,
    });
    [end, amount] = [best.begin, best.amount];
  }
  return steps;
};

/** How near steps come to costs. */
const judged = (steps: Step[], orders: readonly CostAt[]): FittedSteps => {
  let [apart, margin] = [0, 0];
  for (const { value, cost } of orders) {
    const amount = steps.findLast(({ from }) => from <= value)?.amount ?? 0;
    apart += Math.abs(amount - cost);
    margin += amount - cost;
  }
  return { steps, apart: Math.round(apart / orders.length), margin };
};

/**
 * The fewest steps, never falling, that follow what orders cost: each covers the costs of a share of its orders, and
 * charge and cost lie no further apart in the mean than a bound. Of as many steps, those that lie nearest. Found
 * exactly, by dynamic programming over where a step may begin and the amounts it may have. Where no number of steps
 * keeps the bound, those that come nearest. No orders give no steps.
 */
export const fewestSteps = (orders: readonly CostAt[], bound: StepsBound): FittedSteps => {
  const { covered, apart, grain, unit, most } = bound;
  if (orders.length === 0) return { steps: [], apart: 0, margin: 0 };
  const dearest = Math.max(...orders.map(({ cost }) => cost));
  const amounts = Array.from({ length: Math.ceil(dearest / unit) + 1 }, (_, at) => at * unit);
  const groups = groupsOf(orders, grain, amounts);
  const nothing = { apart: 0, begin: -1, amount: -1 };
  const rows: Row[] = [groups.map((_, end) => amounts.map(() => (end === 0 ? nothing : NEVER)))];
  const apartOf = (row: Row | undefined): number => row?.at(-1)?.at(-1)?.apart ?? Number.POSITIVE_INFINITY;
  let found = 0;
  for (let count = 1; count <= Math.min(most, groups.length - 1); count += 1) {
    rows.push(oneMoreStep(rows[count - 1] as Row, groups, covered));
    if (apartOf(rows[count]) < apartOf(rows[found])) found = count;
    if (apartOf(rows[found]) <= apart * orders.length) break;
  }
  return judged(stepsOf(rows.slice(0, found + 1), groups, amounts), orders);
};
