import { marked, t } from '../translate/translate.ts';
import { fault, type Fault } from '../model/fault.ts';
import { pastOrderSchema, type PastOrder } from '../model/order.ts';
import type { Destination } from '../model/place.ts';
import { normaliseCode } from '../place/postal.ts';
import { subdivisionOfCode } from '../place/subdivision-of-code.ts';
import type { Line } from '../model/request.ts';
import { localDateSchema } from '../model/unit.ts';
import {
  cellAt,
  listColumn,
  unread,
  type ListColumn,
  type ListFormat,
  type ReadingContext,
  type RowCells,
  type RowResult,
} from './list-format.ts';
import { goodsOf } from './orders-csv.ts';
import { numbers, words } from './sheet-column.ts';
import { typedMoney, typedWeight } from './typed.ts';

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

const COLUMNS: readonly ListColumn<PastColumn>[] = [
  listColumn(
    'number',
    marked('Number'),
    words(t('Tells the orders apart.')),
    ['order', 'order number', 'order no', 'order id', 'id', 'no', 'reference'],
    { needed: true },
  ),
  listColumn(
    'placed',
    marked('Date'),
    words(t('The day or the moment it was placed.')),
    ['placed', 'placed at', 'order date', 'created', 'created at', 'ordered', 'when'],
    { needed: true },
  ),
  listColumn('service', marked('Service'), words(t('What the way was called.')), [
    ...['shipping method', 'delivery', 'method', 'shipping', 'choice', 'choice name'],
  ]),
  listColumn(
    'charged',
    marked('Charged'),
    numbers(t('What the customer paid for getting it.')),
    ['charge', 'shipping charged', 'shipping price', 'postage', 'delivery charge'],
    { needed: true },
  ),
  listColumn('cost', marked('Cost'), numbers(t('What the carrier took.')), [
    ...['shipping cost', 'carrier cost', 'label cost', 'paid', 'freight'],
  ]),
  listColumn('goods', marked('Products'), words(t('As “2 x pot-26; 1 x trowel”.')), [
    'goods',
    'items',
    'lines',
    'contents',
  ]),
  listColumn(
    'weight',
    marked('Weight'),
    words(t('Of the whole order.')),
    ['total weight', 'gross weight', 'mass'],
    {
      measured: true,
    },
  ),
  listColumn('subtotal', marked('Subtotal'), numbers(t('The products together.')), [
    ...['goods total', 'items total', 'products total', 'net', 'value', 'merchandise'],
  ]),
  listColumn('country', marked('Country'), words(t('By name, or two letters such as CA.')), [
    ...['country code', 'ship country', 'shipping country', 'land'],
  ]),
  listColumn('region', marked('Region'), words(t('A province or state, by name or code.')), [
    ...['province', 'state', 'subdivision', 'shipping province', 'county'],
  ]),
  listColumn('postalCode', marked('Postal code'), words(t('The postal code.')), [
    ...['postcode', 'zip', 'zip code', 'postal', 'shipping zip'],
  ]),
  listColumn('town', marked('Town'), words(t('The town.')), ['city', 'place', 'shipping city']),
];

const NAMES = Object.fromEntries(COLUMNS.map(({ column, name }) => [column, name])) as Record<
  PastColumn,
  string
>;

/** How a file of past orders is meant. */
export interface PastMeaning {
  decimals: number;
  /** The unit of weights that have none: 'kg', 'g', 'lb', 'oz'. */
  unit: string;
  units: 'metric' | 'imperial';
  /** What comes first in dates such as 03/04/2026. */
  dates: 'day-first' | 'month-first';
  /** The country of orders that name none. */
  home: string;
  /** The subdivisions of countries, by code and name; null where they are not at hand. */
  subdivisions: ReadonlyMap<string, readonly { code: string; name: string }[]> | null;
}

type Cell = RowCells<PastColumn>;

/** A subdivision of a country by its code, the end of its code, or its name; null where it is none. */
const regionOf = (
  subdivisions: PastMeaning['subdivisions'],
  country: string,
  text: string,
): string | null => {
  const wanted = text.toLowerCase();
  const found = subdivisions
    ?.get(country)
    ?.find(({ code, name }) =>
      [code, code.slice(code.indexOf('-') + 1), name].some((one) => one.toLowerCase() === wanted),
    );
  return found?.code ?? null;
};

const SHORT_DATE = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})\b(.*)$/;
const TIME = /(\d{1,2}):(\d{2})/;
const two = (text: string): string => text.padStart(2, '0');

