import Papa from 'papaparse';
import { fault, type Fault } from '../../core/model/fault.ts';

/** A cell that a spreadsheet would take for a formula is written with an apostrophe before it. */
const ESCAPED = /^'(?=[=+\-@\t\r])/;

/** The rows of a text of comma, semicolon or tab separated values, and where its quotes do not close. */
export const parseCsv = (text: string): { rows: string[][]; faults: Fault[] } => {
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: false });
  return {
    rows: data.map((cells) => cells.map((cell) => cell.replace(ESCAPED, ''))),
    faults: errors
      .filter(({ type }) => type === 'Quotes')
      .map(({ row }) => fault('quotes-open', `row ${(row ?? 0) + 1}`)),
  };
};

/** Rows of cells as comma separated values (RFC 4180), safe to open in a spreadsheet. */
export const csvText = (rows: readonly string[][]): string =>
  `${Papa.unparse(rows as string[][], { escapeFormulae: true })}\r\n`;
