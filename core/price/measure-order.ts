import { unknownRefusal, type Refusal } from '../basket/limits.ts';
import type { Measure, Price } from '../model/price.ts';
import type { PricedOrder } from './price-kind.ts';

/** What a price is for each of. */
export type Per = Extract<Price, { kind: 'flat' }>['per'];

/** How many of `per` there are among the goods charged for, or why that cannot be said. */
export const countOf = (
  per: Per,
  { basket, parcels }: Pick<PricedOrder, 'basket' | 'parcels'>,
): number | Refusal => {
  if (per === 'order') return 1;
  if (per === 'parcel') return parcels.count();
  return per === 'unit' ? basket.charged.units : basket.chargeable.length;
};

/** What an order measures among the goods charged for, or why that cannot be said. */
export const measureOf = (
  basis: Measure,
  { basket, distance }: Pick<PricedOrder, 'basket' | 'distance'>,
): number | Refusal => {
  if (basis === 'subtotal') return basket.subtotal;
  if (basis === 'units') return basket.charged.units;
  if (basis === 'distance')
    return distance ?? { code: 'distance-unknown', say: { code: 'distance-unknown' } };
  const known = basket.charged[basis];
  return known.unknown.length > 0 ? unknownRefusal(basis, known) : known.value;
};
