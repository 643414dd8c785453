import type { Parcel } from '../model/quote.ts';
import type { BasketLine } from '../quote/basket.ts';

/** How many parcels a basket makes when all goes into one, but for goods that are their own carton. */
export const singleParcelCount = (lines: readonly BasketLine[]): number => {
  let alone = 0;
  let together = 0;
  for (const line of lines) {
    if (line.packsAlone) alone += line.quantity;
    else together = 1;
  }
  return alone + together;
};

const merged = (lines: readonly BasketLine[]): Parcel['contents'] => {
  const counts = new Map<string, number>();
  for (const { sku, quantity } of lines) counts.set(sku, (counts.get(sku) ?? 0) + quantity);
  return [...counts].map(([sku, quantity]) => ({ sku, quantity }));
};

const MOST_LISTED = 1_000;

/**
 * The parcels of a basket: one for all that packs together, one for each good that packs alone, up
 * to a thousand. Where a weight is not known the parcels cannot be stated, and there are none.
 */
export const singleParcels = (lines: readonly BasketLine[], defaultWeight: number | undefined): Parcel[] => {
  const weightOf = (line: BasketLine): number | undefined => line.weight ?? defaultWeight;
  if (lines.some((line) => weightOf(line) === undefined)) return [];
  const together = lines.filter((line) => !line.packsAlone);
  const parcels: Parcel[] = [];
  if (together.length > 0) {
    const weight = together.reduce((total, line) => total + (weightOf(line) ?? 0) * line.quantity, 0);
    parcels.push({ weight, contents: merged(together) });
  }
  for (const line of lines) {
    if (!line.packsAlone) continue;
    for (let unit = 0; unit < line.quantity && parcels.length < MOST_LISTED; unit += 1) {
      parcels.push({
        weight: weightOf(line) ?? 0,
        ...(line.size ? { size: line.size } : {}),
        contents: [{ sku: line.sku, quantity: 1 }],
      });
    }
  }
  return parcels;
};
