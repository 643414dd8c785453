import { t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import type { Rate } from '../model/rate.ts';
import type { DisplayFormat } from '../words/figure.ts';
import { rateColumnName, rateRowCells, rateRows, type RateColumn } from './rates-sheet.ts';

/** A row of the list of rates that is new, gone, or has other cells; '' is an empty cell. */
export interface RateRowChange {
  /** The service and the zone, and where a step begins. */
  name: string;
  kind: 'new' | 'gone' | 'changed';
  fields: { name: string; from: string; to: string }[];
}

/** The columns after those that name the row, in their order. */
const FIGURES = [
  ...(['price', 'basis', 'from', 'amount', 'percent', 'freeFrom', 'leastCharge', 'mostCharge'] as const),
  ...(['leastOrder', 'mostOrder', 'offered'] as const),
] satisfies readonly RateColumn[];
const NAMING = 2;
const FROM = NAMING + FIGURES.indexOf('from');

const cellsByRow = (book: Book, display: DisplayFormat): Map<string, string[]> => {
  const seen = new Map<string, number>();
  return new Map(
    rateRows(book).map((row) => {
      const cells = rateRowCells(row, book, display);
      const key = `${row.rate.id} ${cells[FROM] ?? ''}`;
      const times = seen.get(key) ?? 0;
      seen.set(key, times + 1);
      return [`${key} ${times}`, cells];
    }),
  );
};

const nameOf = (cells: readonly string[]): string => {
  const [zone = '', service = ''] = cells;
  const from = cells[FROM] ?? '';
  return from === ''
    ? t('{service} to {zone}', { service, zone })
    : t('{service} to {zone}, from {from}', { service, zone, from });
};

const fieldsOf = (was: readonly string[] | null, is: readonly string[] | null): RateRowChange['fields'] =>
  FIGURES.flatMap((column, at) => {
    const [from, to] = [was?.[NAMING + at] ?? '', is?.[NAMING + at] ?? ''];
    return from === to || column === 'from' ? [] : [{ name: t(rateColumnName(column)), from, to }];
  });

/** What other rates change in the list of rates, row by row in the order of the board. */
export const rateRowChanges = (
  book: Book,
  rates: readonly Rate[],
  display: DisplayFormat,
): RateRowChange[] => {
  const was = cellsByRow(book, display);
  const is = cellsByRow({ ...book, rates: [...rates] }, display);
  const come = [...is].flatMap(([key, cells]): RateRowChange[] => {
    const before = was.get(key) ?? null;
    const fields = fieldsOf(before, cells);
    if (before === null) return [{ name: nameOf(cells), kind: 'new', fields }];
    return fields.length === 0 ? [] : [{ name: nameOf(cells), kind: 'changed', fields }];
  });
  const gone = [...was].flatMap(([key, cells]): RateRowChange[] =>
    is.has(key) ? [] : [{ name: nameOf(cells), kind: 'gone', fields: [] }],
  );
  return [...come, ...gone];
};
