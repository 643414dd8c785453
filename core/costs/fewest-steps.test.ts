import fc from 'fast-check';
import { fewestSteps, isTooFine, type CostAt } from './fewest-steps.ts';

const UNIT = 100;
const GRAIN = 10;

/** Every way to cut some stretches, and to give each an amount that is not below the one before, tried one after the other. */
const nearestByCount = (groups: readonly number[][], covered: number, least = 0): Map<number, number> => {
  const best = new Map<number, number>();
  if (groups.length === 0) return best.set(0, 0);
  for (let length = 1; length <= groups.length; length += 1) {
    const costs = groups.slice(0, length).flat();
    for (let amount = least; amount <= 500; amount += UNIT) {
      if (costs.filter((cost) => cost <= amount).length < covered * costs.length) continue;
      const apart = costs.reduce((sum, cost) => sum + Math.abs(amount - cost), 0);
      for (const [count, rest] of nearestByCount(groups.slice(length), covered, amount))
        best.set(count + 1, Math.min(best.get(count + 1) ?? Infinity, apart + rest));
    }
  }
  return best;
};

const groupsOf = (orders: readonly CostAt[]): number[][] => {
  const froms = [...new Set(orders.map(({ value }) => Math.floor(value / GRAIN)))].sort((a, b) => a - b);
  return froms.map((from) =>
    orders.filter(({ value }) => Math.floor(value / GRAIN) === from).map(({ cost }) => cost),
  );
};

const ordersArbitrary = fc.array(
  fc.record({ value: fc.integer({ min: 0, max: 59 }), cost: fc.integer({ min: 0, max: 500 }) }),
  { minLength: 1, maxLength: 12 },
);

test('the fewest steps within a bound are those that trying every way finds', () => {
  fc.assert(
    fc.property(
      ordersArbitrary,
      fc.constantFrom(0.5, 0.8, 1),
      fc.integer({ min: 0, max: 200 }),
      (orders, covered, apart) => {
        const bound = { covered, apart, grain: GRAIN, unit: UNIT, most: 20 };
        const { steps } = fewestSteps(orders, bound);
        const best = nearestByCount(groupsOf(orders), covered);
        const within = [...best].filter(([, sum]) => sum <= apart * orders.length).map(([count]) => count);
        const sum = orders.reduce((all, { value, cost }) => {
          const amount = steps.findLast(({ from }) => from <= value)?.amount ?? 0;
          return all + Math.abs(amount - cost);
        }, 0);
        if (within.length > 0) expect(steps).toHaveLength(Math.min(...within));
        expect(sum).toBe(within.length > 0 ? best.get(steps.length) : Math.min(...best.values()));
      },
    ),
    { numRuns: 150 },
  );
});

const orders = [
  { value: 300, cost: 480 },
  { value: 800, cost: 500 },
  { value: 2_100, cost: 900 },
  { value: 2_600, cost: 940 },
];

test('cover the share of the orders in each step, begin at whole grains, the first at nothing', () => {
  const { steps, margin } = fewestSteps(orders, { covered: 1, apart: 30, grain: 500, unit: 50, most: 9 });
  expect(steps).toEqual([
    { from: 0, amount: 500 },
    { from: 2_000, amount: 950 },
  ]);
  expect(margin).toBe(80);
});

test('are no more than are asked for, and of no orders are none', () => {
  const bound = { covered: 1, apart: 0, grain: 500, unit: 50, most: 1 };
  expect(fewestSteps(orders, bound).steps).toEqual([{ from: 0, amount: 950 }]);
  expect(fewestSteps([], bound)).toEqual({ steps: [], apart: 0, margin: 0 });
});

test('are told to be too many to look through before it is tried', () => {
  const many = Array.from({ length: 3_000 }, (_, value) => ({ value, cost: 9_000 }));
  const bound = { covered: 1, apart: 0, grain: 1, unit: 1, most: 6 };
  expect(isTooFine(many, bound)).toBe(true);
  expect(isTooFine(many, { ...bound, grain: 100, unit: 50 })).toBe(false);
});
