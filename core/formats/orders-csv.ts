import { t } from '../translate/translate.ts';
import type { Fault } from '../model/fault.ts';
import { pastOrderSchema, type PastOrder } from '../model/order.ts';
import { parseWith } from '../model/schema-fault.ts';
import { guessMapping } from './list-columns.ts';
import {
  cellAt,
  listColumn,
  readList,
  sheetOf,
  type ListFormat,
  type ReadingContext,
  type RowCells,
} from './list-format.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';
import { orderUpToDate } from './version-1.ts';

/** Orders in and out as a table: one row an order, its goods as '2 x pot-26; 1 x trowel', amounts in minor units. */

const MINOR = t('in minor units: 1250 is 12.50.');

const ABOUT = {
  number: words(t('Tells the orders apart.')),
  placed_at: words(t('When it was placed, with the offset from UTC.')),
  status: words(t('How far it is: placed, packed, booked, on its way, handed over, cancelled.')),
  recipient: words(t('Who gets it.')),
  email: words(t('How the customer is reached.')),
  phone: words(t('How the customer is reached.')),
  billing_name: words(t('Whom the bill goes to, where that is another.')),
  billing_address: words(t('Where the bill goes to, where that is elsewhere.')),
  kind: words(t('shipping, delivery, pickup or nothing-to-ship.')),
  choice: words(t('The way that was chosen, by its id.')),
  choice_name: words(t('What the way is called.')),
  charge: numbers(t('The charge for it, {MINOR}', { MINOR })),
  choice_total: numbers(t('The charge with its tax, {MINOR}', { MINOR })),
  fallback_charged: words(t('yes where a fallback stood in for the carrier.')),
  total: numbers(t('The whole order, {MINOR}', { MINOR })),
  slot_start: words(t('The time that was chosen: from.')),
  slot_end: words(t('The time that was chosen: to.')),
  country: words(t('Two letters, such as CA.')),
  subdivision: words(t('As CA-NS.')),
  postal_code: words(t('The postal code.')),
  town: words(t('The town.')),
  address: words(t('The lines of the address.')),
  goods: words(t('As “2 x pot-26; 1 x trowel”.')),
  discount: numbers(t('What was taken off, {MINOR}', { MINOR })),
  customer: words(t('The customer’s group.')),
  channel: words(t('Where it was ordered.')),
  cost: numbers(t('What the carrier took, {MINOR}', { MINOR })),
  payment: words(t('How it is paid.')),
  language: words(t('The language it was ordered in.')),
  choice_shown_as: words(t('What the way was called in that language.')),
} satisfies Record<string, ColumnAbout>;
export type OrderHeading = keyof typeof ABOUT;

const NEEDED: readonly OrderHeading[] = ['number', 'placed_at', 'kind', 'choice', 'charge', 'goods'];

const ORDER_COLUMNS = (Object.keys(ABOUT) as OrderHeading[]).map((heading) =>
  listColumn(heading, heading, ABOUT[heading], [], { needed: NEEDED.includes(heading) }),
);

/** The columns of the orders. */
export const ordersSheet = (): SheetColumn[] => sheetOf(ORDER_COLUMNS);

const text = (value: string | number | undefined): string => (value === undefined ? '' : String(value));

type Cells<H extends OrderHeading> = Record<H, string>;

const billCells = ({ billing }: PastOrder): Cells<'billing_name' | 'billing_address'> => {
  const { lines = [], postalCode, city, country } = billing?.address ?? {};
  return {
    billing_name: text(billing?.name),
    billing_address: [...lines, postalCode, city, country].filter(Boolean).join(', '),
  };
};

const whoCells = (
  order: PastOrder,
): Cells<'recipient' | 'email' | 'phone' | 'billing_name' | 'billing_address'> => ({
  recipient: text(order.recipient),
  email: text(order.contact?.email),
  phone: text(order.contact?.phone),
  ...billCells(order),
});

