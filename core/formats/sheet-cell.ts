/** What a cell of a spreadsheet holds. */
export type SheetValue = string | number | boolean | Date | null;

const PLAIN_NUMBER = /^-?\d{1,15}(?:\.\d{1,10})?$/;

/** A cell of a list as a spreadsheet keeps it: a number in a column of numbers, else the text as it stands. */
export const sheetValue = (cell: string, isNumber: boolean): SheetValue => {
  if (cell === '') return null;
  return isNumber && PLAIN_NUMBER.test(cell) ? Number(cell) : cell;
};

const dateText = (date: Date): string => {
  const text = date.toISOString();
  return text.endsWith('T00:00:00.000Z') ? text.slice(0, 10) : text;
};

/** A spreadsheet's cell as the readers of lists take it: numbers with a dot, days as 2026-11-24, yes and no. */
export const sheetText = (value: SheetValue): string => {
  if (value === null) return '';
  if (value instanceof Date) return dateText(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return String(value);
};
