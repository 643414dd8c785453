import { ORDER_HEADINGS, type OrderHeading } from './orders-csv.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';

const MINOR = 'in minor units: 1250 is 12.50.';

const ORDERS: Record<OrderHeading, ColumnAbout> = {
  number: words('Tells the orders apart.'),
  placed_at: words('When it was placed, with the offset from UTC.'),
  status: words('How far it is: placed, packed, booked, on its way, handed over, cancelled.'),
  recipient: words('Who gets it.'),
  email: words('How the customer is reached.'),
  phone: words('How the customer is reached.'),
  billing_name: words('Whom the bill goes to, where that is another.'),
  billing_address: words('Where the bill goes to, where that is elsewhere.'),
  kind: words('shipping, delivery, pickup or nothing-to-ship.'),
  choice: words('The way that was chosen, by its id.'),
  choice_name: words('What the way is called.'),
  charge: numbers(`The charge for it, ${MINOR}`),
  choice_total: numbers(`The charge with its tax, ${MINOR}`),
  fallback_charged: words('yes where a fallback stood in for the carrier.'),
  total: numbers(`The whole order, ${MINOR}`),
  slot_start: words('The time that was chosen: from.'),
  slot_end: words('The time that was chosen: to.'),
  country: words('Two letters, such as CA.'),
  subdivision: words('As CA-NS.'),
  postal_code: words('The postal code.'),
  town: words('The town.'),
  address: words('The lines of the address.'),
  goods: words('As “2 x pot-26; 1 x trowel”.'),
  discount: numbers(`What was taken off, ${MINOR}`),
  customer: words('The customer’s group.'),
  channel: words('Where it was ordered.'),
  cost: numbers(`What the carrier took, ${MINOR}`),
  payment: words('How it is paid.'),
  language: words('The language it was ordered in.'),
  choice_shown_as: words('What the way was called in that language.'),
};

/** The columns of the orders. */
export const ordersSheet = (): SheetColumn[] =>
  ORDER_HEADINGS.map((heading) => ({ heading, ...ORDERS[heading] }));
