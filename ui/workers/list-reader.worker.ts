import '../language/speak-in-worker.ts';
import { expose, transfer } from 'comlink';
import { workbookOf, type ListSheet } from '../files/workbook.ts';
import { makeListReader } from './list-reader.ts';

expose({
  ...makeListReader(),
  workbook: async (sheet: ListSheet) => {
    const bytes = await workbookOf(sheet);
    return transfer(bytes, [bytes]);
  },
});
