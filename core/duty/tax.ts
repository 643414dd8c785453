import type { TaxRate } from '../model/tax.ts';
import type { Place } from '../place/place.ts';
import { buildPlaceIndex, claimsOn, type PlaceIndex } from '../place/place-index.ts';
import { multiplyDivide, pointsOf } from '../price/rounding.ts';

/** The taxes on the goods and on the charges, ready to be asked for a place. */
export interface TaxIndex {
  goods: PlaceIndex<TaxRate>;
  charges: PlaceIndex<TaxRate>;
}

/** An index of the taxes by what they are on. */
export const indexTaxes = (taxes: readonly TaxRate[]): TaxIndex => {
  const on = (what: 'goods' | 'charges'): PlaceIndex<TaxRate> =>
    buildPlaceIndex(
      taxes.filter((tax) => tax.on === what || tax.on === 'both').map((tax) => ({ owner: tax, regions: [tax.region] })),
    );
  return { goods: on('goods'), charges: on('charges') };
};

/** Every tax whose region holds the place, each once. */
export const taxesAt = (index: PlaceIndex<TaxRate>, place: Place | null): readonly TaxRate[] => {
  if (!place) return [];
  const taxes = claimsOn(index, place).map((claim) => claim.owner);
  return taxes.length < 2 ? taxes : [...new Set(taxes)];
};

/**
 * The tax on an amount: each rate rounded for itself. With `included`, the part of the amount that
 * is tax: amount × p ÷ (10,000 + Σp).
 */
export const taxOn = (amount: number, taxes: readonly TaxRate[], included: boolean): number => {
  let all = 0;
  for (const tax of taxes) all += tax.points;
  let total = 0;
  for (const { points } of taxes) {
    total += included ? multiplyDivide(amount, points, 10_000 + all) : pointsOf(amount, points);
  }
  return total;
};