const whereCells = ({
  request: { destination },
}: PastOrder): Cells<'country' | 'subdivision' | 'postal_code' | 'town' | 'address'> => ({
  country: text(destination?.country),
  subdivision: text(destination?.subdivision),
  postal_code: text(destination?.postalCode),
  town: text(destination?.city),
  address: (destination?.lines ?? []).join(', '),
});

/** The cells of an order, in the order of the headings; `total` is the order's, `choice_total` that of getting it there. */
export const orderCells = (order: PastOrder): string[] => {
  const { number, status, chosen, cost, payment, sums } = order;
  const { lines, placedAt, discount, customer, channel } = order.request;
  const cells: Record<OrderHeading, string> = {
    number,
    placed_at: placedAt,
    status,
    ...whoCells(order),
    kind: chosen.kind,
    choice: chosen.id,
    choice_name: chosen.name,
    charge: text(chosen.charge),
    choice_total: text(chosen.total),
    fallback_charged: chosen.fallback ? 'yes' : '',
    total: text(sums?.total ?? chosen.total),
    slot_start: text(chosen.slot?.start),
    slot_end: text(chosen.slot?.end),
    ...whereCells(order),
    goods: lines.map(goodsText).join('; '),
    discount: text(discount),
    customer: text(customer),
    channel: text(channel),
    cost: text(cost),
    payment: text(payment),
    language: text(order.language),
    choice_shown_as: text(chosen.shownAs),
  };
  return ORDER_COLUMNS.map(({ column }) => cells[column]);
};

type Cell = RowCells<OrderHeading>;

/** Fields that are there; an empty cell is none. */
const given = (fields: Record<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== ''));

const amount = (cell: string): number | string | undefined =>
  cell === '' ? undefined : /^-?\d{1,15}$/.test(cell) ? Number(cell) : cell;

const amounts = (fields: Record<string, string>): Record<string, number | string> =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([name, cell]) => {
      const value = amount(cell);
      return value === undefined ? [] : [[name, value]];
    }),
  );

/** So many of a good, its stock number quoted where it would be read otherwise. */
const goodsText = ({ sku, quantity }: { sku: string; quantity: number }): string =>
  `${quantity} x ${/[;"]/.test(sku) || sku !== sku.trim() ? `"${sku.replaceAll('"', '""')}"` : sku}`;

/** A good of the cell: a quantity if there is one, then a quoted stock number or one as it stands. */
const GOOD = /\s*(?:(\d{1,5})\s*[x×]\s*)?(?:"((?:[^"]|"")*)"\s*|([^;]+)|)(?:;|$)/giy;

/** The products of a cell as '2 x pot-26; 1 x trowel' has them. */
export const goodsOf = (cell: string): { sku: string; quantity: number }[] =>
  [...cell.matchAll(GOOD)].flatMap(([, quantity, quoted, plain = '']) => {
    const sku = quoted?.replaceAll('""', '"') ?? plain.trim();
    return sku === '' ? [] : [{ sku, quantity: quantity === undefined ? 1 : Number(quantity) }];
  });

/** How the customer is reached, where a cell says so. */
const contactOf = (cell: Cell): { contact?: Record<string, string> } => {
  const contact = given({ email: cell('email'), phone: cell('phone') });
  return Object.keys(contact).length > 0 ? { contact } : {};
};

/** The choice that was taken, and what it is called. */
const namesOf = (cell: Cell): Record<string, string> => ({
  id: cell('choice'),
  kind: cell('kind'),
  name: cell('choice_name') || cell('choice'),
  ...given({ shownAs: cell('choice_shown_as') }),
});

