import type { ListColumn } from './list-columns.ts';

/** The columns of past orders from anywhere. */
export type PastColumn =
  | 'number'
  | 'placed'
  | 'service'
  | 'charged'
  | 'cost'
  | 'goods'
  | 'weight'
  | 'subtotal'
  | 'country'
  | 'region'
  | 'postalCode'
  | 'town';

const column = (
  name: PastColumn,
  heading: string,
  aliases: string[],
  { needed = false, measured = false } = {},
): ListColumn<PastColumn> => ({ column: name, name: heading, aliases, needed, measured });

export const PAST_COLUMNS: readonly ListColumn<PastColumn>[] = [
  column('number', 'Number', ['order', 'order number', 'order no', 'order id', 'id', 'no', 'reference'], {
    needed: true,
  }),
  column(
    'placed',
    'Date',
    ['placed', 'placed at', 'order date', 'created', 'created at', 'ordered', 'when'],
    {
      needed: true,
    },
  ),
  column('service', 'Service', [
    'shipping method',
    'delivery',
    'method',
    'shipping',
    'choice',
    'choice name',
  ]),
  column(
    'charged',
    'Charged',
    ['charge', 'shipping charged', 'shipping price', 'postage', 'delivery charge'],
    {
      needed: true,
    },
  ),
  column('cost', 'Cost', ['shipping cost', 'carrier cost', 'label cost', 'paid', 'freight']),
  column('goods', 'Products', ['goods', 'items', 'lines', 'contents']),
  column('weight', 'Weight', ['total weight', 'gross weight', 'mass'], { measured: true }),
  column('subtotal', 'Subtotal', [
    'goods total',
    'items total',
    'products total',
    'net',
    'value',
    'merchandise',
  ]),
  column('country', 'Country', ['country code', 'ship country', 'shipping country', 'land']),
  column('region', 'Region', ['province', 'state', 'subdivision', 'shipping province', 'county']),
  column('postalCode', 'Postal code', ['postcode', 'zip', 'zip code', 'postal', 'shipping zip']),
  column('town', 'Town', ['city', 'place', 'shipping city']),
];
