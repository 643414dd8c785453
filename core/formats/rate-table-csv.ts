import type { Fault } from '../model/fault.ts';
import { toThousandth } from '../model/measured.ts';
import { countrySchema, subdivisionSchema } from '../model/place.ts';
import type { Each, Measure, RateTable, TableRow } from '../model/price.ts';
import { GREATEST_SUM } from '../model/bounds.ts';
import { parsePattern, writtenPattern } from '../place/postal.ts';
import { exactFigure, plainMoney } from '../words/figure.ts';
import {
  cellsBy,
  mappingFaults,
  readList,
  unread,
  type ListColumn,
  type ListMapping,
  type ListReading,
} from './list-columns.ts';
import { typedMeasure } from './measure-typed.ts';
import { typedMoney, typedNumber, type Mark } from './typed.ts';

/** The columns of a rate table in a file. */
export type TableColumn =
  'country' | 'subdivision' | 'postal' | 'from' | 'to' | 'amount' | 'eachSize' | 'eachAmount' | 'eachCount';

const column = (
  name: TableColumn,
  heading: string,
  aliases: string[],
  { needed = false, measured = false } = {},
): ListColumn<TableColumn> => ({ column: name, name: heading, aliases, needed, measured });

export const TABLE_COLUMNS: readonly ListColumn<TableColumn>[] = [
  column('from', 'From', ['min', 'minimum', 'above', 'weight from', 'from weight', 'lower', 'min weight'], {
    needed: true,
    measured: true,
  }),
  column(
    'to',
    'To, less than',
    ['to', 'max', 'maximum', 'below', 'weight to', 'to weight', 'upper', 'max weight'],
    {
      measured: true,
    },
  ),
  column('amount', 'Amount', ['price', 'charge', 'rate', 'cost', 'fee'], { needed: true }),
  column('eachSize', 'Each', ['each size', 'per', 'step', 'increment'], { measured: true }),
  column('eachAmount', 'Amount for each', ['each amount', 'per amount', 'increment price']),
  column('eachCount', 'Counted', ['each count', 'count', 'rounding']),
  column('country', 'Country', ['country code', 'destination country', 'land']),
  column('subdivision', 'Region', ['subdivision', 'state', 'province', 'state code', 'province code']),
  column('postal', 'Postal code', [
    'postal',
    'postal pattern',
    'postcode',
    'zip',
    'zip code',
    'code',
    'pattern',
  ]),
];

const NAMES = new Map(TABLE_COLUMNS.map(({ column: key, name }) => [key, name]));

/** The units in which a measure may be written, and how many of the book's units each is; the first is the book's own. */
export const TABLE_UNITS: Record<Measure, Record<string, number>> = {
  weight: { g: 1, kg: 1_000, lb: 453.59237, oz: 28.349523125 },
  volume: { mm3: 1, cm3: 1_000, L: 1_000_000, 'cu in': 16_387.064 },
  distance: { m: 1, km: 1_000, mi: 1_609.344 },
  units: {},
  subtotal: {},
};

/** How the figures of a file are meant. */
export interface TableMeaning {
  basis: Measure;
  /** The unit of `from`, `to` and `each`, where the measure has one. */
  unit: string | null;
  /** Whether `to` is the last value that the row holds, 'up to and including'. */
  includesTo: boolean;
  decimals: number;
  mark: Mark;
}

const EXPECTED = {
  country: 'a country of two letters, such as CA',
  subdivision: 'a region, such as CA-NS',
  postal: 'a postal pattern: B3H4R2, B3H*, B3?1* or 90200 to 90299',
  value: 'a figure that is not below 0',
  amount: 'an amount, such as 12.50',
  size: 'a figure above 0',
  count: 'started or exact',
};

/**
 * A measured figure of the file in the book's unit, bare or with a unit of its own; whole unless the unit is an
 * imperial one. Null where it is none.
 */
const valueOf = (text: string, { basis, unit, decimals, mark }: TableMeaning): number | null => {
  if (basis === 'subtotal') {
    const typed = typedMoney(text, decimals, mark);
    return typed.ok ? typed.value : null;
  }
  const factor = unit === null ? 1 : (TABLE_UNITS[basis][unit] ?? 1);
  const number = typedNumber(text, mark);
  if (number === null) {
    const typed = typedMeasure(basis, text, { decimals, units: 'metric' }, mark);
    return typed.ok ? typed.value : null;
  }
  const value = Number.isInteger(factor) ? Math.round(number * factor) : Number((number * factor).toFixed(9));
  return value >= 0 && value <= GREATEST_SUM ? value : null;
};

type Cell = (column: TableColumn) => string;

/** Reads one cell after another into a row, and keeps what could not be read. */
class RowReader {
  readonly faults: Fault[] = [];

  constructor(
    private readonly cell: Cell,
    private readonly row: number,
    private readonly meaning: TableMeaning,
  ) {}

  private miss(name: TableColumn, expected: string): undefined {
    this.faults.push(unread(this.row, NAMES.get(name) ?? name, this.cell(name), expected));
    return undefined;
  }

  /** A cell's value; undefined where it is empty or unread. */
  read<V>(name: TableColumn, expected: string, read: (text: string) => V | null): V | undefined {
    const text = this.cell(name);
    if (text === '') return undefined;
    return read(text) ?? this.miss(name, expected);
  }

