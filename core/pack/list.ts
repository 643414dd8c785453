import { toThousandth } from '../model/measured.ts';
import type { Parcel } from '../model/quote.ts';
import type { BasketLine } from '../basket/basket.ts';
import { volumeOf } from './cuboid.ts';
import { pack, type PackedBox, type ParcelRun } from './pack.ts';
import type { Packing } from './packing.ts';
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

/** Every unit of a packed box where it lies, block by block. */
const placedOf = ({ blocks }: PackedBox, lines: readonly BasketLine[]): NonNullable<Parcel['placed']> =>
  blocks.flatMap(({ line, turn: [length, width, height], across: [nx, ny, nz], x, y, z }) =>
    Array.from({ length: nx * ny * nz }, (_, at) => ({
      sku: lines[line]?.good.sku ?? '',
      x: toThousandth(x + (at % nx) * length),
      y: toThousandth(y + (Math.floor(at / nx) % ny) * width),
      z: toThousandth(z + Math.floor(at / (nx * ny)) * height),
      size: { length, width, height },
    })),
  );

/** What is known of a parcel's box: which, its size, what lies where, and how full it is. */
const boxOf = (packed: PackedBox, lines: readonly BasketLine[]): Partial<Parcel> => ({
  boxId: packed.box.id,
  size: packed.box.inside,
  placed: placedOf(packed, lines),
  fill: packed.volume / volumeOf(packed.box.inside),
});

const parcelOf = (run: ParcelRun, lines: readonly BasketLine[]): Parcel => {
  const size = cartonOf(run, lines)?.good.size;
  return {
    weight: toThousandth(run.weight),
    contents: contentsOf(run, lines),
    ...(size ? { size } : {}),
    ...(run.packed ? boxOf(run.packed, lines) : {}),
  };
};

/** What `make` gives for each run of parcels alike, once for each parcel of the run, up to a thousand. */
const eachParcel = <T>(runs: readonly ParcelRun[], make: (run: ParcelRun) => T): T[] => {
  const parcels: T[] = [];
  for (const run of runs) {
    const parcel = make(run);
    for (let one = 0; one < run.count && parcels.length < MOST_LISTED; one += 1) parcels.push(parcel);
  }
  return parcels;
};

/** Runs of parcels alike as the parcels one by one, up to a thousand. */
export const parcelsOf = (runs: readonly ParcelRun[], lines: readonly BasketLine[]): Parcel[] =>
  eachParcel(runs, (run) => parcelOf(run, lines));

/** The outside of a parcel: its weight in grams, its size and box, without what lies where in it. */
type Outside = Pick<Parcel, 'weight' | 'size' | 'boxId'>;

/** The same parcels as `make` tells of their outsides, once for all that are alike, up to a thousand parcels. */
export const outsidesOf = <T>(
  runs: readonly ParcelRun[],
  lines: readonly BasketLine[],
  make: (outside: Outside) => T,
): T[] =>
  eachParcel(runs, (run) => {
    const size = run.packed ? run.packed.box.inside : cartonOf(run, lines)?.good.size;
    return make({
      weight: run.weight,
      ...(size ? { size } : {}),
      ...(run.packed ? { boxId: run.packed.box.id } : {}),
    });
  });

/**
 * The parcels of a basket as a quote lists them, up to a thousand. Where a weight is not known, or a unit
 * fits no parcel, the parcels cannot be stated, and there are none.
 */
export const listParcels = (
  packing: Packing,
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
): Parcel[] => {
  if (packing.plan.kind === 'single') return singleParcels(lines, defaultWeight);
  if (lines.some(({ good }) => (good.weight ?? defaultWeight) === undefined)) return [];
  const packed = pack(packing, lines, defaultWeight);
  return packed.ok ? parcelsOf(packed.runs, lines) : [];
};
