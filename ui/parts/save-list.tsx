import { useState } from 'react';
import { t } from '../../core/translate/translate.ts';
import type { SheetColumn } from '../../core/formats/sheet-column.ts';
import { saveParts, saveWorkbook, type FileKind } from '../files/files.ts';
import { TextAction } from './text-action.tsx';

interface Props<T> {
  /** The file's name by its kind. */
  name: (kind: FileKind) => string;
  /** What the sheet is called in a spreadsheet. */
  sheet: string;
  columns: () => readonly SheetColumn[];
  items: readonly T[];
  cells: (item: T) => string[];
}

const PART = 5_000;
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

const saveCsv = async <T,>({ name, columns, items, cells }: Props<T>): Promise<void> => {
  const { csvText } = await import('../files/csv.ts');
  const parts = [csvText([columns().map(({ heading }) => heading)])];
  for (let from = 0; from < items.length; from += PART) {
    parts.push(csvText(items.slice(from, from + PART).map(cells)));
    await pause();
  }
  saveParts(name('csv'), parts);
};

const saveSheet = async <T,>({ name, sheet, columns, items, cells }: Props<T>): Promise<void> => {
  const { writtenBeside } = await import('../workers/start-list-reader.ts');
  const rows: string[][] = [];
  for (let from = 0; from < items.length; from += PART) {
    for (const item of items.slice(from, from + PART)) rows.push(cells(item));
    await pause();
  }
  saveWorkbook(name('xlsx'), await writtenBeside({ name: sheet, columns: columns(), rows }));
};

/** A list of any length saved as CSV or as a spreadsheet, while the page goes on answering. */
export const SaveList = <T,>(props: Props<T>) => {
  const [isWriting, setWriting] = useState(false);
  const save = async (): Promise<void> => {
    setWriting(true);
    await saveSheet(props).finally(() => setWriting(false));
  };
  const isEmpty = props.items.length === 0;
  return (
    <>
      <TextAction label={t('Save as CSV')} disabled={isEmpty} onPress={() => void saveCsv(props)} />
      <TextAction
        label={isWriting ? t('Writing …') : t('Save as a spreadsheet')}
        disabled={isEmpty || isWriting}
        onPress={() => void save()}
      />
    </>
  );
};
