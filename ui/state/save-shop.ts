import { writeShopFile } from '../../core/formats/shop-file.ts';
import { fileName, saveFile } from '../parts/files.ts';
import { savedNow } from './storage-status.ts';
import type { AppStore } from './store.ts';

/** Hands the whole shop to the person as a file, and notes that it was saved. */
export const saveShop = ({ getState, dispatch }: Pick<AppStore, 'getState' | 'dispatch'>): void => {
  const { draft, orders, editions } = getState();
  const now = new Date().toISOString();
  const { name } = draft.workbook.book.store;
  saveFile(fileName(name, 'shop', now.slice(0, 10)), writeShopFile(draft.workbook, orders, now, editions));
  dispatch(savedNow(now));
};
