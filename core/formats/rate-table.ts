import { marked, t } from '../translate/translate.ts';
import type { Fault } from '../model/fault.ts';
import { toThousandth } from '../model/measured.ts';
import { countrySchema, subdivisionSchema } from '../model/place.ts';
import type { Each, Measure, RateTable, TableRow } from '../model/price.ts';
import { GREATEST_SUM } from '../model/bounds.ts';
import { unitFactor } from '../model/written-units.ts';
import { cellPatterns } from '../place/cell-patterns.ts';
import { tableOddities } from '../price/table-report.ts';
import { exactFigure, plainMoney } from '../words/figure.ts';
import {
  listColumn,
  unread,
  type ListColumn,
  type ListFormat,
  type ReadingContext,
  type RowCells,
  type RowResult,
} from './list-format.ts';
import { typedMeasure } from './measure-typed.ts';
import { numbers, words, type SheetColumn } from './sheet-column.ts';
import { typedMoney, typedNumber, type Mark } from './typed.ts';

/** The columns of a rate table in a file. */
export type TableColumn =
  'country' | 'subdivision' | 'postal' | 'from' | 'to' | 'amount' | 'eachSize' | 'eachAmount' | 'eachCount';

const COLUMNS: readonly ListColumn<TableColumn>[] = [
  listColumn(
    'from',
    marked('From'),
    numbers(t('The least that the row is for.')),
    ['min', 'minimum', 'above', 'weight from', 'from weight', 'lower', 'min weight'],
    { needed: true, measured: true },
  ),
  listColumn(
    'to',
    marked('To, less than'),
    numbers(t('It ends before this; empty for no end.')),
    ['to', 'max', 'maximum', 'below', 'weight to', 'to weight', 'upper', 'max weight'],
    { measured: true },
  ),
  listColumn(
    'amount',
    marked('Amount'),
    numbers(t('The charge, in the shop’s currency.')),
    ['price', 'charge', 'rate', 'cost', 'fee'],
    { needed: true },
  ),
  listColumn(
    'eachSize',
    marked('Each'),
    numbers(t('Adds an amount for each of this much above “From”; empty for none.')),
    ['each size', 'per', 'step', 'increment'],
    { measured: true },
  ),
  listColumn('eachAmount', marked('Amount for each'), numbers(t('What is added for each.')), [
    ...['each amount', 'per amount', 'increment price'],
  ]),
  listColumn(
    'eachCount',
    marked('Counted'),
    words(t('started: a part of one counts as a whole; exact: in proportion.')),
    ['each count', 'count', 'rounding'],
  ),
  listColumn('country', marked('Country'), words(t('Two letters, such as CA; empty for any.')), [
    ...['country code', 'destination country', 'land'],
  ]),
  listColumn('subdivision', marked('Region'), words(t('As CA-NS; empty for the whole country.')), [
    ...['subdivision', 'state', 'province', 'state code', 'province code'],
  ]),
  listColumn(
    'postal',
    marked('Postal code'),
    words(t('A postal code or its beginning, such as B3H*; empty for all.')),
    [...['postal', 'postal pattern', 'postcode', 'zip', 'zip code', 'code', 'pattern']],
  ),
];

const NAMES = new Map(COLUMNS.map(({ column: key, name }) => [key, name]));

/** The units that the figures of a file may be in, by what its rows go by. */
export const TABLE_UNITS: Record<Measure, readonly string[]> = {
  weight: ['g', 'kg', 'lb', 'oz'],
  volume: ['mm3', 'cm3', 'L', 'cu in'],
  distance: ['m', 'km', 'mi'],
  units: [],
  subtotal: [],
};

/** How the figures of a file are meant. */
export interface TableMeaning {
  basis: Measure;
  /** The unit of `from`, `to` and `each`, where the measure has one. */
  unit: string | null;
  /** Whether `to` is the last value that the row holds, 'up to and including'. */
  includesTo: boolean;
  decimals: number;
}

const EXPECTED = {
  country: t('a country by name or in two letters, such as CA'),
  subdivision: t('a region, such as CA-NS'),
  postal: t('a postal pattern: B3H4R2, B3H*, B3?1* or 90200 to 90299'),
  value: t('a figure that is not below 0'),
  amount: t('an amount, such as 12.50'),
  size: t('a figure above 0'),
  count: t('started or exact'),
};

/**
 * A measured figure of the file in the book's unit, bare or with a unit of its own; whole unless the unit is an
 * imperial one. Null where it is none.
 */
