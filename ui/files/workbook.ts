import readWorkbook from 'read-excel-file/universal';
import writeWorkbook from 'write-excel-file/universal';
import { t } from '../../core/translate/translate.ts';
import type { SheetColumn } from '../../core/formats/sheet-column.ts';
import { sheetText, sheetValue, type SheetValue } from '../../core/formats/sheet-cell.ts';

/** A list to be written as a spreadsheet: its name, its columns, and its rows as cells of text. */
export interface ListSheet {
  name: string;
  columns: readonly SheetColumn[];
  rows: readonly string[][];
}

const ABOUT = t('About the columns');
const LONGEST_NAME = 31;
const FORBIDDEN = /[[\]:*?/\\']/g;
const WIDTH = 18;
const ABOUT_WIDTHS = [24, 80];

const bold = (value: string) => ({ value, fontWeight: 'bold' as const });
const sheetName = (name: string): string =>
  name.replace(FORBIDDEN, ' ').trim().slice(0, LONGEST_NAME) || t('List');

/** A list as a workbook (Office Open XML): typed cells under headings, and a second sheet that explains the columns. */
export const workbookOf = async ({ name, columns, rows }: ListSheet): Promise<ArrayBuffer> => {
  const cells = rows.map((row) => columns.map(({ isNumber }, at) => sheetValue(row[at] ?? '', isNumber)));
  const blob = await writeWorkbook([
    {
      sheet: sheetName(name),
      data: [columns.map(({ heading }) => bold(heading)), ...cells],
      columns: columns.map(() => ({ width: WIDTH })),
      stickyRowsCount: 1,
    },
    {
      sheet: ABOUT,
      data: [
        [bold(t('Column')), bold(t('What it holds'))],
        ...columns.map(({ heading, about }) => [heading, about]),
      ],
      columns: ABOUT_WIDTHS.map((width) => ({ width })),
    },
  ]).toBlob();
  return blob.arrayBuffer();
};

/** What a workbook and older spreadsheets begin with. */
const ZIP = [0x50, 0x4b, 0x03, 0x04];
const OLD = [0xd0, 0xcf, 0x11, 0xe0];
const begins = (bytes: ArrayBuffer, mark: readonly number[]): boolean => {
  const first = new Uint8Array(bytes, 0, Math.min(mark.length, bytes.byteLength));
  return mark.every((byte, at) => first[at] === byte);
};

/** Whether bytes are a workbook's; an older spreadsheet is one too, although it cannot be read. */
export const isWorkbook = (bytes: ArrayBuffer): boolean => begins(bytes, ZIP) || begins(bytes, OLD);

/** The rows of a workbook's first sheet that has any, as cells of text. Throws a sentence where it cannot be read. */
export const rowsOfWorkbook = async (bytes: ArrayBuffer): Promise<string[][]> => {
  if (begins(bytes, OLD))
    throw new Error('it is a spreadsheet of an older kind. Save it as .xlsx or CSV, and open that.');
  try {
    const sheets = await readWorkbook(new Blob([bytes]));
    const { data } = sheets.find((one) => one.data.length > 0) ?? { data: [] };
    return data.map((row) => row.map((value) => sheetText(value as SheetValue)));
  } catch {
    throw new Error('the spreadsheet cannot be read. Save it again as .xlsx or CSV, and open that.');
  }
};
