import type { Choice } from '../model/quote.ts';
import type { PaymentOption } from '../model/tax.ts';
import type { PostalRule } from '../model/delivery.ts';

/** What decides how an order can be paid. */
export interface Payable {
  options: readonly PaymentOption[];
  /** What the goods come to with the tax that is due on them, in minor units. */
  goods: number;
  /** The destination's country, else the location's. */
  country: string | undefined;
  /** The line of the postal list that holds the destination. */
  postal: PostalRule | null;
}

/**
 * The ids of the payment options that fit a choice: switched on, for its kind, up to their greatest total, in their
 * countries; at the door only where a line of the postal list that holds the address allows it.
 */
export const paymentsFor = (
  { options, goods, country, postal }: Payable,
  { kind, total }: Pick<Choice, 'kind' | 'total'>,
): string[] => {
  const ids: string[] = [];
  for (const option of options)
    if (
      option.active !== false &&
      option.for.includes(kind) &&
      (option.maxTotal === undefined || option.maxTotal >= goods + total) &&
      (!option.countries || (country !== undefined && option.countries.includes(country))) &&
      (option.kind !== 'on-delivery' || postal === null || postal.cashOnDelivery)
    )
      ids.push(option.id);
  return ids;
};
