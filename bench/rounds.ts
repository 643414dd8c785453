/** Milliseconds of each round of a piece of work. */
export type Rounds = readonly number[];

/** How many times one piece of work took what another did: the median of the rounds, and their quartiles. */
export interface Ratio {
  median: number;
  low: number;
  high: number;
}

/** Rounds before those that count, while the engine still makes its code. */
const WARM_UP = 3;

const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Number.NaN;

/**
 * Runs pieces of work in turns, round by round after three to warm up, so that what else the machine does slows all of
 * them alike; in every second round in the reverse order, so that none always follows the same one.
 */
export const inRounds = <N extends string>(
  works: Readonly<Record<N, () => unknown>>,
  rounds = 21,
  now: () => number = () => performance.now(),
): Record<N, Rounds> => {
  const names = Object.keys(works) as N[];
  const times = Object.fromEntries(names.map((name) => [name, [] as number[]])) as Record<N, number[]>;
  for (let warm = 0; warm < WARM_UP; warm += 1) for (const name of names) works[name]();
  for (let round = 0; round < rounds; round += 1)
    for (const name of round % 2 === 0 ? names : [...names].reverse()) {
      const from = now();
      works[name]();
      times[name].push(now() - from);
    }
  return times;
};

/** How many times the rounds of one piece of work took those of another, round by round. */
export const ratioOf = (work: Rounds, other: Rounds): Ratio => {
  const ratios = work.map((ms, round) => ms / (other[round] ?? Number.NaN)).sort((a, b) => a - b);
  return { median: quantile(ratios, 0.5), low: quantile(ratios, 0.25), high: quantile(ratios, 0.75) };
};

/** A ratio in words: '7.80 times (7.61 to 8.02)'. */
export const ratioWords = ({ median, low, high }: Ratio): string =>
  `${median.toFixed(2)} times (${low.toFixed(2)} to ${high.toFixed(2)})`;

/** So much more counts as a loss, where three quarters of the rounds show one as well. */
const MOST_LOST = 1.05;

/** Whether a piece of work takes longer than another beyond the noise of the rounds. */
export const isLoss = ({ median, low }: Ratio): boolean => median > MOST_LOST && low > 1;
