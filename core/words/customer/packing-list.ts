import type { PastOrder } from '../../model/order.ts';
import type { CustomerWords } from './customer-words.ts';
import { nameOf, promised } from './order-message.ts';

/** What lies with the products in the parcel or the bag, as the customer reads it. */
export interface PackingList {
  title: string;
  notes: string[];
  /** How many, and of what. */
  rows: [string, string][];
}

/**
 * The packing list of an order in its customer's language. `address` is the address as its post writes it, with the name;
 * `lines` are what is packed, and how many of it.
 */
export const packingList = (
  order: PastOrder,
  { address, lines }: { address: readonly string[]; lines: readonly { name: string; quantity: number }[] },
  words: CustomerWords,
): PackingList => {
  const { destination } = order.request;
  const country = destination ? words.country(destination.country) : '';
  return {
    title: words.say('order.packed', { number: order.number }),
    notes: [...address, country, [nameOf(order), promised(order, words)].filter(Boolean).join(', ')].filter(
      Boolean,
    ),
    rows: lines.map(({ name, quantity }) => [words.say('order.packed-line', { count: quantity }), name]),
  };
};
