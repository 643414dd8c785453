import fc from 'fast-check';
import type { BasketLine } from '../basket/basket.ts';
import type { Box, PackPlan } from '../model/pack.ts';
import { makeGood } from '../testing/book.ts';
import { parcelsOf } from './list.ts';
import { boxesRefusal, countParcels, pack, type ParcelRun } from './pack.ts';
import { packingOf, type Packing } from './packing.ts';

/** Laws that runs of parcels keep under every plan, found without knowing how they were made. */

const BOXES: Box[] = [
  {
    ...{ id: 'small', name: 'Small', maxWeight: 4_000, tare: 120, cost: 80 },
    inside: { length: 200, width: 150, height: 100 },
  },
  {
    ...{ id: 'large', name: 'Large', maxWeight: 20_000, tare: 400 },
    inside: { length: 500, width: 400, height: 300 },
  },
];
const PLANS: PackPlan[] = [
  { kind: 'single' },
  { kind: 'by-weight', maxWeight: 5_000 },
  { kind: 'by-weight', maxWeight: 4_999.5 },
  { kind: 'even', maxWeight: 5_000 },
  { kind: 'by-count', maxUnits: 3 },
  { kind: 'boxes', boxIds: ['small', 'large'] },
];

/** The weight of a unit is rounded to a thousandth of a gram. */
const EACH_ROUNDED = 0.000_501;

const side = fc.integer({ min: 10, max: 180 });
const line = fc.record({
  quantity: fc.integer({ min: 1, max: 9 }),
  weight: fc.constantFrom(90, 453.59237, 800, 2_500),
  size: fc.record({ length: side, width: side, height: side }),
  packsAlone: fc.boolean(),
  keepUpright: fc.boolean(),
});
const basket = fc.array(line, { minLength: 1, maxLength: 5 }).map((lines): BasketLine[] =>
  lines.map(({ quantity, packsAlone, keepUpright, ...good }, at) => ({
    quantity,
    good: makeGood(`good-${at}`, {
      ...good,
      ...(packsAlone ? { packsAlone } : {}),
      ...(keepUpright ? { keepUpright } : {}),
    }),
  })),
);
const plan = fc.constantFrom(...PLANS);
const packingFor = (one: PackPlan): Packing => packingOf(one, BOXES);
const runsOf = (packing: Packing, lines: readonly BasketLine[]): ParcelRun[] => {
  const packed = pack(packing, lines, undefined);
  if (!packed.ok) throw new Error(packed.refusal.code);
  return packed.runs;
};
const netOf = ({ contents }: ParcelRun, lines: readonly BasketLine[]): number =>
  contents.reduce((sum, { line: at, quantity }) => sum + (lines[at]?.good.weight ?? 0) * quantity, 0);
/** Parcels as a customer could tell them apart, in no order. */
const outsides = (runs: readonly ParcelRun[]): string[] =>
  runs
    .flatMap(({ count, weight, units, packed }) =>
      Array<string>(count).fill(`${weight.toFixed(6)} ${units} ${packed?.box.id ?? ''}`),
    )
    .sort();

test('every unit is in one parcel, those that pack alone in one of their own, and each weighs what is in it', () => {
  fc.assert(
    fc.property(plan, basket, (one, lines) => {
      const runs = runsOf(packingFor(one), lines);
      lines.forEach(({ quantity, good }, at) => {
        const holding = runs.filter(({ contents }) => contents.some((part) => part.line === at));
        const inParcels = holding.flatMap(({ count, contents }) =>
          contents.filter((part) => part.line === at).map((part) => part.quantity * count),
        );
        expect(inParcels.reduce((sum, units) => sum + units, 0)).toBe(quantity);
        if (good.packsAlone)
          for (const { units, packed } of holding) expect([units, packed]).toEqual([1, undefined]);
      });
      for (const run of runs) {
        expect(run.count).toBeGreaterThan(0);
        expect(run.units).toBe(run.contents.reduce((sum, { quantity }) => sum + quantity, 0));
        const gross = netOf(run, lines) + (run.packed?.box.tare ?? 0);
        expect(Math.abs(run.weight - gross)).toBeLessThanOrEqual(run.units * EACH_ROUNDED);
      }
    }),
    { numRuns: 300 },
  );
});

test('no parcel is heavier, or has more in it, than its plan allows', () => {
  fc.assert(
    fc.property(plan, basket, (one, lines) => {
      for (const run of runsOf(packingFor(one), lines)) {
        if ('maxWeight' in one) expect(run.weight).toBeLessThanOrEqual(one.maxWeight + 1e-6);
        if ('maxUnits' in one) expect(run.units).toBeLessThanOrEqual(one.maxUnits);
        if (run.packed)
          expect(run.weight - run.packed.box.tare).toBeLessThanOrEqual(run.packed.box.maxWeight + 1e-6);
      }
    }),
    { numRuns: 300 },
  );
});

test('the order of the lines makes no other parcels, and asked again nothing is packed otherwise', () => {
  const byOrder = PLANS.filter(({ kind }) => kind !== 'by-count');
  fc.assert(
    fc.property(fc.constantFrom(...byOrder), basket, (one, lines) => {
      const packing = packingFor(one);
      const runs = runsOf(packing, lines);
      expect(outsides(runsOf(packingFor(one), [...lines].reverse()))).toEqual(outsides(runs));
      expect(runsOf(packing, lines)).toEqual(runs);
    }),
    { numRuns: 200 },
  );
});

test('parcels are listed one by one as the runs count them', () => {
  fc.assert(
    fc.property(plan, basket, (one, lines) => {
      const runs = runsOf(packingFor(one), lines);
      expect(parcelsOf(runs, lines)).toHaveLength(countParcels(runs));
    }),
    { numRuns: 100 },
  );
});

test('what goes into none of the boxes is refused, and by the same reason before anything is placed', () => {
  fc.assert(
    fc.property(basket, fc.nat(4), (lines, which) => {
      const at = which % lines.length;
      const grown = lines.map((one, here): BasketLine => {
        const { packsAlone: _, ...good } = one.good;
        return here === at
          ? { ...one, good: { ...good, size: { length: 501, width: 20, height: 20 } } }
          : one;
      });
      const packing = packingFor({ kind: 'boxes', boxIds: ['small', 'large'] });
      const refused = boxesRefusal(packing, grown, undefined);
      expect(refused?.code).toBe('does-not-pack');
      expect(pack(packing, grown, undefined)).toEqual({ ok: false, refusal: refused });
    }),
    { numRuns: 100 },
  );
});
