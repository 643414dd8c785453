/** Rounds a figure is measured in; the garbage of one is collected before the next. */
const ROUNDS = 7;

export interface Measured {
  /** Milliseconds of the median and of the best round. */
  median: number;
  best: number;
}

declare const gc: (() => void) | undefined;

/** Seven rounds of a piece of work after one to warm up. */
export const measure = async (work: () => unknown): Promise<Measured> => {
  await work();
  const rounds: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    if (typeof gc === 'function') gc();
    const start = performance.now();
    await work();
    rounds.push(performance.now() - start);
  }
  rounds.sort((a, b) => a - b);
  return { median: rounds[Math.floor(ROUNDS / 2)] ?? 0, best: rounds[0] ?? 0 };
};

/** Bytes that stay in use after a piece of work, while its result is held. */
export const heldBy = (work: () => unknown): number => {
  if (typeof gc !== 'function') return Number.NaN;
  gc();
  const before = process.memoryUsage().heapUsed;
  const held = work();
  gc();
  const after = process.memoryUsage().heapUsed;
  return held === undefined ? 0 : after - before;
};

/** A generator of numbers from 0 to 1, the same for the same seed (mulberry32). */
export const seeded = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
};
