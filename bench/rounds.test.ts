import { inRounds, isLoss, ratioOf, ratioWords } from './rounds.ts';

/** A clock that each piece of work moves on by what it takes. */
const clocked = (): { now: () => number; take: (ms: number) => void } => {
  let at = 0;
  return { now: () => at, take: (ms) => void (at += ms) };
};

test('works run in turns, every second round the other way round, and each is timed by itself', () => {
  const { now, take } = clocked();
  const order: string[] = [];
  const work = (name: string, ms: number) => () => {
    order.push(name);
    take(ms);
  };
  const times = inRounds({ fast: work('fast', 2), slow: work('slow', 6) }, 3, now);
  expect(order.join(' ')).toBe(`${'fast slow '.repeat(3)}fast slow slow fast fast slow`);
  expect(times).toEqual({ fast: [2, 2, 2], slow: [6, 6, 6] });
  expect(ratioOf(times.slow, times.fast)).toEqual({ median: 3, low: 3, high: 3 });
});

test('a ratio is taken round by round, so that a slow moment of the machine counts for both', () => {
  const quiet = [10, 10, 50, 10, 10];
  const busy = [20, 20, 100, 20, 22];
  expect(ratioWords(ratioOf(busy, quiet))).toBe('2.00 times (2.00 to 2.00)');
});

test('a loss is one beyond the noise', () => {
  expect(isLoss({ median: 1.2, low: 1.1, high: 1.3 })).toBe(true);
  expect(isLoss({ median: 1.04, low: 1.02, high: 1.06 })).toBe(false);
  expect(isLoss({ median: 1.2, low: 0.9, high: 1.6 })).toBe(false);
});
