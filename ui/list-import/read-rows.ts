import { t } from '../../core/translate/translate.ts';
import type { Fault } from '../../core/model/fault.ts';
import { chooseFile, decoded, isTooLarge } from '../files/files.ts';

/** The rows of a file that was chosen, or why it was not read, in words that follow its name. */
export type ChosenRows =
  | { ok: true; name: string; rows: string[][]; faults: Fault[]; isSheet: boolean }
  | { ok: false; name: string; why: string };

const ENDING = /\.xlsx?$/i;

/** Asks for a CSV or a spreadsheet and reads its rows; null where none is chosen. A spreadsheet is read in a worker. */
export const chooseRows = async (): Promise<ChosenRows | null> => {
  const file = await chooseFile('csv');
  if (!file) return null;
  const { name } = file;
  if (isTooLarge(file)) return { ok: false, name, why: t('it is larger than 200 MB.') };
  const bytes = await file.arrayBuffer();
  if (!ENDING.test(name)) {
    const { parseCsv } = await import('../files/csv.ts');
    return { ok: true, name, ...parseCsv(decoded(bytes)), isSheet: false };
  }
  const { rowsBeside } = await import('../workers/start-list-reader.ts');
  try {
    return { ok: true, name, ...(await rowsBeside(bytes)), isSheet: true };
  } catch (error) {
    return { ok: false, name, why: error instanceof Error ? error.message : String(error) };
  }
};
