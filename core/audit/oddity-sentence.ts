import { t } from '../translate/translate.ts';
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
    to === undefined
      ? t('from {figure} on', { figure: figure(from) })
      : t('from {figure} to less than {figure2}', { figure: figure(from), figure2: figure(to) });
  switch (odd.kind) {
    case 'duplicate':
      return t('Row {row} is for the same place and range as row {row2}, which applies.', {
        row: rowOf(odd.row),
        row2: rowOf(odd.with),
      });
    case 'overlap':
      return t('Rows {row} and {row2} overlap {range}; row {row} applies.', {
        row: rowOf(odd.with),
        row2: rowOf(odd.row),
        range: range(odd.from, odd.to),
      });
    case 'hole':
      return t('No row covers the place of row {row} {range}: not offered there.', {
        row: rowOf(odd.row),
        range: range(odd.from, odd.to),
      });
    case 'empty':
      return t('Row {row} ends at or before its start, so it is never used.', { row: rowOf(odd.row) });
  }
};
