import fc from 'fast-check';
import { proposeSteps, type CostPoint } from './propose-steps.ts';

const point = (weight: number, cost: number, orders = 1): CostPoint => ({ weight, cost, orders });

/** The least overcharge there is, by trying every way of cutting the weights and every amount. */
const leastByTrying = (points: readonly CostPoint[], most: number, share: number): number => {
  const weights = [...new Set(points.map(({ weight }) => weight))].sort((a, b) => a - b);
  const amounts = [...new Set(points.map(({ cost }) => cost))];
  const whole = points.reduce((sum, { orders }) => sum + orders, 0);
  const needed = Math.ceil((whole * share) / 10_000);
  let least = Number.POSITIVE_INFINITY;
  const judge = (prices: ReadonlyMap<number, number>): void => {
    let [covered, over] = [0, 0];
    for (const { weight, cost, orders } of points) {
      const margin = (prices.get(weight) ?? 0) - cost;
      if (margin < 0) continue;
      covered += orders;
      over += margin * orders;
    }
    if (covered >= needed) least = Math.min(least, over);
  };
  const cut = (at: number, steps: number, prices: Map<number, number>): void => {
    if (at === weights.length) return judge(prices);
    if (steps === 0) return;
    for (let to = at + 1; to <= weights.length; to += 1)
      for (const amount of amounts) {
        for (const weight of weights.slice(at, to)) prices.set(weight, amount);
        cut(to, steps - 1, prices);
      }
  };
  cut(0, most, new Map());
  return least;
};

describe('steps proposed from what a carrier takes', () => {
  test('charge the least above cost that any steps do', () => {
    const some = fc.array(
      fc.record({
        weight: fc.integer({ min: 1, max: 5 }).map((kilos) => kilos * 1_000),
        cost: fc.integer({ min: 1, max: 5 }).map((amount) => amount * 100),
        orders: fc.integer({ min: 1, max: 3 }),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(
        some,
        fc.integer({ min: 1, max: 3 }),
        fc.constantFrom(5_000, 8_000, 10_000),
        (points, most, share) => {
          const { steps, covered, orders, over } = proposeSteps(points, most, share);
          expect(steps.length).toBeLessThanOrEqual(most);
          expect(steps[0]?.from).toBe(0);
          expect(covered).toBeGreaterThanOrEqual(Math.ceil((orders * share) / 10_000));
          expect(over).toBe(leastByTrying(points, most, share));
        },
      ),
      { numRuns: 150 },
    );
  });

  test('begin just above the last weight that the step before covers', () => {
    const points = [point(1_000, 500), point(2_000, 520), point(5_000, 900), point(10_000, 1_600)];
    expect(proposeSteps(points, 3, 10_000)).toEqual({
      steps: [
        { from: 0, amount: 520 },
        { from: 2_001, amount: 900 },
        { from: 5_001, amount: 1_600 },
      ],
      covered: 4,
      orders: 4,
      over: 20,
      under: 0,
    });
  });

  test('leave out the dearest orders where the share allows it, and say what that loses', () => {
    const points = [point(1_000, 500, 9), point(1_000, 5_000, 1)];
    expect(proposeSteps(points, 2, 10_000).steps).toEqual([{ from: 0, amount: 5_000 }]);
    expect(proposeSteps(points, 2, 9_000)).toMatchObject({
      steps: [{ from: 0, amount: 500 }],
      covered: 9,
      over: 0,
      under: 4_500,
    });
  });

  test('are none where there is nothing to cover', () => {
    expect(proposeSteps([], 5, 9_500).steps).toEqual([]);
  });

  test('are found in no time for a year of orders', () => {
    const points = Array.from({ length: 400 }, (_, at) =>
      point(((at * 37) % 24) * 1_000, 500 + ((at * 91) % 300), 2),
    );
    const from = performance.now();
    expect(proposeSteps(points, 10, 9_500).steps.length).toBeGreaterThan(1);
    expect(performance.now() - from).toBeLessThan(2_000);
  });
});
