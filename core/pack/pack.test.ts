import fc from 'fast-check';
import type { PackPlan } from '../model/pack.ts';
import type { Good } from '../model/good.ts';
import type { BasketLine } from '../basket/basket.ts';
import { makeGood } from '../testing/book.ts';
import { listParcels } from './list.ts';
import { packingOf } from './packing.ts';
import { countParcels, pack as packWith, type Packed, type ParcelRun } from './pack.ts';

const without = (plan: PackPlan) => packingOf(plan, []);
const pack = (plan: PackPlan, lines: readonly BasketLine[], defaultWeight: number | undefined): Packed =>
  packWith(without(plan), lines, defaultWeight);
const line = (sku: string, quantity: number, part: Partial<Good> = {}): BasketLine => ({
  good: makeGood(sku, part),
  quantity,
});
const runsOf = (plan: PackPlan, ...lines: BasketLine[]): ParcelRun[] => {
  const packed = pack(plan, lines, undefined);
  if (!packed.ok) throw new Error(packed.refusal.code);
  return packed.runs;
};
const weights = (runs: readonly ParcelRun[]): number[] =>
  runs.flatMap(({ count, weight }) => Array.from({ length: count }, () => weight));

/** The same plans, unit by unit, as a person would do it. */
const oneByOne = (plan: PackPlan, lines: readonly BasketLine[]): number[] => {
  const units = lines.flatMap(({ good, quantity }) =>
    Array.from({ length: quantity }, () => good.weight ?? 0),
  );
  const falling = [...units].sort((a, b) => b - a);
  if (plan.kind === 'by-count') {
    const parcels: number[][] = [];
    for (const unit of units) {
      const last = parcels.at(-1);
      if (last && last.length < plan.maxUnits) last.push(unit);
      else parcels.push([unit]);
    }
    return parcels.map((parcel) => parcel.reduce((sum, unit) => sum + unit, 0));
  }
  if (plan.kind === 'by-weight') {
    const parcels: number[] = [];
    for (const unit of falling) {
      const at = parcels.findIndex((weight) => weight + unit <= plan.maxWeight);
      if (at < 0) parcels.push(unit);
      else parcels[at] = (parcels[at] ?? 0) + unit;
    }
    return parcels;
  }
  if (plan.kind !== 'even') throw new Error('no such plan here');
  const whole = units.reduce((sum, unit) => sum + unit, 0);
  for (let count = Math.max(1, Math.ceil(whole / plan.maxWeight)); ; count += 1) {
    const parcels = Array.from({ length: count }, () => ({ weight: 0, units: 0 }));
    for (const unit of falling) {
      const lightest = parcels.reduce((least, one) => (one.weight < least.weight ? one : least));
      lightest.weight += unit;
      lightest.units += 1;
    }
    if (parcels.every(({ weight }) => weight <= plan.maxWeight))
      return parcels.filter((one) => one.units > 0).map(({ weight }) => weight);
  }
};

const someLines = fc.array(
  fc.record({ quantity: fc.integer({ min: 1, max: 9 }), weight: fc.integer({ min: 0, max: 900 }) }),
  { minLength: 1, maxLength: 5 },
);
const somePlan: fc.Arbitrary<PackPlan> = fc.oneof(
  fc.record({ kind: fc.constant('by-weight' as const), maxWeight: fc.integer({ min: 900, max: 3_000 }) }),
  fc.record({ kind: fc.constant('even' as const), maxWeight: fc.integer({ min: 900, max: 3_000 }) }),
  fc.record({ kind: fc.constant('by-count' as const), maxUnits: fc.integer({ min: 1, max: 6 }) }),
);