/** A row as an order of the shape of the files, not yet checked. */
const asOrder = (cell: Cell): unknown => {
  const address = cell('address');
  const destination = {
    ...given({
      country: cell('country').toUpperCase(),
      subdivision: cell('subdivision'),
      postalCode: cell('postal_code'),
      city: cell('town'),
    }),
    ...(address === '' ? {} : { lines: [address] }),
  };
  const slot = given({ start: cell('slot_start'), end: cell('slot_end') });
  return {
    number: cell('number'),
    request: {
      destination: cell('country') === '' ? null : destination,
      lines: goodsOf(cell('goods')),
      placedAt: cell('placed_at'),
      ...given({ customer: cell('customer'), channel: cell('channel') }),
      ...amounts({ discount: cell('discount') }),
    },
    chosen: {
      ...namesOf(cell),
      ...amounts({ charge: cell('charge'), total: cell('choice_total') || cell('total') || cell('charge') }),
      ...(/^(yes|true|1)$/i.test(cell('fallback_charged')) ? { fallback: true } : {}),
      ...(Object.keys(slot).length > 0 ? { slot } : {}),
    },
    status: cell('status') || 'handed-over',
    history: [{ status: cell('status') || 'handed-over', at: cell('placed_at') }],
    ...given({
      recipient: cell('recipient'),
      payment: cell('payment'),
      language: cell('language').toLowerCase(),
    }),
    ...contactOf(cell),
    ...amounts({ cost: cell('cost') }),
  };
};

/** Orders read from a table, and what is wrong with the rows that could not be. */
export interface OrdersRead {
  orders: PastOrder[];
  /** The numbers of orders whose row says nothing of their state; they are taken as handed over. */
  stateless: ReadonlySet<string>;
  faults: Fault[];
}

/** The columns by what they fill in an order. */
const COLUMNS: Record<string, OrderHeading> = {
  'request.placedAt': 'placed_at',
  'history[0].at': 'placed_at',
  'history[0].status': 'status',
  'request.lines': 'goods',
  'request.discount': 'discount',
  'request.customer': 'customer',
  'request.channel': 'channel',
  'request.destination.country': 'country',
  'request.destination.subdivision': 'subdivision',
  'request.destination.postalCode': 'postal_code',
  'request.destination.city': 'town',
  'request.destination.lines[0]': 'address',
  'chosen.id': 'choice',
  'chosen.kind': 'kind',
  'chosen.name': 'choice_name',
  'chosen.charge': 'charge',
  'chosen.total': 'choice_total',
  'chosen.slot.start': 'slot_start',
  'chosen.slot.end': 'slot_end',
  'contact.email': 'email',
  'contact.phone': 'phone',
};

/** The faults of a row by its columns, each told once. */
const rowFaults = (faults: readonly Fault[], row: number): Fault[] => {
  const told = new Set<string>();
  return faults.flatMap((one) => {
    const column = COLUMNS[one.path] ?? (one.path.startsWith('request.lines') ? 'goods' : one.path);
    const path = cellAt(row, column);
    if (told.has(`${path} ${one.code}`)) return [];
    told.add(`${path} ${one.code}`);
    return [{ ...one, path }];
  });
};

/** Orders as this program writes them. */
const ORDERS: ListFormat<OrderHeading, PastOrder & { isStateless: boolean }, null> = {
  columns: ORDER_COLUMNS,
  rowReader: () => (cell, row) => {
    const order = parseWith(pastOrderSchema, orderUpToDate(asOrder(cell)));
    return order.ok
      ? { item: { ...order.value, isStateless: cell('status') === '' } }
      : { faults: rowFaults(order.faults, row) };
  },
  unique: { column: 'number', key: ({ number }) => number },
};

/**
 * The orders of a table whose first row has the headings. Faults: a heading is missing; a row that is no sound order is
 * left out, and named with what is wrong.
 */
export const readOrderRows = (rows: readonly string[][], context: ReadingContext): OrdersRead => {
  const mapping = guessMapping(rows[0] ?? [], ORDER_COLUMNS);
  const { items, faults } = readList(ORDERS, rows, mapping, null, context);
  return {
    orders: items.map(({ isStateless: _, ...order }) => order),
    stateless: new Set(items.filter(({ isStateless }) => isStateless).map(({ number }) => number)),
    faults,
  };
};
