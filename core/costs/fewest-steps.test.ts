import fc from 'fast-check';
import { fewestSteps, type CostAt } from './fewest-steps.ts';
import { quantile } from './quantile.ts';

/** Every way to cut some groups into stretches, tried one after the other. */
const exhaustive = (orders: readonly CostAt[], covered: number, grain: number): Map<number, number> => {
  const froms = [...new Set(orders.map(({ value }) => Math.floor(value / grain)))].sort((a, b) => a - b);
  const best = new Map<number, number>();
  for (let cuts = 0; cuts < 2 ** (froms.length - 1); cuts += 1) {
    const stretches: number[][] = [[]];
    froms.forEach((from, at) => {
      if (at > 0 && cuts & (1 << (at - 1))) stretches.push([]);
      const costs = orders.filter(({ value }) => Math.floor(value / grain) === from).map(({ cost }) => cost);
      stretches.at(-1)?.push(...costs);
    });
    const apart = stretches.reduce((sum, costs) => {
      const amount = quantile(
        [...costs].sort((a, b) => a - b),
        covered,
      );
      return sum + costs.reduce((all, cost) => all + Math.abs(amount - cost), 0);
    }, 0);
    best.set(stretches.length, Math.min(best.get(stretches.length) ?? Infinity, apart));
  }
  return best;
};

const ordersArbitrary = fc.array(
  fc.record({ value: fc.integer({ min: 0, max: 79 }), cost: fc.integer({ min: 0, max: 500 }) }),
  { minLength: 1, maxLength: 14 },
);

test('the fewest steps within a bound are those that trying every way finds', () => {
  fc.assert(
    fc.property(
      ordersArbitrary,
      fc.constantFrom(0.5, 0.8, 1),
      fc.integer({ min: 0, max: 200 }),
      (orders, covered, apart) => {
        const found = fewestSteps(orders, { covered, apart, grain: 10 });
        const best = exhaustive(orders, covered, 10);
        const within = [...best].filter(([, sum]) => sum <= apart * orders.length).map(([count]) => count);
        const nearest = Math.min(...best.values());
        const count = within.length > 0 ? Math.min(...within) : found.steps.length;
        expect(found.steps).toHaveLength(count);
        const sum = orders.reduce((all, { value, cost }) => {
          const amount = found.steps.findLast(({ from }) => from <= value)?.amount ?? 0;
          return all + Math.abs(amount - cost);
        }, 0);
        expect(sum).toBe(within.length > 0 ? best.get(count) : nearest);
      },
    ),
    { numRuns: 300 },
  );
});

test('cover the share of the orders in each step, begin at whole grains, the first at nothing', () => {
  const orders = [
    { value: 300, cost: 500 },
    { value: 800, cost: 520 },
    { value: 2_100, cost: 900 },
    { value: 2_600, cost: 940 },
  ];
  const { steps, margin } = fewestSteps(orders, { covered: 1, apart: 20, grain: 500 });
  expect(steps).toEqual([
    { from: 0, amount: 520 },
    { from: 2_000, amount: 940 },
  ]);
  expect(margin).toBe(60);
});

test('of no orders are none', () => {
  expect(fewestSteps([], { covered: 1, apart: 0, grain: 1 })).toEqual({ steps: [], apart: 0, margin: 0 });
});
