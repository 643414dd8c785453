import { ANY_CODE, type CodeForm } from '../place/code-shapes.ts';
import { t } from '../translate/translate.ts';
import { fault, type Fault } from '../model/fault.ts';
import type { TableOddity } from '../price/table-report.ts';
import type { ColumnAbout, SheetColumn } from './sheet-column.ts';
import type { Mark } from './typed.ts';

/** A column that a list in a file may have. */
export interface ListColumn<C extends string> extends ColumnAbout {
  column: C;
  name: string;
  /** Headings under which other files have it, without units, case and marks. */
  aliases: readonly string[];
  needed: boolean;
  /** Whether its bare figures are in the list's unit. */
  measured: boolean;
}

/** What each column of a file is taken as; null is not imported. */
export type ListMapping<C extends string> = (C | null)[];

/** The trimmed cells of a row by their columns; a column that the file lacks is ''. */
export type RowCells<C extends string> = (column: C) => string;

/** What a row gave: an item, with `more` where it stands for several. */
export type RowResult<Item> = { item: Item; more?: readonly Item[] } | { faults: Fault[] };

/** What readers are told besides the file and its meaning: what marks decimals in it, and what is known of places. */
export interface ReadingContext {
  mark: Mark;
  /** The country of a name or code, or null. */
  countryOf: (text: string) => string | null;
  /** What is known of the postal codes of a country. */
  codes: (country: string) => CodeForm;
}

/** A kind of list that is read from a file: what its columns are, and how a row is read. */
export interface ListFormat<C extends string, Item, Meaning> {
  columns: readonly ListColumn<C>[];
  /** What is wrong with the columns before any row is read, where it is more than one missing or there twice. */
  wrongColumns?: (mapping: ListMapping<C>, meaning: Meaning) => Fault[];
  /** Reads one row after another. `meaning` is plain data, so that it can be sent to a worker. */
  rowReader: (
    meaning: Meaning,
    context: ReadingContext,
    mapping: ListMapping<C>,
  ) => (cell: RowCells<C>, row: number) => RowResult<Item>;
  /** What tells its rows apart: a row like an earlier one is a fault of that column. */
  unique?: { column: C; key: (item: Item) => string };
  /** What is unusual about the rows together. */
  odd?: (items: readonly Item[]) => TableOddity[];
}

/** A list read from the rows of a file: what could be taken, and what is wrong with the rest. */
export interface ListReading<Item> {
  /** Whether its rows were read: they are not where the columns are wrong. */
  isRead: boolean;
  items: Item[];
  /** The row of the file that each item is from. */
  rows: number[];
  faults: Fault[];
  /** How many rows could not be taken. */
  faulty: number;
}

/** What is known where a list names no places: nothing is refused for its place. */
export const placeless = (mark: Mark): ReadingContext => ({
  mark,
  countryOf: (text) => text.toUpperCase(),
  codes: () => ANY_CODE,
});

/** A column of a list; other headings for it, and what else is to be known of it, where there is any. */
export const listColumn = <C extends string>(
  column: C,
  name: string,
  about: ColumnAbout,
  aliases: readonly string[] = [],
  { needed = false, measured = false } = {},
): ListColumn<C> => ({ column, name, aliases, needed, measured, ...about });

/** The columns of a list as a spreadsheet has them. */
export const sheetOf = (columns: readonly ListColumn<string>[]): SheetColumn[] =>
  columns.map(({ name, about, isNumber }) => ({ heading: name, about, isNumber }));

/** What is wrong with the columns before any row is read: one that is needed is missing, one is named twice. */
export const mappingFaults = <C extends string>(
  mapping: ListMapping<C>,
  columns: readonly ListColumn<C>[],
): Fault[] =>
  columns.flatMap(({ column, name, needed }) => {
    const times = mapping.filter((one) => one === column).length;
    if (times > 1) return [fault('column-twice', cellAt(1, null), { column: name })];
    return needed && times === 0 ? [fault('column-missing', cellAt(1, null), { column: name })] : [];
  });

