import fc from 'fast-check';
import { spreadEvenly } from './even.ts';
import type { LineUnits, ParcelRun } from './pack.ts';

const MOST = 100;
const unitsOf = (line: number, quantity: number, weight: number): LineUnits => ({
  line,
  quantity,
  weight,
  name: `Line ${line}`,
  sku: `line-${line}`,
});
const lots = fc
  .array(
    fc.record({ quantity: fc.integer({ min: 1, max: 12 }), weight: fc.integer({ min: 1, max: MOST }) }),
    {
      maxLength: 6,
    },
  )
  .map((drawn) => drawn.map(({ quantity, weight }, line) => unitsOf(line, quantity, weight)));

/** The same without a heap and without counts that are left out: each unit, the heaviest first, into the lightest. */
const plainly = (all: readonly LineUnits[]): number[] => {
  const weights = all.flatMap(({ quantity, weight }) => Array<number>(quantity).fill(weight));
  weights.sort((a, b) => b - a);
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  for (let count = Math.max(1, Math.ceil(whole / MOST)); ; count += 1) {
    const parcels = Array<number>(count).fill(0);
    for (const weight of weights) {
      const lightest = parcels.indexOf(Math.min(...parcels));
      parcels[lightest] = (parcels[lightest] as number) + weight;
    }
    if (parcels.every((weight) => weight <= MOST)) return parcels.filter((weight) => weight > 0);
  }
};

const heldOf = (runs: readonly ParcelRun[], line: number): number =>
  runs
    .flatMap(({ contents }) => contents)
    .reduce((sum, one) => (one.line === line ? sum + one.quantity : sum), 0);

test('nothing goes into no parcel, and what is light into one', () => {
  expect(spreadEvenly([], MOST)).toEqual([]);
  expect(spreadEvenly([unitsOf(0, 2, 30), unitsOf(3, 1, 40)], MOST)).toEqual([
    {
      count: 1,
      weight: 100,
      units: 3,
      contents: [
        { line: 3, quantity: 1 },
        { line: 0, quantity: 2 },
      ],
    },
  ]);
});

test('heavy units of which no two go together have a parcel each', () => {
  const runs = spreadEvenly([unitsOf(0, 3, 60), unitsOf(1, 2, 10)], MOST);
  expect(runs.map(({ weight }) => weight)).toEqual([70, 70, 60]);
});

test('none is lost, none is too heavy, and they are what sharing out plainly gives', () => {
  fc.assert(
    fc.property(lots, (drawn) => {
      const runs = spreadEvenly(drawn, MOST);
      for (const { line, quantity } of drawn) expect(heldOf(runs, line)).toBe(quantity);
      for (const { count, weight, units, contents } of runs) {
        expect(count).toBe(1);
        expect(weight).toBeLessThanOrEqual(MOST);
        expect(weight).toBe(
          contents.reduce((sum, one) => sum + one.quantity * (drawn[one.line]?.weight ?? 0), 0),
        );
        expect(units).toBe(contents.reduce((sum, { quantity }) => sum + quantity, 0));
      }
      expect(runs.map(({ weight }) => weight)).toEqual(drawn.length === 0 ? [] : plainly(drawn));
    }),
  );
});
