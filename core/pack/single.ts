import { toThousandth } from '../model/measured.ts';
import type { Parcel } from '../model/quote.ts';
import type { BasketLine } from '../basket/basket.ts';

/** How many parcels a basket makes when all goes into one, but for goods that are their own carton. */
export const singleParcelCount = (lines: readonly BasketLine[]): number => {
  let alone = 0;
  let together = 0;
  for (const { good, quantity } of lines) {
    if (good.packsAlone) alone += quantity;
    else together = 1;
  }
  return alone + together;
};

const merged = (lines: readonly BasketLine[]): Parcel['contents'] => {
  const [only] = lines;
  if (only && lines.length === 1) return [{ sku: only.good.sku, quantity: only.quantity }];
  const bySku = new Map<string, Parcel['contents'][number]>();
  for (const { good, quantity } of lines) {
    const known = bySku.get(good.sku);
    if (known) known.quantity += quantity;
    else bySku.set(good.sku, { sku: good.sku, quantity });
  }
  return [...bySku.values()];
};

const MOST_LISTED = 1_000;

const aloneParcels = (
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
  parcels: Parcel[],
): void => {
  for (const { good, quantity } of lines) {
    if (!good.packsAlone) continue;
    const parcel: Parcel = {
      weight: good.weight ?? defaultWeight ?? 0,
      contents: [{ sku: good.sku, quantity: 1 }],
    };
    if (good.size) parcel.size = good.size;
    for (let unit = 0; unit < quantity && parcels.length < MOST_LISTED; unit += 1) parcels.push(parcel);
  }
};

/**
 * The parcels of a basket: one for all that packs together, one for each good that packs alone, up
 * to a thousand. Where a weight is not known the parcels cannot be stated, and there are none.
 */
export const singleParcels = (lines: readonly BasketLine[], defaultWeight: number | undefined): Parcel[] => {
  const parcels: Parcel[] = [];
  let together = 0;
  let weight = 0;
  for (const { good, quantity } of lines) {
    const one = good.weight ?? defaultWeight;
    if (one === undefined) return parcels;
    if (good.packsAlone) continue;
    together += 1;
    weight += one * quantity;
  }
  if (together > 0) {
    parcels.push({
      weight: toThousandth(weight),
      contents: merged(together === lines.length ? lines : lines.filter(({ good }) => !good.packsAlone)),
    });
  }
  if (together < lines.length) aloneParcels(lines, defaultWeight, parcels);
  return parcels;
};