/** The moment of a cell: an instant as it stands, a date at noon, a date with a time at that time (UTC). */
const momentOf = (text: string, dates: PastMeaning['dates']): string | null => {
  if (/^\d{4}-\d\d-\d\dT.*(Z|[+-]\d\d:?\d\d)$/.test(text) && !Number.isNaN(Date.parse(text))) return text;
  const [, first = '', second = '', year = ''] = SHORT_DATE.exec(text) ?? [];
  const [day, month] = dates === 'day-first' ? [first, second] : [second, first];
  const date = year === '' ? text.slice(0, 10) : `${year}-${two(month)}-${two(day)}`;
  if (!localDateSchema.safeParse(date).success) return null;
  const [, hour, minute] = TIME.exec(text.slice(8)) ?? [];
  return hour === undefined || Number(hour) > 23 || Number(minute) > 59
    ? `${date}T12:00:00Z`
    : `${date}T${two(hour)}:${minute}:00Z`;
};

const AMOUNT = t('an amount, such as 12.50');

/** Reads the cells of a row, and notes what could not be read. */
class RowReader {
  readonly faults: Fault[] = [];

  constructor(
    private readonly cell: Cell,
    private readonly row: number,
    private readonly meaning: PastMeaning,
    private readonly context: ReadingContext,
  ) {}

  private unread(column: PastColumn, expected: string): void {
    this.faults.push(unread(this.row, NAMES[column], this.cell(column), expected));
  }

  money(column: 'charged' | 'cost' | 'subtotal'): number | undefined {
    const text = this.cell(column);
    if (text === '') return undefined;
    const typed = typedMoney(text, this.meaning.decimals, this.context.mark);
    if (typed.ok) return typed.value;
    this.unread(column, AMOUNT);
    return undefined;
  }

  /** An order of which nobody says what was charged is not one that was free. */
  charged(): number {
    if (this.cell('charged') === '') this.faults.push(unread(this.row, NAMES.charged, 'empty', AMOUNT));
    return this.money('charged') ?? 0;
  }

  weight(): number | undefined {
    const text = this.cell('weight');
    if (text === '') return undefined;
    const { unit, units } = this.meaning;
    const typed = typedWeight(/[a-z]/i.test(text) ? text : `${text} ${unit}`, units, this.context.mark);
    if (typed.ok) return typed.value;
    this.unread('weight', t('a weight, such as 1.2 kg'));
    return undefined;
  }

  placed(): string {
    const moment = momentOf(this.cell('placed'), this.meaning.dates);
    if (moment === null) this.unread('placed', t('a date, such as 2026-11-24 or 24/11/2026'));
    return moment ?? '';
  }

  destination(): Destination {
    const { home, subdivisions } = this.meaning;
    const named = this.cell('country');
    const country = named === '' ? home : this.context.countryOf(named);
    if (country === null) this.unread('country', t('a country by name or in two letters, such as CA'));
    const [region, code] = [this.cell('region'), this.cell('postalCode')];
    const subdivision =
      country === null
        ? null
        : ((region === '' ? null : regionOf(subdivisions, country, region)) ??
          subdivisionOfCode(country, normaliseCode(country, code)) ??
          null);
    const [postalCode, city] = [this.cell('postalCode'), this.cell('town')];
    return {
      country: country ?? '',
      ...(subdivision === null ? {} : { subdivision }),
      ...(postalCode === '' ? {} : { postalCode }),
      ...(city === '' ? {} : { city }),
    };
  }

  /** The products of the row; else one line that weighs and costs what the row says. */
  lines(): Line[] {
    const goods = goodsOf(this.cell('goods'));
    if (goods.length > 0) return goods;
    const [weight, price] = [this.weight(), this.money('subtotal')];
    if (weight === undefined && price === undefined && this.faults.length === 0)
      this.faults.push(fault('order-without-goods', cellAt(this.row, null)));
    const measured = weight === undefined ? {} : { weight };
    return [
      {
        sku: 'past-order',
        name: t('Past order'),
        quantity: 1,
        fulfilment: 'physical',
        price: price ?? 0,
        ...measured,
      },
    ];
  }
}

const rowReader =
  (meaning: PastMeaning, context: ReadingContext) =>
  (cell: Cell, row: number): RowResult<PastOrder> => {
    const reader = new RowReader(cell, row, meaning, context);
    const placedAt = reader.placed();
    const [charge, cost] = [reader.charged(), reader.money('cost')];
    const destination = reader.destination();
    const lines = reader.lines();
    if (reader.faults.length > 0) return { faults: reader.faults };
    const name = cell('service') || t('Past order');
    const order = pastOrderSchema.safeParse({
      number: cell('number'),
      request: { destination, lines, placedAt },
      chosen: { id: 'past-order', kind: 'shipping', name, charge, total: charge },
      ...(cost === undefined ? {} : { cost }),
      status: 'handed-over',
      history: [{ status: 'handed-over', at: placedAt }],
    });
    return order.success
      ? { item: order.data }
      : { faults: [unread(row, NAMES.number, cell('number'), t('an order number'))] };
  };

/**
 * Past orders from anywhere, under columns of any names. A row has its products, or a weight and a subtotal, which then
 * stand for them; it is taken as handed over.
 */
export const PAST_ORDERS: ListFormat<PastColumn, PastOrder, PastMeaning> = {
  columns: COLUMNS,
  rowReader,
  unique: { column: 'number', key: ({ number }) => number },
};
