import type { Choice } from '../model/quote.ts';
import type { OrderContext } from './order-context.ts';
import type { Way } from './outcome.ts';

/**
 * The ids of the payment options that fit a way with what it costs in all, in minor units: switched on, for its kind,
 * up to their greatest total with the goods and their tax, in their countries; at the door only where a line of the
 * postal list that holds the address allows it.
 */
export const paymentsFor = (
  { compiled: { book }, basket, goodsTax, place, reach: { postal } }: OrderContext,
  way: Pick<Way, 'kind' | 'country'>,
  total: Choice['total'],
): string[] => {
  const ids: string[] = [];
  if (book.payments.length === 0) return ids;
  const country = place?.country ?? way.country ?? book.locations[0]?.address.country;
  const sum = basket.subtotal + (book.store.pricesIncludeTax ? 0 : goodsTax) + total;
  for (const option of book.payments)
    if (
      option.active !== false &&
      option.for.includes(way.kind) &&
      (option.maxTotal === undefined || option.maxTotal >= sum) &&
      (!option.countries || (country !== undefined && option.countries.includes(country))) &&
      (option.kind !== 'on-delivery' || postal === null || postal.cashOnDelivery)
    )
      ids.push(option.id);
  return ids;
};
