import { readList, type ListMapping, type ListReading } from '../../core/formats/list-format.ts';
import { LISTS, type ListName, type Lists } from '../../core/formats/lists.ts';
import { markOfCells } from '../../core/formats/mark-of-cells.ts';
import type { Fault } from '../../core/model/fault.ts';
import type { TableOddity } from '../../core/price/table-report.ts';
import { parseCsvInParts } from '../files/csv.ts';
import { decoded } from '../files/files.ts';
import { isWorkbook, rowsOfWorkbook } from '../files/workbook.ts';
import { readingContext } from '../places/reading-context.ts';

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

type ListItem = Lists[ListName]['item'];

const SAMPLES = 4;
const MOST_SAID = 100;

/** Reads a list out of a file's bytes, beside the page; the items are then fetched in parts. */
export interface ListReader {
  open: (bytes: ArrayBuffer, onProgress: (share: number) => void) => Promise<Opened>;
  /** `mark` marks decimals where the file's own cells do not show what does. */
  read: <K extends ListName>(
    list: K,
    mapping: ListMapping<Lists[K]['column']>,
    meaning: Lists[K]['meaning'],
    mark: '.' | ',',
  ) => ListSummary;
  items: (from: number, count: number) => ListItem[];
  /** The rows as they stand in the file, headings first, and where its quotes do not close. */
  rows: (from: number, count: number) => string[][];
  broken: () => Fault[];
}

const summary = (
  { items, faults, faulty, rows }: ListReading<ListItem>,
  broken: readonly Fault[],
  odd: readonly TableOddity[],
): ListSummary => {
  const told = odd.slice(0, MOST_SAID);
  const named = told.flatMap((one) => ('with' in one ? [one.row, one.with] : [one.row]));
  return {
    sound: items.length,
    faulty,
    faults: [...broken, ...faults].slice(0, MOST_SAID),
    faultCount: broken.length + faults.length,
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
  return {
    open: async (bytes, onProgress) => {
      isSheet = isWorkbook(bytes);
      ({ rows, faults: broken } = isSheet
        ? { rows: await rowsOfWorkbook(bytes), faults: [] }
        : parseCsvInParts(decoded(bytes), onProgress));
      const filled = rows.slice(1).filter((cells) => cells.some((cell) => cell.trim() !== '')).length;
      return { headings: rows[0] ?? [], samples: rows.slice(1, 1 + SAMPLES), rows: filled };
    },
    read: (list, mapping, meaning, mark) => {
      const context = readingContext(isSheet ? '.' : markOfCells(rows, mark));
      const reading = readList(LISTS[list], rows, mapping, meaning, context);
      ({ items } = reading);
      return summary(reading, broken, LISTS[list].odd?.(reading.items) ?? []);
    },
    items: (from, count) => items.slice(from, from + count),
    rows: (from, count) => rows.slice(from, from + count),
    broken: () => broken,
  };
};
