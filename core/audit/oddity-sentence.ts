import type { Measure } from '../model/price.ts';
import type { TableOddity } from '../price/table-report.ts';
import { measureFigure, type DisplayFormat } from '../words/figure.ts';

/** What is odd about a table's rows, in a sentence; `rowOf` gives the number under which a row is known. */
export const odditySentence = (
  odd: TableOddity,
  basis: Measure,
  display: DisplayFormat,
  rowOf: (at: number) => number,
): string => {
  const figure = (value: number): string => measureFigure(basis, value, display);
  const range = (from: number, to: number | undefined): string =>
    to === undefined ? `from ${figure(from)} on` : `from ${figure(from)} to less than ${figure(to)}`;
  switch (odd.kind) {
    case 'duplicate':
      return `Row ${rowOf(odd.row)} is for the same place and range as row ${rowOf(odd.with)}, which applies.`;
    case 'overlap':
      return `Rows ${rowOf(odd.with)} and ${rowOf(odd.row)} overlap ${range(odd.from, odd.to)}; row ${rowOf(odd.with)} applies.`;
    case 'hole':
      return `No row covers the place of row ${rowOf(odd.row)} ${range(odd.from, odd.to)}: not offered there.`;
    case 'empty':
      return `Row ${rowOf(odd.row)} ends at or before its start, so it is never used.`;
  }
};
