import type { Box, PackPlan } from '../model/pack.ts';
import type { Refusal } from '../basket/limits.ts';
import { unknownRefusal } from '../basket/limits.ts';
import type { BasketLine } from '../basket/basket.ts';
import { boxRefusal, packIntoBoxes, type PlacedBlock } from './box-runs.ts';
import { spreadEvenly } from './even.ts';
import type { Packing } from './packing.ts';
import { inParts, scaleOf, type Scale } from './scale.ts';

/** What is in which box: the blocks of units, and the volume they take up. */
export interface PackedBox {
  box: Box;
  volume: number;
  blocks: readonly PlacedBlock[];
}

/** So many parcels alike: what each holds, by line of the basket, and what each weighs in grams, its box included. */
export interface ParcelRun {
  count: number;
  weight: number;
  units: number;
  contents: { line: number; quantity: number }[];
  packed?: PackedBox;
}

export type Packed = { ok: true; runs: ParcelRun[] } | { ok: false; refusal: Refusal };

/** The units of one line that pack with others: their weight each in parts of the scale, 0 where the plan does not look at it. */
export interface LineUnits {
  line: number;
  quantity: number;
  weight: number;
  name: string;
  sku: string;
}

const empty = (): ParcelRun => ({ count: 1, weight: 0, units: 0, contents: [] });

/** A parcel with so many units of a lot more in it. */
const withUnits = (run: ParcelRun, count: number, lot: LineUnits, quantity: number): ParcelRun => ({
  count,
  weight: run.weight + lot.weight * quantity,
  units: run.units + quantity,
  contents: [...run.contents, { line: lot.line, quantity }],
});

const tooHeavy = ({ name, sku, weight }: LineUnits, most: number, scale: Scale): Packed => ({
  ok: false,
  refusal: {
    code: 'does-not-pack',
    say: { code: 'does-not-pack', good: name, weight: weight / scale.weight, most: most / scale.weight },
    from: { kind: 'good', id: sku },
  },
});

/** Puts units into parcels alike, the first filled before the next; gives the parcels and how many units are left. */
const fillRun = (run: ParcelRun, lot: LineUnits, quantity: number, room: number): [ParcelRun[], number] => {
  if (room < 1) return [[run], quantity];
  const full = Math.min(run.count, Math.floor(quantity / room));
  const rest = quantity - full * room;
  const partly = full < run.count && rest > 0 ? 1 : 0;
  const untouched = run.count - full - partly;
  const parts = [
    ...(full > 0 ? [withUnits(run, full, lot, room)] : []),
    ...(partly > 0 ? [withUnits(run, 1, lot, rest)] : []),
    ...(untouched > 0 ? [{ ...run, count: untouched }] : []),
  ];
  return [parts, partly > 0 ? 0 : rest];
};

const roomFor = (room: number, { weight, quantity }: LineUnits): number =>
  weight === 0 ? quantity : Math.floor(room / weight);

/** Units by falling weight, equals in line order, each into the first parcel that has room for it. */
const byWeight = (lots: readonly LineUnits[], most: number, scale: Scale): Packed => {
  let runs: ParcelRun[] = [];
  for (const lot of [...lots].sort((a, b) => b.weight - a.weight)) {
    if (lot.weight > most) return tooHeavy(lot, most, scale);
    let left = lot.quantity;
    runs = runs.flatMap((run) => {
      const [parts, after] = left > 0 ? fillRun(run, lot, left, roomFor(most - run.weight, lot)) : [[run], 0];
      left = after;
      return parts;
    });
    const each = Math.max(1, roomFor(most, lot));
    const full = Math.floor(left / each);
    if (full > 0) runs.push({ ...withUnits(empty(), full, lot, each) });
    if (left % each > 0) runs.push(withUnits(empty(), 1, lot, left % each));
  }
  return { ok: true, runs };
};

/** Units in line order, so many to a parcel. */
const byCount = (lots: readonly LineUnits[], most: number): ParcelRun[] => {
  const runs: ParcelRun[] = [];
  for (const lot of lots) {
    let left = lot.quantity;
    const last = runs.at(-1);
    const room = last && last.count === 1 ? Math.min(most - last.units, left) : 0;
    if (last && room > 0) {
      runs[runs.length - 1] = withUnits(last, 1, lot, room);
      left -= room;
    }
    if (left >= most) runs.push(withUnits(empty(), Math.floor(left / most), lot, most));
    if (left % most > 0) runs.push(withUnits(empty(), 1, lot, left % most));
  }
  return runs;
};

const together = (lots: readonly LineUnits[]): ParcelRun[] =>
  lots.length === 0 ? [] : [lots.reduce((run, lot) => withUnits(run, 1, lot, lot.quantity), empty())];

