import type { Step } from '../model/price.ts';

/** What a carrier takes for a weight in grams, and how many orders that stands for. */
export interface CostPoint {
  weight: number;
  cost: number;
  orders: number;
}

/** Steps by weight that cover what the carrier takes. */
export interface ProposedSteps {
  steps: Step[];
  /** How many orders the steps cover, of all; and what is charged above cost, or below it, in minor units. */
  covered: number;
  orders: number;
  over: number;
  under: number;
}

/** One way of pricing a stretch of weights: the amount, how many orders it does not cover, and the overcharge of the others. */
interface Option {
  amount: number;
  uncovered: number;
  over: number;
}

interface Choice {
  over: number;
  from: number;
  before: number;
  option: Option | null;
}

/** Every amount that is worth considering for some points: covering all, all but the dearest, and so on within the limit. */
const optionsFor = (points: readonly CostPoint[], most: number): Option[] => {
  const falling = [...points].sort((a, b) => b.cost - a.cost);
  const options: Option[] = [];
  let uncovered = 0;
  for (let at = 0; at < falling.length && uncovered <= most; at += 1) {
    const amount = (falling[at] as CostPoint).cost;
    const over = falling.slice(at).reduce((sum, { cost, orders }) => sum + (amount - cost) * orders, 0);
    if (at === 0 || amount < (falling[at - 1] as CostPoint).cost) options.push({ amount, uncovered, over });
    uncovered += (falling[at] as CostPoint).orders;
  }
  return options;
};

const NEVER: Choice = { over: Number.POSITIVE_INFINITY, from: -1, before: -1, option: null };

/** The table of the best ways to price the first weights with so many steps, leaving so many orders uncovered. */
class Proposer {
  private readonly weights: readonly number[];
  private readonly best: Choice[][][] = [];

  constructor(
    private readonly points: readonly CostPoint[],
    private readonly most: number,
    steps: number,
  ) {
    this.weights = [...new Set(points.map(({ weight }) => weight))].sort((a, b) => a - b);
    const none = (): Choice[] => Array.from({ length: most + 1 }, () => NEVER);
    for (let step = 0; step <= steps; step += 1)
      this.best.push(Array.from({ length: this.weights.length + 1 }, none));
    const first = this.best[0]?.[0];
    if (first) first[0] = { ...NEVER, over: 0 };
    this.fill(steps);
  }

  private fill(steps: number): void {
    for (let from = 0; from < this.weights.length; from += 1)
      for (let to = from + 1; to <= this.weights.length; to += 1) {
        const options = this.stretch(from, to);
        for (let step = 1; step <= steps; step += 1) this.extend(step, from, to, options);
      }
  }

  private stretch(from: number, to: number): Option[] {
    const least = this.weights[from] as number;
    const greatest = this.weights[to - 1] as number;
    return optionsFor(
      this.points.filter(({ weight }) => weight >= least && weight <= greatest),
      this.most,
    );
  }

  private extend(step: number, from: number, to: number, options: readonly Option[]): void {
    const before = this.best[step - 1]?.[from];
    const here = this.best[step]?.[to];
    if (!before || !here) return;
    for (const option of options)
      for (let left = 0; left + option.uncovered <= this.most; left += 1) {
        const over = (before[left] as Choice).over + option.over;
        const at = left + option.uncovered;
        if (over < (here[at] as Choice).over) here[at] = { over, from, before: left, option };
      }
  }

  /** The steps of the best way, the first from nothing. */
  steps(): Step[] {
    const last = this.weights.length;
    let [step, uncovered, over] = [0, 0, Number.POSITIVE_INFINITY];
    this.best.forEach((ways, steps) =>
      ways[last]?.forEach((choice, at) => {
        if (choice.over < over) [step, uncovered, over] = [steps, at, choice.over];
      }),
    );
    const steps: Step[] = [];
    for (let to = last; step > 0; step -= 1) {
      const choice = this.best[step]?.[to]?.[uncovered] as Choice;
      steps.unshift({ from: this.begins(choice.from), amount: choice.option?.amount ?? 0 });
      [to, uncovered] = [choice.from, choice.before];
    }
    return steps;
  }

  /** A stretch begins just above the weights before it, for what the carrier takes holds up to and including its weight. */
  private begins(from: number): number {
    return from === 0 ? 0 : (this.weights[from - 1] as number) + 1;
  }
}

const amountAt = (steps: readonly Step[], weight: number): number =>
  steps.reduce((amount, step) => (step.from <= weight ? step.amount : amount), 0);

/**
 * The weight steps, at most so many, that charge the least above what the carrier takes while they cover it for
 * at least `share` of the orders (in points: 10,000 is all). Found exactly, by dynamic programming over stretches
 * of weights and the orders left uncovered. Neighbouring steps of one amount are one. No points give no steps.
 */
export const proposeSteps = (points: readonly CostPoint[], most: number, share: number): ProposedSteps => {
  const orders = points.reduce((sum, point) => sum + point.orders, 0);
  if (orders === 0 || most < 1) return { steps: [], covered: 0, orders: 0, over: 0, under: 0 };
  const uncovered = orders - Math.ceil((orders * share) / 10_000);
  const steps = new Proposer(points, uncovered, most)
    .steps()
    .filter((step, at, all) => at === 0 || step.amount !== all[at - 1]?.amount);
  let [covered, over, under] = [0, 0, 0];
  for (const { weight, cost, orders: count } of points) {
    const margin = (amountAt(steps, weight) - cost) * count;
    if (margin >= 0) covered += count;
    if (margin >= 0) over += margin;
    else under -= margin;
  }
  return { steps, covered, orders, over, under };
};
