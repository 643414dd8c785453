/** Rounds a figure is measured in; the garbage of one is collected before the next. */
const ROUNDS = 7;

export interface Measured {
  /** Milliseconds of the median and of the best round. */
  median: number;
  best: number;
}

declare const gc: (() => void) | undefined;

/** Seven rounds of a piece of work after one to warm up; `collects` is false where garbage is left to be collected as in use. */
export const measure = async (work: () => unknown, collects = true): Promise<Measured> => {
  await work();
  const rounds: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    if (collects && typeof gc === 'function') gc();
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
