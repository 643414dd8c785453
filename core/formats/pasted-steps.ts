import type { Measure, Step } from '../model/price.ts';
import type { DisplayFormat } from '../words/figure.ts';
import { typedMeasure } from './measure-typed.ts';
import { typedMoney, type Mark } from './typed.ts';

/** How the rows of a pasted table name their range: by where it begins, or by the last value it holds. */
export type RangeNaming = 'from' | 'up-to';

export interface PastedSteps {
  steps: Step[];
  /** In a table that names last values, where its last row ends. */
  until?: number;
  /** The lines that could not be read, with their numbers from 1. */
  unread: { line: number; text: string }[];
}

interface Row {
  line: number;
  low: number;
  high: number | undefined;
  amount: number;
}

/** A longer line is no row. */
const LONGEST_LINE = 300;

const WORDS =
  /\b(from|over|above|more than|up to|upto|to and including|and including|incl(uding|usive)?\.?|max(imum)?\.?|under|to|bis|ab|less than)\b|[≤≥<>:]/gi;

/** The columns of a line: by tab, semicolon or wide gap, else the last figure apart from what stands before it. */
const columns = (line: string): string[] => {
  const split = line
    .split(/\t|;|\|| {2,}/)
    .map((part) => part.trim())
    .filter(Boolean);
  if (split.length > 1) return split;
  const match = /^(.*?\S)[\s,]+([$€£¥]?\s?\d[\d.,]*\s?(?:[A-Za-z]{3}|[$€£¥])?)$/.exec(line.trim());
  return match ? [match[1] ?? '', match[2] ?? ''] : [line.trim()];
};

const values = (text: string, measure: Measure, display: DisplayFormat, mark: Mark): (number | null)[] =>
  text
    .replace(WORDS, ' – ')
    .split(/\s*[–—]\s*|\s+-\s+|(?<=\d)-(?=\d)/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => {
      const typed = typedMeasure(measure, part, display, mark);
      return typed.ok ? typed.value : null;
    });

const readRow = (
  text: string,
  line: number,
  measure: Measure,
  display: DisplayFormat,
  mark: Mark,
): Row | null => {
  const cells = columns(text);
  const amount = typedMoney(cells.at(-1) ?? '', display.decimals, mark);
  const range = cells.slice(0, -1).flatMap((cell) => values(cell, measure, display, mark));
  const [first, second] = range;
  if (!amount.ok || first === undefined || first === null || second === null || range.length > 2) return null;
  return { line, low: first, high: second, amount: amount.value };
};

const fromRows = (rows: readonly Row[]): Step[] => rows.map(({ low, amount }) => ({ from: low, amount }));

/** 'Up to and including 2 kg' ends at 2,000 g, so what comes next begins at 2,001 g. */
const upToRows = (rows: readonly Row[]): { steps: Step[]; until: number } => {
  const ends = rows.map(({ low, high }) => high ?? low);
  const steps = rows.map(({ low, high, amount }, at) => {
    const before = ends[at - 1];
    const first = high === undefined ? 0 : low;
    return { from: before === undefined ? first : before + 1, amount };
  });
  return { steps, until: (ends.at(-1) ?? 0) + 1 };
};

/**
 * Steps out of rows pasted from a spreadsheet or a leaflet: a value or a range of values, then a
 * charge. Rows are put in order by value; a heading or any line that is no row is listed as unread.
 */
export const pastedSteps = (
  text: string,
  measure: Measure,
  naming: RangeNaming,
  display: DisplayFormat,
  mark: Mark = '.',
): PastedSteps => {
  const rows: Row[] = [];
  const unread: PastedSteps['unread'] = [];
  text.split(/\r?\n/).forEach((line, at) => {
    if (line.trim() === '') return;
    const row = line.length > LONGEST_LINE ? null : readRow(line, at + 1, measure, display, mark);
    if (row) rows.push(row);
    else unread.push({ line: at + 1, text: line.trim() });
  });
  rows.sort((a, b) => (naming === 'from' ? a.low - b.low : (a.high ?? a.low) - (b.high ?? b.low)));
  if (rows.length === 0) return { steps: [], unread };
  return naming === 'from' ? { steps: fromRows(rows), unread } : { ...upToRows(rows), unread };
};