/** Where a cell is: 'row 12, From'. Rows count from 1, the headings being row 1. */
export const cellAt = (row: number, name: string | null): string =>
  name === null ? t('row {row}', { row }) : t('row {row}, {name}', { row, name: t(name) });

const LONGEST_SHOWN = 40;

/** A cell that could not be read, with what was expected in its place. */
export const unread = (row: number, name: string, text: string, expected: string): Fault =>
  fault('cell-unread', cellAt(row, name), {
    text: text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text,
    expected,
  });

/** The cells of a row by their columns. */
const cellsBy = <C extends string>(mapping: ListMapping<C>): ((cells: readonly string[]) => RowCells<C>) => {
  const places = new Map(mapping.flatMap((column, at) => (column === null ? [] : [[column, at] as const])));
  return (cells) => (column) => {
    const at = places.get(column);
    return at === undefined ? '' : (cells[at] ?? '').trim();
  };
};

const isBlank = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '');

/** A row with more in it than there are headings: most likely a mark in a cell that was not quoted. */
const tooLong = (cells: readonly string[], row: number, columns: number): Fault[] =>
  isBlank(cells.slice(columns))
    ? []
    : [fault('row-too-long', cellAt(row, null), { cells: cells.length, columns })];

/** A row like an earlier one, by what tells the rows of a list apart. */
const repeated = <C extends string, Item, Meaning>({ columns, unique }: ListFormat<C, Item, Meaning>) => {
  const seen = new Map<string, number>();
  return (item: Item, cell: RowCells<C>, row: number): Fault[] => {
    if (!unique) return [];
    const key = unique.key(item);
    const first = seen.get(key);
    if (first === undefined) {
      seen.set(key, row);
      return [];
    }
    const name = columns.find(({ column }) => column === unique.column)?.name ?? unique.column;
    return [fault('cell-duplicate', cellAt(row, name), { text: cell(unique.column), row: first })];
  };
};

const itemsOf = <Item>({ item, more = [] }: { item: Item; more?: readonly Item[] }): Item[] => [
  item,
  ...more,
];

/**
 * The items of a list in a file whose first row has the headings. A row with a fault is left out, and each fault says
 * its row and column; where the columns are wrong, nothing is read.
 */
export const readList = <C extends string, Item, Meaning>(
  format: ListFormat<C, Item, Meaning>,
  rows: readonly (readonly string[])[],
  mapping: ListMapping<C>,
  meaning: Meaning,
  context: ReadingContext,
): ListReading<Item> => {
  const wrong = format.wrongColumns?.(mapping, meaning) ?? mappingFaults(mapping, format.columns);
  if (wrong.length > 0) {
    const faulty = Math.max(0, rows.length - 1);
    return { isRead: false, items: [], rows: [], faults: wrong, faulty };
  }
  const reading: ListReading<Item> = { isRead: true, items: [], rows: [], faults: [], faulty: 0 };
  const [cellsOf, repeats] = [cellsBy(mapping), repeated(format)];
  const read = format.rowReader(meaning, context, mapping);
  const take = (cells: readonly string[], row: number): RowResult<Item> => {
    const long = tooLong(cells, row, mapping.length);
    if (long.length > 0) return { faults: long };
    const cell = cellsOf(cells);
    const result = read(cell, row);
    if ('faults' in result) return result;
    const twice = itemsOf(result).flatMap((item) => repeats(item, cell, row));
    return twice.length > 0 ? { faults: twice } : result;
  };
  rows.slice(1).forEach((cells, at) => {
    if (isBlank(cells)) return;
    const result = take(cells, at + 2);
    if ('item' in result) {
      for (const item of itemsOf(result)) {
        reading.items.push(item);
        reading.rows.push(at + 2);
      }
      return;
    }
    reading.faults.push(...result.faults);
    reading.faulty += 1;
  });
  return reading;
};
