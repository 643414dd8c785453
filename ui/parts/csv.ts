import Papa from 'papaparse';
import { fault, type Fault } from '../../core/model/fault.ts';

/**
 * A cell that a spreadsheet would take for a formula is written with an apostrophe before it, numbers excepted;
 * one that has such an apostrophe of its own is given one more, so that each is read as it was.
 */
const FORMULA = /^'*(?:[=@\t\r]|[+-](?!\d+(?:[.,]\d+)?$))/;
const ESCAPED = new RegExp(`^'(?=${FORMULA.source.slice(1)})`);

const withoutMark = (cell: string): string => cell.replace(ESCAPED, '');

const quoteFaults = (errors: readonly Papa.ParseError[], before = 0): Fault[] =>
  errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row }) => fault('quotes-open', `row ${before + (row ?? 0) + 1}`));

const SAMPLE_LENGTH = 20_000;
const SAMPLE_ROWS = 50;

/** What parts the cells, judged by the first filled rows: blank ones would speak for a single column. */
const delimiterOf = (text: string): string =>
  Papa.parse(text.slice(0, SAMPLE_LENGTH), { preview: SAMPLE_ROWS, skipEmptyLines: 'greedy' }).meta.delimiter;

/** The rows of a text of comma, semicolon or tab separated values, and where its quotes do not close. */
export const parseCsv = (text: string): { rows: string[][]; faults: Fault[] } => {
  const { data, errors } = Papa.parse<string[]>(text, {
    skipEmptyLines: false,
    delimiter: delimiterOf(text),
  });
  return {
    rows: data.map((cells) => cells.map(withoutMark)),
    faults: quoteFaults(errors),
  };
};

const PART_LENGTH = 1_000_000;

/** The same in parts, telling after each how much of the text is read, from 0 to 1. */
export const parseCsvInParts = (
  text: string,
  onProgress: (share: number) => void,
): { rows: string[][]; faults: Fault[] } => {
  const rows: string[][] = [];
  const faults: Fault[] = [];
  const take = ({ data, errors, meta }: Papa.ParseResult<string[]>): void => {
    faults.push(...quoteFaults(errors, rows.length));
    for (const cells of data) rows.push(cells.map(withoutMark));
    onProgress(Math.min(1, meta.cursor / Math.max(1, text.length)));
  };
  Papa.parse(text, {
    skipEmptyLines: false,
    delimiter: delimiterOf(text),
    chunkSize: PART_LENGTH,
    chunk: take,
    complete: () => undefined,
  });
  return { rows, faults };
};

/** Rows of cells as comma separated values (RFC 4180), safe to open in a spreadsheet. */
export const csvText = (rows: readonly string[][]): string =>
  `${Papa.unparse(rows as string[][], { escapeFormulae: FORMULA })}\r\n`;
