import type { Step } from '../model/price.ts';
import { quantile } from './quantile.ts';

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
}

/** Steps that follow costs. */
export interface FittedSteps {
  steps: Step[];
  /** How far charge and cost lie apart in the mean, and what is charged above all costs; minor units. */
  apart: number;
  margin: number;
}

/** One stretch priced by one step. */
interface Stretch {
  amount: number;
  apart: number;
}

/** Costs by the place where a step could begin, the lesser first. */
const byGrain = (orders: readonly CostAt[], grain: number): { from: number; costs: number[] }[] => {
  const groups = new Map<number, number[]>();
  for (const { value, cost } of orders) {
    const from = Math.floor(value / grain) * grain;
    const costs = groups.get(from);
    if (costs) costs.push(cost);
    else groups.set(from, [cost]);
  }
  return [...groups].map(([from, costs]) => ({ from, costs })).sort((a, b) => a.from - b.from);
};

/** The least amount that covers the share of some rising costs, and how far it lies from them all. */
const stretchOf = (costs: readonly number[], covered: number): Stretch => {
  const amount = quantile(costs, covered);
  return { amount, apart: costs.reduce((sum, cost) => sum + Math.abs(amount - cost), 0) };
};

/** The best way to price the groups before an end with some number of steps. */
interface Best {
  apart: number;
  begin: number;
}
const NEVER: Best = { apart: Number.POSITIVE_INFINITY, begin: -1 };

/** `best[k][end]`: the first `end` groups in k steps, each from `begin` to the end of the one before it. */
const oneMoreStep = (before: readonly Best[], stretches: readonly (readonly Stretch[])[]): Best[] =>
  before.map((_, end) => {
    let best = NEVER;
    for (let begin = 0; begin < end; begin += 1) {
      const apart = (before[begin] as Best).apart + (stretches[begin]?.[end - begin - 1]?.apart ?? 0);
      if (apart < best.apart) best = { apart, begin };
    }
    return best;
  });

const stretchesOf = (groups: readonly { costs: readonly number[] }[], covered: number): Stretch[][] =>
  groups.map((_, begin) => {
    const costs: number[] = [];
    return groups.slice(begin).map((group) => {
      costs.push(...group.costs);
      costs.sort((a, b) => a - b);
      return stretchOf(costs, covered);
    });
  });

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
 * The fewest steps that follow what orders cost: each covers the costs of a share of its orders, and charge and cost
 * lie no further apart in the mean than a bound. Of as many steps, those that lie nearest. Found exactly, by dynamic
 * programming over the stretches between the places where a step may begin. Where no number of steps keeps the bound,
 * the steps that come nearest. No orders give no steps.
 */
export const fewestSteps = (
  orders: readonly CostAt[],
  { covered, apart, grain }: StepsBound,
): FittedSteps => {
  const groups = byGrain(orders, grain);
  if (groups.length === 0) return { steps: [], apart: 0, margin: 0 };
  const stretches = stretchesOf(groups, covered);
  const end = groups.length;
  const rows: Best[][] = [[{ apart: 0, begin: -1 }, ...groups.map(() => NEVER)]];
  let found = 0;
  for (let count = 1; count <= end; count += 1) {
    const row = oneMoreStep(rows[count - 1] as Best[], stretches);
    rows.push(row);
    if ((row[end] as Best).apart < (rows[found]?.[end] as Best).apart) found = count;
    if ((row[end] as Best).apart <= apart * orders.length) break;
  }
  const steps: Step[] = [];
  let to = end;
  for (let count = found; count > 0; count -= 1) {
    const { begin } = (rows[count] as Best[])[to] as Best;
    const amount = stretches[begin]?.[to - begin - 1]?.amount ?? 0;
    steps.unshift({ from: begin === 0 ? 0 : (groups[begin]?.from ?? 0), amount });
    to = begin;
  }
  return judged(steps, orders);
};
