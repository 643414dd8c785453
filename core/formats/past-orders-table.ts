import { fault, type Fault } from '../model/fault.ts';
import { pastOrderSchema, type PastOrder } from '../model/order.ts';
import type { Destination } from '../model/place.ts';
import { normaliseCode } from '../place/postal.ts';
import { subdivisionOfCode } from '../place/subdivision-of-code.ts';
import type { Line } from '../model/request.ts';
import { localDateSchema } from '../model/unit.ts';
import {
  cellAt,
  cellsBy,
  mappingFaults,
  readList,
  unread,
  type ListMapping,
  type ListReading,
} from './list-columns.ts';
import { goodsOf } from './orders-csv.ts';
import { PAST_COLUMNS, type PastColumn } from './past-order-columns.ts';
import { typedMoney, typedWeight, type Mark } from './typed.ts';

const NAMES = Object.fromEntries(PAST_COLUMNS.map(({ column: key, name }) => [key, name])) as Record<
  PastColumn,
  string
>;

/** How a file of past orders is meant. */
export interface PastMeaning {
  decimals: number;
  mark: Mark;
  /** The unit of weights that have none: 'kg', 'g', 'lb', 'oz'. */
  unit: string;
  units: 'metric' | 'imperial';
  /** What comes first in dates such as 03/04/2026. */
  dates: 'day-first' | 'month-first';
  /** The country of orders that name none. */
  home: string;
  /** The country, and the subdivision, of a name or code; null where it is none. */
  countryOf: (text: string) => string | null;
  regionOf: (country: string, text: string) => string | null;
}

type Cell = (column: PastColumn) => string;

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

const AMOUNT = 'an amount, such as 12.50';

/** Reads the cells of a row, and notes what could not be read. */
class RowReader {
  readonly faults: Fault[] = [];

  constructor(
    private readonly cell: Cell,
    private readonly row: number,
    private readonly meaning: PastMeaning,
  ) {}

  private unread(column: PastColumn, expected: string): void {
    this.faults.push(unread(this.row, NAMES[column], this.cell(column), expected));
  }

  money(column: 'charged' | 'cost' | 'subtotal'): number | undefined {
    const text = this.cell(column);
    if (text === '') return undefined;
    const typed = typedMoney(text, this.meaning.decimals, this.meaning.mark);
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
    const { unit, units, mark } = this.meaning;
    const typed = typedWeight(/[a-z]/i.test(text) ? text : `${text} ${unit}`, units, mark);
    if (typed.ok) return typed.value;
    this.unread('weight', 'a weight, such as 1.2 kg');
    return undefined;
  }

  placed(): string {
    const moment = momentOf(this.cell('placed'), this.meaning.dates);
    if (moment === null) this.unread('placed', 'a date, such as 2026-11-24 or 24/11/2026');
    return moment ?? '';
  }

  destination(): Destination {
    const { home, countryOf, regionOf } = this.meaning;
    const named = this.cell('country');
    const country = named === '' ? home : countryOf(named);
    if (country === null) this.unread('country', 'a country by name or in two letters, such as CA');
    const [region, code] = [this.cell('region'), this.cell('postalCode')];
    const subdivision =
      country === null
        ? null
        : ((region === '' ? null : regionOf(country, region)) ??
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
        name: 'Past order',
        quantity: 1,
        fulfilment: 'physical',
        price: price ?? 0,
        ...measured,
      },
    ];
  }
}

const orderOf = (
  cell: Cell,
  row: number,
  meaning: PastMeaning,
): { item: PastOrder } | { faults: Fault[] } => {
  const reader = new RowReader(cell, row, meaning);
  const placedAt = reader.placed();
  const [charge, cost] = [reader.charged(), reader.money('cost')];
  const destination = reader.destination();
  const lines = reader.lines();
  if (reader.faults.length > 0) return { faults: reader.faults };
  const name = cell('service') || 'Past order';
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
    : { faults: [unread(row, NAMES.number, cell('number'), 'an order number')] };
};

/**
 * Past orders out of a file whose columns have any names. A row has its products, or a weight and a subtotal, which then
 * stand for them; it is taken as handed over. A number that is there twice is taken once.
 */
export const readPastOrders = (
  rows: readonly (readonly string[])[],
  mapping: ListMapping<PastColumn>,
  meaning: PastMeaning,
): ListReading<PastOrder> => {
  const faults = mappingFaults(mapping, PAST_COLUMNS);
  if (faults.length > 0) return { items: [], rows: [], faults, faulty: Math.max(0, rows.length - 1) };
  const cells = cellsBy(mapping);
  const seen = new Map<string, number>();
  return readList(rows, (row, at) => {
    const cell = cells(row);
    const first = seen.get(cell('number'));
    if (first !== undefined)
      return {
        faults: [fault('cell-duplicate', cellAt(at, NAMES.number), { text: cell('number'), row: first })],
      };
    seen.set(cell('number'), at);
    return orderOf(cell, at, meaning);
  });
};