  /** A cell's value that must be there. */
  need<V>(name: TableColumn, expected: string, read: (text: string) => V | null): V | undefined {
    return this.cell(name) === '' ? this.miss(name, expected) : this.read(name, expected, read);
  }

  value = (text: string): number | null => valueOf(text, this.meaning);

  money = (text: string): number | null => {
    const typed = typedMoney(text, this.meaning.decimals, this.meaning.mark);
    return typed.ok ? typed.value : null;
  };
}

const placeOf = (reader: RowReader): Pick<TableRow, 'country' | 'subdivision' | 'postal'> => {
  const country = reader.read('country', EXPECTED.country, (text) =>
    countrySchema.safeParse(text.toUpperCase()).success ? text.toUpperCase() : null,
  );
  const subdivision = reader.read('subdivision', EXPECTED.subdivision, (text) => {
    const upper = text.toUpperCase();
    const whole = upper.includes('-') || country === undefined ? upper : `${country}-${upper}`;
    const isWithin = country === undefined || whole.startsWith(`${country}-`);
    return isWithin && subdivisionSchema.safeParse(whole).success ? whole : null;
  });
  const postal = reader.read('postal', EXPECTED.postal, (text) =>
    text.length <= 40 && parsePattern(country ?? '', text) ? writtenPattern(text) : null,
  );
  return {
    ...(country === undefined ? {} : { country }),
    ...(subdivision === undefined ? {} : { subdivision }),
    ...(postal === undefined ? {} : { postal }),
  };
};

const eachOf = (reader: RowReader): Each | undefined => {
  const size = reader.read('eachSize', EXPECTED.size, (text) => {
    const value = reader.value(text);
    return value !== null && value > 0 ? value : null;
  });
  if (size === undefined) return undefined;
  const amount = reader.need('eachAmount', EXPECTED.amount, reader.money);
  const count = reader.read('eachCount', EXPECTED.count, (text) => {
    const word = text.toLowerCase();
    return word === 'started' || word === 'exact' ? (word as Each['count']) : null;
  });
  return amount === undefined ? undefined : { size, amount, count: count ?? 'started' };
};

/** What lies above 'up to and including': the next whole unit, or the next that is told apart. */
const justAbove = (end: number): number => (Number.isInteger(end) ? end + 1 : toThousandth(end + 0.001));

const readRow = (
  cell: Cell,
  row: number,
  meaning: TableMeaning,
): { item: TableRow } | { faults: Fault[] } => {
  const reader = new RowReader(cell, row, meaning);
  const place = placeOf(reader);
  const from = reader.need('from', EXPECTED.value, reader.value);
  const end = reader.read('to', EXPECTED.value, reader.value);
  const amount = reader.need('amount', EXPECTED.amount, reader.money);
  const each = eachOf(reader);
  if (reader.faults.length > 0 || from === undefined || amount === undefined)
    return { faults: reader.faults };
  const to = end === undefined ? undefined : meaning.includesTo ? justAbove(end) : end;
  return { item: { ...place, from, ...(to === undefined ? {} : { to }), amount, ...(each ? { each } : {}) } };
};

/**
 * The rows of a rate table out of a file whose first row has the headings. Places are ISO 3166 codes and
 * postal patterns; figures are in the unit that was said. Rows with a fault are left out and each fault says
 * its row and column.
 */
export const readTableRows = (
  rows: readonly (readonly string[])[],
  mapping: ListMapping<TableColumn>,
  meaning: TableMeaning,
): ListReading<TableRow> => {
  const faults = mappingFaults(mapping, TABLE_COLUMNS);
  if (faults.length > 0) return { items: [], rows: [], faults, faulty: Math.max(0, rows.length - 1) };
  const cells = cellsBy(mapping);
  return readList(rows, (row, at) => readRow(cells(row), at, meaning));
};

const OWN_UNIT: Partial<Record<Measure, string>> = { weight: 'g', volume: 'mm3', distance: 'm' };

/** The headings of a table that is written, with the unit of its figures. */
export const tableHeadings = (basis: Measure): string[] =>
  TABLE_COLUMNS.map(({ name, measured }) =>
    measured && OWN_UNIT[basis] ? `${name} (${OWN_UNIT[basis]})` : name,
  );

/** A row of a table as cells; read back with the book's own unit it is the same row. */
export const tableRowCells = (row: TableRow, basis: Measure, decimals: number): string[] => {
  const value = (figure: number | undefined): string => {
    if (figure === undefined) return '';
    if (basis === 'subtotal') return plainMoney(figure, decimals);
    return Number.isInteger(figure) ? String(figure) : exactFigure(figure, basis === 'distance' ? 'm' : 'g');
  };
  const { country = '', subdivision = '', postal = '', from, to, amount, each } = row;
  return [
    value(from),
    value(to),
    plainMoney(amount, decimals),
    value(each?.size),
    each ? plainMoney(each.amount, decimals) : '',
    each?.count ?? '',
    country,
    subdivision,
    postal,
  ];
};

/** How a file that was written by `tableRowCells` is to be read. */
export const ownMeaning = (basis: RateTable['basis'], decimals: number): TableMeaning => ({
  basis,
  unit: OWN_UNIT[basis] ?? null,
  includesTo: false,
  decimals,
  mark: '.',
});