const valueOf = (text: string, { basis, unit, decimals }: TableMeaning, mark: Mark): number | null => {
  if (basis === 'subtotal') {
    const typed = typedMoney(text, decimals, mark);
    return typed.ok ? typed.value : null;
  }
  const factor = unit === null || basis === 'units' ? 1 : (unitFactor(basis, unit) ?? 1);
  const number = typedNumber(text, mark);
  if (number === null) {
    const typed = typedMeasure(basis, text, { decimals, units: 'metric' }, mark);
    return typed.ok ? typed.value : null;
  }
  const value = Number.isInteger(factor) ? Math.round(number * factor) : Number((number * factor).toFixed(9));
  return value >= 0 && value <= GREATEST_SUM ? value : null;
};

/** Reads one cell after another into a row, and keeps what could not be read. */
class RowReader {
  readonly faults: Fault[] = [];

  constructor(
    private readonly cell: RowCells<TableColumn>,
    private readonly row: number,
    private readonly meaning: TableMeaning,
    private readonly mark: Mark,
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

  value = (text: string): number | null => valueOf(text, this.meaning, this.mark);

  money = (text: string): number | null => {
    const typed = typedMoney(text, this.meaning.decimals, this.mark);
    return typed.ok ? typed.value : null;
  };
}

type Place = Pick<TableRow, 'country' | 'subdivision' | 'postal'>;

/** The places of a row: one, or one for each pattern that its codes stand for. */
const placesOf = (reader: RowReader, { countryOf, codes }: ReadingContext): [Place, ...Place[]] => {
  const country = reader.read('country', EXPECTED.country, (text) => {
    const code = countryOf(text) ?? text.toUpperCase();
    return countrySchema.safeParse(code).success ? code : null;
  });
  const subdivision = reader.read('subdivision', EXPECTED.subdivision, (text) => {
    const upper = text.toUpperCase();
    const whole = upper.includes('-') || country === undefined ? upper : `${country}-${upper}`;
    const isWithin = country === undefined || whole.startsWith(`${country}-`);
    return isWithin && subdivisionSchema.safeParse(whole).success ? whole : null;
  });
  const patterns = reader.read('postal', EXPECTED.postal, (text) =>
    cellPatterns(country ?? '', text, codes(country ?? '')),
  );
  const within = {
    ...(country === undefined ? {} : { country }),
    ...(subdivision === undefined ? {} : { subdivision }),
  };
  const [first, ...more] = patterns ?? [];
  if (first === undefined) return [within];
  return [{ ...within, postal: first }, ...more.map((postal) => ({ ...within, postal }))];
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

const rowReader =
  (meaning: TableMeaning, context: ReadingContext) =>
  (cell: RowCells<TableColumn>, row: number): RowResult<TableRow> => {
    const reader = new RowReader(cell, row, meaning, context.mark);
    const [place, ...others] = placesOf(reader, context);
    const from = reader.need('from', EXPECTED.value, reader.value);
    const end = reader.read('to', EXPECTED.value, reader.value);
    const amount = reader.need('amount', EXPECTED.amount, reader.money);
    const each = eachOf(reader);
    if (reader.faults.length > 0 || from === undefined || amount === undefined)
      return { faults: reader.faults };
    const to = end === undefined ? undefined : meaning.includesTo ? justAbove(end) : end;
    const charge = { from, ...(to === undefined ? {} : { to }), amount, ...(each ? { each } : {}) };
    return { item: { ...place, ...charge }, more: others.map((other) => ({ ...other, ...charge })) };
  };

/** The rows of a rate table: places are ISO 3166 codes and postal patterns, figures in the unit that was said. */
export const RATE_TABLE: ListFormat<TableColumn, TableRow, TableMeaning> = {
  columns: COLUMNS,
  rowReader,
  odd: tableOddities,
};

const OWN_UNIT: Partial<Record<Measure, string>> = { weight: 'g', volume: 'mm3', distance: 'm' };

/** The columns of a table that is written, with the unit of its figures. */
export const tableSheet = (basis: Measure): SheetColumn[] =>
  COLUMNS.map(({ name, measured, about, isNumber }) => ({
    heading: measured && OWN_UNIT[basis] ? `${name} (${OWN_UNIT[basis]})` : name,
    about,
    isNumber,
  }));

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

/** How a file that was written by `tableRowCells` is to be read, with a dot before its decimals. */
export const ownMeaning = (basis: RateTable['basis'], decimals: number): TableMeaning => ({
  basis,
  unit: OWN_UNIT[basis] ?? null,
  includesTo: false,
  decimals,
});