/** Beyond so many units, parcels of one weight are not sought: they are filled one after another. */
const MOST_SPREAD = 50_000;

const spread = (
  packing: Packing,
  lots: readonly LineUnits[],
  lines: readonly BasketLine[],
  scale: Scale,
): Packed => {
  const { plan } = packing;
  if (plan.kind === 'boxes') return packIntoBoxes(lots, packing, lines, scale);
  if (plan.kind === 'by-count') return { ok: true, runs: byCount(lots, plan.maxUnits) };
  if (plan.kind === 'single') return { ok: true, runs: together(lots) };
  const most = inParts(plan.maxWeight, scale.weight);
  if (plan.kind === 'by-weight') return byWeight(lots, most, scale);
  const heavy = lots.find(({ weight }) => weight > most);
  if (heavy) return tooHeavy(heavy, most, scale);
  const units = lots.reduce((sum, { quantity }) => sum + quantity, 0);
  if (units > MOST_SPREAD) return byWeight(lots, most, scale);
  return { ok: true, runs: spreadEvenly(lots, most) };
};

/** Whether a plan has to know what every unit weighs. */
const weighs = ({ kind }: PackPlan): boolean => kind === 'by-weight' || kind === 'even' || kind === 'boxes';

/** The refusal for a weight or a size that the plan needs and that is not known. */
const unknownOf = (
  plan: PackPlan,
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
): Refusal | null => {
  const weightless = lines.filter(({ good }) => (good.weight ?? defaultWeight) === undefined);
  if (weighs(plan) && weightless.length > 0)
    return unknownRefusal('weight', { value: 0, unknown: weightless });
  const sizeless = lines.filter(({ good }) => !good.size && !good.packsAlone);
  return plan.kind === 'boxes' && sizeless.length > 0
    ? unknownRefusal('volume', { value: 0, unknown: sizeless })
    : null;
};

interface Sorted {
  together: LineUnits[];
  alone: LineUnits[];
}

const sortedLots = (
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
  scale: Scale,
): Sorted => {
  const lots = lines.map(({ good, quantity }, line) => ({
    lot: {
      line,
      quantity,
      weight: inParts(good.weight ?? defaultWeight ?? 0, scale.weight),
      name: good.name,
      sku: good.sku,
    },
    alone: good.packsAlone === true,
  }));
  const only = (alone: boolean): LineUnits[] =>
    lots.filter((one) => one.alone === alone).map(({ lot }) => lot);
  return { together: only(false), alone: only(true) };
};

/**
 * Why a basket cannot be packed into a plan's boxes, or null, without placing a unit: a weight or size that is
 * not known, a unit that goes into none.
 */
export const boxesRefusal = (
  packing: Packing,
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
): Refusal | null => {
  const unknown = unknownOf(packing.plan, lines, defaultWeight);
  if (unknown) return unknown;
  const scale = scaleOf(packing, lines, defaultWeight);
  return boxRefusal(sortedLots(lines, defaultWeight, scale).together, packing, lines, scale)?.refusal ?? null;
};

/**
 * A basket's lines as parcels under a plan, alike ones together; goods that are their own carton come last,
 * each a parcel of its own. Refused: `weight-unknown` and `size-unknown` where the plan needs a figure that is
 * not known, `does-not-pack` where one unit is heavier than a parcel may be or goes into no box. Weights in grams.
 */
export const pack = (
  packing: Packing,
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
): Packed => {
  const { plan } = packing;
  const unknown = unknownOf(plan, lines, defaultWeight);
  if (unknown) return { ok: false, refusal: unknown };
  const scale = scaleOf(packing, lines, defaultWeight);
  const { together: lots, alone } = sortedLots(lines, defaultWeight, scale);
  const most = mostOf(plan, scale);
  const heavy = weighs(plan) ? alone.find(({ weight }) => weight > most) : undefined;
  if (heavy) return tooHeavy(heavy, most, scale);
  const packed = spread(packing, lots, lines, scale);
  if (!packed.ok) return packed;
  const runs = [...packed.runs, ...alone.map((lot) => withUnits(empty(), lot.quantity, lot, 1))];
  return { ok: true, runs: inGrams(runs, scale) };
};

const inGrams = (runs: ParcelRun[], { weight: parts }: Scale): ParcelRun[] =>
  parts === 1 ? runs : runs.map((run) => ({ ...run, weight: run.weight / parts }));

const mostOf = (plan: PackPlan, scale: Scale): number =>
  plan.kind === 'by-weight' || plan.kind === 'even'
    ? inParts(plan.maxWeight, scale.weight)
    : Number.MAX_SAFE_INTEGER;

/** How many parcels there are. */
export const countParcels = (runs: readonly ParcelRun[]): number =>
  runs.reduce((sum, { count }) => sum + count, 0);
