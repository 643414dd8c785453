import type { Measure } from '../model/price.ts';
import { TABLE_COLUMNS, tableHeadings, type TableColumn } from './rate-table-csv.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';

const TABLE: Record<TableColumn, ColumnAbout> = {
  from: numbers('The least that the row is for.'),
  to: numbers('It ends before this; empty for no end.'),
  amount: numbers('The charge, in the shop’s currency.'),
  eachSize: numbers('Adds an amount for each of this much above “From”; empty for none.'),
  eachAmount: numbers('What is added for each.'),
  eachCount: words('started: a part of one counts as a whole; exact: in proportion.'),
  country: words('Two letters, such as CA; empty for any.'),
  subdivision: words('As CA-NS; empty for the whole country.'),
  postal: words('A postal code or its beginning, such as B3H*; empty for all.'),
};

/** The columns of a rate table that goes by a measure. */
export const tableSheet = (basis: Measure): SheetColumn[] => {
  const headings = tableHeadings(basis);
  return TABLE_COLUMNS.map(({ column }, at) => ({ heading: headings[at] ?? '', ...TABLE[column] }));
};