describe('a basket in parcels', () => {
  test('is what it is unit by unit, under every plan', () => {
    fc.assert(
      fc.property(someLines, somePlan, (some, plan) => {
        const lines = some.map(({ quantity, weight }, at) => line(`g${at}`, quantity, { weight }));
        const runs = runsOf(plan, ...lines);
        const falling = (list: number[]) => list.sort((a, b) => b - a);
        expect(falling(weights(runs))).toEqual(falling(oneByOne(plan, lines)));
        const packed = lines.map((_, at) =>
          runs.reduce(
            (sum, { count, contents }) =>
              sum + count * contents.reduce((all, one) => (one.line === at ? all + one.quantity : all), 0),
            0,
          ),
        );
        expect(packed).toEqual(lines.map(({ quantity }) => quantity));
      }),
      { numRuns: 400 },
    );
  });

  test('by weight fills each parcel before the next, the heaviest first', () => {
    const runs = runsOf(
      { kind: 'by-weight', maxWeight: 10_000 },
      line('pot', 3, { weight: 6_000 }),
      line('tin', 5, { weight: 2_000 }),
    );
    expect(weights(runs)).toEqual([10_000, 10_000, 8_000]);
  });

  test('evenly is the fewest parcels of about one weight', () => {
    const even = { kind: 'even', maxWeight: 10_000 } as const;
    expect(weights(runsOf(even, line('pot', 4, { weight: 3_000 })))).toEqual([6_000, 6_000]);
    expect(weights(runsOf(even, line('big', 3, { weight: 6_000 })))).toEqual([6_000, 6_000, 6_000]);
    expect(runsOf(even)).toEqual([]);
  });

  test('goods that are their own carton are parcels of their own, last', () => {
    const crate = line('crate', 2, { packsAlone: true, weight: 4_000 });
    const runs = runsOf({ kind: 'by-count', maxUnits: 10 }, crate, line('pot', 12));
    expect([weights(runs), countParcels(runs)]).toEqual([[5_000, 1_000, 4_000, 4_000], 4]);
  });

  test('is refused where a unit is heavier than a parcel may be, or its weight is not known', () => {
    for (const kind of ['by-weight', 'even'] as const) {
      const plan = { kind, maxWeight: 2_000 };
      expect(pack(plan, [line('urn', 1, { weight: 2_001 })], undefined)).toMatchObject({
        refusal: {
          code: 'does-not-pack',
          from: { kind: 'good', id: 'urn' },
          say: { weight: 2_001, most: 2_000 },
        },
      });
      expect(pack(plan, [line('urn', 1, { weight: 2_001, packsAlone: true })], undefined).ok).toBe(false);
      expect(pack(plan, [line('fog', 1, { weight: undefined })], undefined)).toMatchObject({
        refusal: { code: 'weight-unknown', from: { kind: 'good', id: 'fog' } },
      });
      expect(pack(plan, [line('fog', 3, { weight: undefined })], 900).ok).toBe(true);
    }
    expect(
      pack({ kind: 'by-count', maxUnits: 2 }, [line('fog', 3, { weight: undefined })], undefined).ok,
    ).toBe(true);
  });

  test('of a hundred thousand units takes no time that grows with them', () => {
    const lines = Array.from({ length: 50 }, (_, at) => line(`g${at}`, 99_999, { weight: 300 + at }));
    const from = performance.now();
    for (const plan of [
      { kind: 'by-weight', maxWeight: 20_000 },
      { kind: 'even', maxWeight: 20_000 },
      { kind: 'by-count', maxUnits: 7 },
    ] as const)
      expect(countParcels(runsOf(plan, ...lines))).toBeGreaterThan(10_000);
    const awkward = line('half', 9_000, { weight: 501 });
    expect(countParcels(runsOf({ kind: 'even', maxWeight: 1_000 }, awkward))).toBe(9_000);
    expect(performance.now() - from).toBeLessThan(5_000);
  });
});

describe('the parcels that a quote lists', () => {
  test('name their goods, once each, and a carton’s size', () => {
    const size = { length: 400, width: 300, height: 200 };
    const lines = [
      line('pot', 2),
      line('pot', 1),
      line('crate', 1, { packsAlone: true, weight: 4_000, size }),
    ];
    expect(listParcels(without({ kind: 'by-weight', maxWeight: 5_000 }), lines, undefined)).toEqual([
      { weight: 1_500, contents: [{ sku: 'pot', quantity: 3 }] },
      { weight: 4_000, contents: [{ sku: 'crate', quantity: 1 }], size },
    ]);
  });

  test('are none where they cannot be stated, and a thousand at most', () => {
    const plan = { kind: 'by-count', maxUnits: 1 } as const;
    expect(listParcels(without(plan), [line('fog', 1, { weight: undefined })], undefined)).toEqual([]);
    expect(listParcels(without({ kind: 'even', maxWeight: 100 }), [line('pot', 1)], undefined)).toEqual([]);
    expect(listParcels(without(plan), [line('pot', 2_000)], undefined)).toHaveLength(1_000);
  });
});
