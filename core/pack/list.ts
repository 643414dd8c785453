import type { PackPlan } from '../model/pack.ts';
import type { Parcel } from '../model/quote.ts';
import type { BasketLine } from '../quote/basket.ts';
import { pack, type ParcelRun } from './pack.ts';
import { singleParcels } from './single.ts';

const MOST_LISTED = 1_000;

const contentsOf = ({ contents }: ParcelRun, lines: readonly BasketLine[]): Parcel['contents'] => {
  const bySku = new Map<string, number>();
  for (const { line, quantity } of contents) {
    const sku = lines[line]?.good.sku ?? '';
    bySku.set(sku, (bySku.get(sku) ?? 0) + quantity);
  }
  return [...bySku].map(([sku, quantity]) => ({ sku, quantity }));
};

/** The one good of a parcel that is its own carton: its size is the parcel's. */
const cartonOf = ({ units, contents }: ParcelRun, lines: readonly BasketLine[]): BasketLine | undefined => {
  const line = units === 1 ? lines[contents[0]?.line ?? -1] : undefined;
  return line?.good.packsAlone ? line : undefined;
};

/**
 * The parcels of a basket as a quote lists them, up to a thousand. Where a weight is not known, or a unit
 * fits no parcel, the parcels cannot be stated, and there are none.
 */
export const listParcels = (
  plan: PackPlan,
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
): Parcel[] => {
  if (plan.kind === 'single') return singleParcels(lines, defaultWeight);
  if (lines.some(({ good }) => (good.weight ?? defaultWeight) === undefined)) return [];
  const packed = pack(plan, lines, defaultWeight);
  if (!packed.ok) return [];
  const parcels: Parcel[] = [];
  for (const run of packed.runs) {
    const size = cartonOf(run, lines)?.good.size;
    const parcel: Parcel = {
      weight: run.weight,
      contents: contentsOf(run, lines),
      ...(size ? { size } : {}),
    };
    for (let one = 0; one < run.count && parcels.length < MOST_LISTED; one += 1) parcels.push(parcel);
  }
  return parcels;
};
