import type { ListMapping, ListReading } from '../../core/formats/list-columns.ts';
import { markOfCells } from '../../core/formats/mark-of-cells.ts';
import { readPostalLines, type PostalColumn } from '../../core/formats/postal-list-csv.ts';
import { readTableRows, type TableColumn, type TableMeaning } from '../../core/formats/rate-table-csv.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { PastColumn } from '../../core/formats/past-order-columns.ts';
import { readPastOrders, type PastMeaning } from '../../core/formats/past-orders-table.ts';
import type { PostalRule } from '../../core/model/delivery.ts';
import type { Fault } from '../../core/model/fault.ts';
import type { TableRow } from '../../core/model/price.ts';
import { readTexts, type TextColumn, type TextRow } from '../../core/formats/texts-table.ts';
import { tableOddities, type TableOddity } from '../../core/price/table-report.ts';
import { regionsNamed } from '../places/named-regions.ts';
import type { WorldPlaces } from '../places/places.ts';
import { KNOWN_CODES } from '../places/whole-code.ts';
import { parseCsvInParts } from '../files/csv.ts';
import { decoded } from '../files/files.ts';
import { isWorkbook, rowsOfWorkbook } from '../files/workbook.ts';

/** What stands in a file before its columns are known. */
export interface Opened {
  headings: string[];
  samples: string[][];
  rows: number;
}

/** What a file gave: how many rows are sound, and the first of what is wrong or odd, with how much there is. */
export interface ListSummary {
  sound: number;
  faulty: number;
  faults: Fault[];
  faultCount: number;
  odd: TableOddity[];
  oddCount: number;
  /** The row of the file that each item of an oddity is from. */
  oddRows: Record<number, number>;
}

export type ListItem = TableRow | PostalRule | PastOrder | TextRow;

/** A country by its code or name. */
const countryOf = (text: string): string | null =>
  /^[a-z]{2}$/i.test(text) ? text.toUpperCase() : (regionsNamed(text)?.[0]?.country ?? null);

/** A subdivision of a country by its code, the end of its code, or its name. */
const regionReader =
  (subdivisions: WorldPlaces['subdivisions'] | null) =>
  (country: string, text: string): string | null => {
    const wanted = text.toLowerCase();
    const found = subdivisions
      ?.get(country)
      ?.find(({ code, name }) =>
        [code, code.slice(code.indexOf('-') + 1), name].some((one) => one.toLowerCase() === wanted),
      );
    return found?.code ?? null;
  };

const SAMPLES = 4;
const MOST_SAID = 100;

/** Reads a list out of a file's bytes, beside the page; the items are then fetched in parts. */
export interface ListReader {
  open: (bytes: ArrayBuffer, onProgress: (share: number) => void) => Promise<Opened>;
  /** `meaning.mark` marks decimals where the file's own cells do not show what does. */
  readTable: (mapping: ListMapping<TableColumn>, meaning: TableMeaning & { mark: '.' | ',' }) => ListSummary;
  readPostal: (mapping: ListMapping<PostalColumn>, home: string) => ListSummary;
  readPastOrders: (
    mapping: ListMapping<PastColumn>,
    meaning: Omit<PastMeaning, 'countryOf' | 'regionOf'> & {
      mark: '.' | ',';
      /** Of every country, which the worker has no list of. */
      subdivisions: WorldPlaces['subdivisions'] | null;
    },
  ) => ListSummary;
  /** `own` are the texts that the shop has. */
  readTexts: (mapping: ListMapping<TextColumn>, own: readonly string[]) => ListSummary;
  items: (from: number, count: number) => ListItem[];
  /** The rows as they stand in the file, headings first, and where its quotes do not close. */
  rows: (from: number, count: number) => string[][];
  broken: () => Fault[];
}

const summary = ({ items, faults, faulty, rows }: ListReading<ListItem>, odd: TableOddity[]): ListSummary => {
  const told = odd.slice(0, MOST_SAID);
  const named = told.flatMap((one) => ('with' in one ? [one.row, one.with] : [one.row]));
  return {
    sound: items.length,
    faulty,
    faults: faults.slice(0, MOST_SAID),
    faultCount: faults.length,
    odd: told,
    oddCount: odd.length,
    oddRows: Object.fromEntries(named.map((at) => [at, rows[at] ?? at])),
  };
};

/** A reader with no file yet. It runs in a worker; tests run it where they are. */
export const makeListReader = (): ListReader => {
  let rows: string[][] = [];
  let broken: Fault[] = [];
  /** A spreadsheet's numbers have a dot, whatever the place; of a text the cells have to show it. */
  let isSheet = false;
  let items: ListItem[] = [];
  const keep = <T extends ListItem>(reading: ListReading<T>, odd: TableOddity[]): ListSummary => {
    items = reading.items;
    return summary({ ...reading, faults: [...broken, ...reading.faults] }, odd);
  };
  return {
    open: async (bytes, onProgress) => {
      isSheet = isWorkbook(bytes);
      ({ rows, faults: broken } = isSheet
        ? { rows: await rowsOfWorkbook(bytes), faults: [] }
        : parseCsvInParts(decoded(bytes), onProgress));
      const filled = rows.slice(1).filter((cells) => cells.some((cell) => cell.trim() !== '')).length;
      return {
        headings: rows[0] ?? [],
        samples: rows.slice(1, 1 + SAMPLES),
        rows: filled,
      };
    },
    readTable: (mapping, meaning) => {
      const reading = readTableRows(rows, mapping, {
        ...meaning,
        mark: isSheet ? '.' : markOfCells(rows, meaning.mark),
      });
      return keep(reading, tableOddities(reading.items));
    },
    readPostal: (mapping, home) =>
      keep(readPostalLines(rows, mapping, { home, countryOf, ...KNOWN_CODES }), []),
    readPastOrders: (mapping, { subdivisions, ...meaning }) => {
      const mark = isSheet ? '.' : markOfCells(rows, meaning.mark);
      const regionOf = regionReader(subdivisions);
      return keep(readPastOrders(rows, mapping, { ...meaning, mark, countryOf, regionOf }), []);
    },
    readTexts: (mapping, own) => keep(readTexts(rows, mapping, own), []),
    items: (from, count) => items.slice(from, from + count),
    rows: (from, count) => rows.slice(from, from + count),
    broken: () => broken,
  };
};
