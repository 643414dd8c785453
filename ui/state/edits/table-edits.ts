import type { Measure, RateTable, TableRow } from '../../../core/model/price.ts';
import type { Workbook } from '../workbook.ts';
import { freeId } from '../../../core/model/ids.ts';

const tableOf = ({ book }: Workbook, id: string): RateTable | undefined =>
  book.rateTables.find((one) => one.id === id);

/** Changes to the rate tables. Each changes the workbook it is given, which is a draft of the state. */
export const tableEdits = {
  addTable: ({ book }: Workbook, { name, basis }: { name: string; basis: Measure }): void => {
    book.rateTables.push({ id: freeId(name, book.rateTables), name, basis, rows: [] });
  },

  setTable: (
    workbook: Workbook,
    { id, changes }: { id: string; changes: Partial<Pick<RateTable, 'name' | 'basis'>> },
  ): void => {
    Object.assign(tableOf(workbook, id) ?? {}, changes);
  },

  /** All rows of a table at once, as they come out of a file. */
  replaceRows: (
    workbook: Workbook,
    { id, basis, rows }: { id: string; basis: Measure; rows: readonly TableRow[] },
  ): void => {
    const table = tableOf(workbook, id);
    if (table) Object.assign(table, { basis, rows });
  },

  setRow: (workbook: Workbook, { id, at, row }: { id: string; at: number; row: TableRow }): void => {
    const table = tableOf(workbook, id);
    if (table && at < table.rows.length) table.rows[at] = row;
  },

  /** A row more at the end: where the last one ends, or like it. */
  addRow: (workbook: Workbook, { id }: { id: string }): void => {
    const table = tableOf(workbook, id);
    if (!table) return;
    const last = table.rows.at(-1);
    if (!last) table.rows.push({ from: 0, amount: 0 });
    else {
      const { to: _, ...rest } = last;
      table.rows.push({ ...rest, from: last.to ?? last.from });
    }
  },

  removeRow: (workbook: Workbook, { id, at }: { id: string; at: number }): void => {
    tableOf(workbook, id)?.rows.splice(at, 1);
  },

  /** A table goes, unless a rate or a delivery area is priced by it. */
  removeTable: ({ book }: Workbook, { id }: { id: string }): void => {
    const isUsed = [...book.rates, ...book.areas].some(
      ({ price }) => price.kind === 'table' && price.tableId === id,
    );
    if (!isUsed) book.rateTables = book.rateTables.filter((one) => one.id !== id);
  },
};
