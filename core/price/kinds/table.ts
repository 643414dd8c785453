import { t } from '../../translate/translate.ts';
import type { TableRow } from '../../model/price.ts';
import type { Source } from '../../model/quote.ts';
import { oneEntry, refused } from '../entries.ts';
import { greatest } from '../greatest.ts';
import { measureOf } from '../measure-order.ts';
import { hasNoFigure, onlyRow } from '../figure-rows.ts';
import type { PriceKind, PriceOf, PriceOfKind, ShopFacts } from '../price-kind.ts';
import { findTableRow, tablePlaceName, tableRowsAt } from '../table.ts';
import { eachAmount } from '../tiers.ts';

type Table = PriceOfKind<'table'>;

/** The row of a table for the destination and what the order measures. */
const prepare = ({ tableId }: Table): PriceOf => {
  const from: Source = { kind: 'table', id: tableId };
  return (order) => {
    const index = order.tables(tableId);
    if (!index) throw new Error(`the table ${tableId} is not there`);
    const { table } = index;
    const value = measureOf(table.basis, order);
    if (typeof value !== 'number') return refused(value);
    const found = findTableRow(index, order.place, value);
    const place = tablePlaceName(index, found.place);
    const said = { table: table.name, measure: table.basis, value, place };
    const row = table.rows[found.row];
    if (!row) return refused({ code: 'no-table-row', say: { code: 'no-table-row', ...said }, from });
    const { amount, each, from: start, to } = row;
    const added = each ? eachAmount(each, value - start) : 0;
    const line = { row: found.row + 1, from: start, to, amount, each, added };
    return oneEntry(amount + added, from, { ...said, code: 'table-row', ...line });
  };
};

/** Whether the rows of a place hold every value from 0 on. */
const holdsAll = (rows: readonly TableRow[]): boolean => {
  let reached = 0;
  for (const { from, to = Number.POSITIVE_INFINITY } of rows) {
    if (from > reached) return false;
    reached = Math.max(reached, to);
  }
  return reached === Number.POSITIVE_INFINITY;
};

const isForAll = ({ tableId }: Table, { tables, place, allKnown }: ShopFacts): boolean => {
  const index = tables(tableId);
  if (!index || index.table.basis === 'distance') return false;
  const { basis } = index.table;
  if ((basis === 'weight' || basis === 'volume') && !allKnown(basis)) return false;
  const rows = tableRowsAt(index, place);
  return rows !== null && holdsAll(rows);
};

const byId = <T extends { id: string }>(tables: readonly T[], { tableId }: Table): T | undefined =>
  tables.find(({ id }) => id === tableId);

/** A row of a rate table, which several rates may share. */
export const TABLE: PriceKind<Table> = {
  prepare,
  figure: (price, tables) => greatest((byId(tables, price)?.rows ?? []).map(({ amount }) => amount)),
  chargesNothing: () => false,
  fromAmount: null,
  raised: (price) => price,
  curve: () => null,
  curveBasis: () => 'weight',
  phrase: () => ({ price: t('table'), by: null }),
  withAmount: () => null,
  basis: (price, tables) => byId(tables, price)?.basis ?? null,
  changesAt: (price, tables) => {
    const rows = byId(tables, price)?.rows ?? [];
    return [...new Set(rows.flatMap(({ from, to }) => (to === undefined ? [from] : [from, to])))];
  },
  isForAll,
  extent: () => null,
  names: ({ tableId }) => ({ tableId }),
  rows: () => [{}],
  rowsExpected: t('A rate priced by a table takes one row without figures: the table has them.'),
  beginsByRows: null,
  withRows: (price, rows) => {
    const row = onlyRow(rows);
    return row && hasNoFigure(row) ? price : null;
  },
};
