import type { FigureRow } from './price-kind.ts';

/** Whether a cell holds a figure. */
export const isFilled = (cell: number | null | undefined): boolean => cell !== undefined && cell !== null;

/** The row of a price that has one row alone, with nothing under where a step begins; null for other rows. */
export const onlyRow = (rows: readonly FigureRow[]): FigureRow | null => {
  const [first] = rows;
  return first && rows.length === 1 && !isFilled(first.from) ? first : null;
};

/** Whether a row says neither an amount nor a share. */
export const hasNoFigure = ({ amount, percent }: FigureRow): boolean =>
  !isFilled(amount) && !isFilled(percent);
