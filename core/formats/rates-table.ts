import { t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import { fault, type Fault } from '../model/fault.ts';
import { freeId } from '../model/ids.ts';
import { measureSchema, type Measure, type Price } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { kindOf, PRICE_KINDS } from '../price/kinds.ts';
import type { FigureRow } from '../price/price-kind.ts';
import { withCharge, withFreeFrom, withSubtotal } from '../price/rate-edges.ts';
import type { DisplayFormat } from '../words/figure.ts';
import {
  cellAt,
  readList,
  unread,
  type ListFormat,
  type ListMapping,
  type ReadingContext,
  type RowCells,
} from './list-format.ts';
import { typedMeasure } from './measure-typed.ts';
import { RATE_COLUMNS, rateColumnName, type RateColumn } from './rates-sheet.ts';
import { typedMoney, typedPercent, type Mark } from './typed.ts';

/** How the cells of a file are meant. */
export interface RatesMeaning {
  display: DisplayFormat;
  /** Whether an empty cell of a column that the file has takes out what was there, or leaves it. */
  empty: 'leaves' | 'clears';
}

/** What a file makes of the rates of a board. */
export interface RatesRead {
  /** All rates as they would be; those that the file does not name, and those with a fault in a row, as they are. */
  rates: Rate[];
  /** Rows that could be taken, and that could not. */
  sound: number;
  faulty: number;
  faults: Fault[];
}

interface Row {
  at: number;
  cell: RowCells<RateColumn>;
  zoneId: string;
  serviceId: string;
}

/** The rows of one rate. */
type RateLines = readonly [first: Row, ...rest: Row[]];

const plain = (text: string): string => text.trim().toLowerCase();

const named = (list: readonly { id: string; name: string }[], text: string): string | null =>
  list.find(({ id, name }) => plain(name) === plain(text) || id === text)?.id ?? null;

const isKind = (text: string): text is Price['kind'] => Object.hasOwn(PRICE_KINDS, text);

/** Reads the cells of one rate, and keeps what is wrong with them. */
class RateReader {
  readonly faults: Fault[] = [];

  constructor(
    private readonly columns: ReadonlySet<RateColumn>,
    private readonly meaning: RatesMeaning,
    private readonly mark: Mark,
  ) {}

  /** A figure of a column: null where its cell is empty; undefined where the file has no such column, or it is unread. */
  figure(
    { at, cell }: Row,
    column: RateColumn,
    expected: string,
    read: (text: string) => { ok: true; value: number } | { ok: false },
  ): number | null | undefined {
    if (!this.columns.has(column)) return undefined;
    const text = cell(column);
    if (text === '') return null;
    const typed = read(text);
    if (typed.ok) return typed.value;
    this.faults.push(unread(at, rateColumnName(column), text, expected));
    return undefined;
  }

  money(row: Row, column: RateColumn): number | null | undefined {
    return this.figure(row, column, t('an amount, such as 12.50'), (text) =>
      typedMoney(text, this.meaning.display.decimals, this.mark),
    );
  }

  figures(row: Row, basis: Measure): FigureRow {
    const { display } = this.meaning;
    const from = this.figure(row, 'from', t('where the step begins, such as 2 kg'), (text) =>
      typedMeasure(basis, text, display, this.mark),
    );
    const amount = this.money(row, 'amount');
    const percent = this.figure(row, 'percent', t('a percentage, such as 12.5'), (text) =>
      typedPercent(text, this.mark),
    );
    return {
      ...(from === undefined ? {} : { from }),
      ...(amount === undefined ? {} : { amount }),
      ...(percent === undefined ? {} : { percent }),
    };
  }

  /** Whether the file has figures of prices at all; a list of thresholds alone leaves every price as it is. */
  get hasFigures(): boolean {
    return (['from', 'amount', 'percent'] as const).some((column) => this.columns.has(column));
  }

  /** A row with the figures that are there where its own cells are empty, if empty cells leave them. */
  filled(row: FigureRow, own: readonly FigureRow[]): FigureRow {
    if (this.meaning.empty === 'clears') return row;
    const there = own.find(({ from }) => (from ?? 0) === (row.from ?? 0));
    const filled = { ...row };
    for (const column of ['amount', 'percent'] as const)
      if (row[column] === null) filled[column] = there?.[column] ?? null;
    return filled;
  }

  /** The kind that the first row names, or null where it names none. */
  kind({ at, cell }: Row): Price['kind'] | null {
    const text = plain(cell('price')).replace(' ', '-');
    if (text === '') return null;
    if (isKind(text)) return text;
    this.faults.push(unread(at, rateColumnName('price'), cell('price'), t('flat, steps or percent')));
    return null;
  }

  basis({ at, cell }: Row): Measure | null {
    const text = plain(cell('basis'));
    if (text === '') return null;
    const found = measureSchema.safeParse(text);
    if (found.success) return found.data;
    this.faults.push(unread(at, rateColumnName('basis'), cell('basis'), measureSchema.options.join(', ')));
    return null;
  }

  offered({ at, cell }: Row, before: boolean): boolean {
    const text = plain(cell('offered'));
    if (text === '') return before;
    if (/^(yes|y|true|1|on)$/.test(text)) return true;
    if (!/^(no|n|false|0|off)$/.test(text))
      this.faults.push(unread(at, rateColumnName('offered'), cell('offered'), t('yes or no')));
    return false;
  }

  /** A rate with the thresholds and edges of its first row. */
  edged(rate: Rate, row: Row): Rate {
    const set = (of: Rate, column: RateColumn, change: (of: Rate, value: number | null) => Rate): Rate => {
      const value = this.money(row, column);
      const stays = value === undefined || (value === null && this.meaning.empty === 'leaves');
      return stays ? of : change(of, value);
    };
    const free = set(rate, 'freeFrom', withFreeFrom);
    const least = set(free, 'leastCharge', (of, value) => withCharge(of, 'min', value));
    const most = set(least, 'mostCharge', (of, value) => withCharge(of, 'max', value));
    const small = set(most, 'leastOrder', (of, value) => withSubtotal(of, 'min', value));
    return set(small, 'mostOrder', (of, value) => withSubtotal(of, 'max', value));
  }
}

/** What the price of the rows begins from: the rate's own, or another of the kind that they name. */
const startOf = (
  before: Rate | undefined,
  kind: Price['kind'] | null,
  basis: Measure | null,
): Price | null => {
  const own = before?.price;
  const wanted = kind ?? own?.kind ?? (basis === null ? 'flat' : 'steps');
  if (own && own.kind === wanted && (own.kind !== 'steps' || basis === null || own.basis === basis))
    return own;
  return PRICE_KINDS[wanted].beginsByRows?.(basis ?? 'weight') ?? null;
};

const priceOf = (
  reader: RateReader,
  rows: RateLines,
  before: Rate | undefined,
): { price: Price } | { faults: Fault[] } => {
  const [first] = rows;
  const kind = reader.kind(first);
  const start = startOf(before, kind, reader.basis(first));
  if (reader.faults.length > 0) return { faults: reader.faults };
  if (!start) return { faults: [fault('rate-kind-chosen', cellAt(first.at, 'Price'), { kind: kind ?? '' })] };
  const isOwn = start === before?.price;
  if (isOwn && !reader.hasFigures) return { price: start };
  const basis = start.kind === 'steps' ? start.basis : 'weight';
  const own = isOwn ? kindOf(start).rows(start) : [];
  const figures = rows.map((row) => reader.filled(reader.figures(row, basis), own));
  if (reader.faults.length > 0) return { faults: reader.faults };
  const price = kindOf(start).withRows(start, figures);
  return price
    ? { price }
    : { faults: [fault('rate-rows', cellAt(first.at, null), { expected: kindOf(start).rowsExpected })] };
};

/** The rate that its rows make, over the one that is there; or what is wrong with them. */
const rateOf = (
  reader: RateReader,
  lines: RateLines,
  rates: readonly Rate[],
): { rate: Rate } | { faults: Fault[] } => {
  const [first] = lines;
  const { zoneId, serviceId } = first;
  const before = rates.find((one) => one.zoneId === zoneId && one.serviceId === serviceId);
  const found = priceOf(reader, lines, before);
  if ('faults' in found) return found;
  const base: Omit<Rate, 'price'> = before ?? {
    ...{ id: freeId(`${serviceId}-${zoneId}`, rates), zoneId, serviceId },
    ...{ active: true, whenWithheld: 'hide', taxable: true },
  };
  const rate = reader.edged(
    { ...base, price: found.price, active: reader.offered(first, base.active) },
    first,
  );
  return reader.faults.length > 0 ? { faults: reader.faults } : { rate };
};

/** Rows of rates, each with the zone and service that it names. */
const RATE_ROWS: ListFormat<RateColumn, Row, Pick<Book, 'zones' | 'services'>> = {
  columns: RATE_COLUMNS,
  rowReader:
    ({ zones, services }) =>
    (cell, at) => {
      const [zoneId, serviceId] = [named(zones, cell('zone')), named(services, cell('service'))];
      if (zoneId !== null && serviceId !== null) return { item: { at, cell, zoneId, serviceId } };
      const faults: Fault[] = [];
      if (zoneId === null) faults.push(unread(at, 'Zone', cell('zone'), t('the name of a zone')));
      if (serviceId === null) faults.push(unread(at, 'Service', cell('service'), t('the name of a service')));
      return { faults };
    },
};

/** The rows by the rates they are of. */
const byRate = (rows: readonly Row[]): RateLines[] => {
  const lines = new Map<string, [Row, ...Row[]]>();
  for (const row of rows) {
    const key = `${row.zoneId} ${row.serviceId}`;
    const found = lines.get(key);
    if (found) found.push(row);
    else lines.set(key, [row]);
  }
  return [...lines.values()];
};

/**
 * The rates of a board as a file would make them. `rows` begin with the headings; the rows of one zone and service are
 * one rate, taken whole or, where one of them has a fault, not at all. What a file has no column for stays as it is:
 * what a price counts, what steps add for each measure, limits, times.
 */
export const readRates = (
  rows: readonly (readonly string[])[],
  mapping: ListMapping<RateColumn>,
  book: Book,
  meaning: RatesMeaning,
  context: ReadingContext,
): RatesRead => {
  const { items, faults, faulty } = readList(RATE_ROWS, rows, mapping, book, context);
  const columns = new Set(mapping.filter((column) => column !== null));
  const read: RatesRead = { rates: [...book.rates], sound: 0, faulty, faults };
  for (const lines of byRate(items)) {
    const found = rateOf(new RateReader(columns, meaning, context.mark), lines, read.rates);
    if ('faults' in found) {
      read.faults.push(...found.faults);
      read.faulty += lines.length;
      continue;
    }
    read.sound += lines.length;
    const at = read.rates.findIndex(({ id }) => id === found.rate.id);
    if (at < 0) read.rates.push(found.rate);
    else read.rates[at] = found.rate;
  }
  return read;
};
