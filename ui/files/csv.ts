import Papa from 'papaparse';
import { t } from '../../core/translate/translate.ts';
import { fault, type Fault } from '../../core/model/fault.ts';

/**
 * A cell that a spreadsheet would take for a formula, after blanks and in wide characters too, is written with an
 * apostrophe before it, numbers excepted;
 * one that has such an apostrophe of its own is given one more, so that each is read as it was.
 */
const FORMULA = /^'*(?:[\t\r\n]|\s*(?:[=@|＝＠｜＋－]|[+-](?!\d+(?:[.,]\d+)?$)))/;
const ESCAPED = new RegExp(`^'(?=${FORMULA.source.slice(1)})`);

const withoutMark = (cell: string): string => cell.replace(ESCAPED, '');

const quoteFaults = (errors: readonly Papa.ParseError[], before = 0): Fault[] =>
  errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row }) => fault('quotes-open', t('row {count}', { count: before + (row ?? 0) + 1 })));

const SAMPLE_LENGTH = 20_000;
const SAMPLE_ROWS = 50;

/** A comma last: it stands in numbers and words too, so that of equals it is the least likely. */
const DELIMITERS = [';', '\t', ','];
const QUOTED = /"(?:[^"]|"")*"/g;

/** How often each delimiter stands outside quotes in the first filled line, which has the headings. */
const inHeadings = (sample: string): { delimiter: string; count: number }[] => {
  const [line = ''] = sample
    .replace(QUOTED, '')
    .split(/\r\n|\r|\n/)
    .filter((one) => one.trim() !== '');
  return DELIMITERS.map((delimiter) => ({ delimiter, count: line.split(delimiter).length - 1 })).sort(
    (a, b) => b.count - a.count,
  );
};

/**
 * What parts the cells: the delimiter that the headings have most of; where two are there equally often, the one that
 * makes the first filled rows most alike (blank rows would speak for a single column).
 */
const delimiterOf = (text: string): string => {
  const sample = text.slice(0, SAMPLE_LENGTH);
  const [first, second] = inHeadings(sample);
  if (first && second && first.count > second.count) return first.delimiter;
  return Papa.parse(sample, {
    preview: SAMPLE_ROWS,
    skipEmptyLines: 'greedy',
    delimitersToGuess: DELIMITERS,
  }).meta.delimiter;
};

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

/** What other programs may part cells by: a cell that has one is quoted. */
const OTHER_DELIMITER = /[;\t|]/;

/** Rows of cells as comma separated values (RFC 4180), safe to open in a spreadsheet. */
export const csvText = (rows: readonly string[][]): string => {
  const quotes = (cell: unknown): boolean => OTHER_DELIMITER.test(String(cell));
  return `${Papa.unparse(rows as string[][], { escapeFormulae: FORMULA, quotes })}\r\n`;
};
