import type { TaxRate } from '../model/tax.ts';
import type { Place } from '../place/place.ts';
import { buildPlaceIndex, claimsOn, type PlaceIndex } from '../place/place-index.ts';
import { multiplyDivide, pointsOf } from '../price/rounding.ts';

/** The taxes on one thing, ready to be asked for a place. */
export interface TaxesOn {
  index: PlaceIndex<TaxRate>;
  /** Whether any of them depends on the postal code. */
  byCode: boolean;
  /** What was found by country and subdivision, where no code matters. */
  found: Map<string, readonly TaxRate[]>;
}

export interface TaxIndex {
  goods: TaxesOn;
  charges: TaxesOn;
}

const indexOf = (taxes: readonly TaxRate[]): TaxesOn => ({
  index: buildPlaceIndex(taxes.map((tax) => ({ owner: tax, regions: [tax.region] }))),
  byCode: taxes.some((tax) => tax.region.postal !== undefined),
  found: new Map(),
});

/** An index of the taxes by what they are on. */
export const indexTaxes = (taxes: readonly TaxRate[]): TaxIndex => ({
  goods: indexOf(taxes.filter((tax) => tax.on !== 'charges')),
  charges: indexOf(taxes.filter((tax) => tax.on !== 'goods')),
});

const NO_TAX: readonly TaxRate[] = [];

/** Every tax whose region holds the place, each once. */
export const taxesAt = ({ index, byCode, found }: TaxesOn, place: Place | null): readonly TaxRate[] => {
  if (!place) return NO_TAX;
  if (byCode) return [...new Set(claimsOn(index, place).map((claim) => claim.owner))];
  const area = place.subdivision ?? place.country;
  const known = found.get(area);
  if (known) return known;
  const taxes = claimsOn(index, place).map((claim) => claim.owner);
  found.set(area, taxes);
  return taxes;
};

const allPoints = (taxes: readonly TaxRate[]): number => {
  let all = 0;
  for (const tax of taxes) all += tax.points;
  return all;
};

const part = (amount: number, points: number, all: number, included: boolean): number =>
  included ? multiplyDivide(amount, points, 10_000 + all) : pointsOf(amount, points);

/**
 * The tax on an amount: each rate rounded for itself. With `included`, the part of the amount that
 * is tax: amount × p ÷ (10,000 + Σp).
 */
export const taxOn = (amount: number, taxes: readonly TaxRate[], included: boolean): number => {
  const all = allPoints(taxes);
  let total = 0;
  for (const { points } of taxes) total += part(amount, points, all, included);
  return total;
};

/** What one of the taxes on an amount comes to; 0 for a tax that is not among them. */
export const taxPart = (
  amount: number,
  tax: TaxRate,
  taxes: readonly TaxRate[],
  included: boolean,
): number => (taxes.includes(tax) ? part(amount, tax.points, allPoints(taxes), included) : 0);
