import { initialDraft } from '../draft.ts';
import type { Start } from '../store.ts';
import type { Workbook } from '../workbook.ts';
import { asideKey, KEYS, readDraft, readSession, readGoods, type DocumentName } from './documents.ts';
import type { Shelf } from './writer.ts';

/** The shop shown where nothing is kept yet. */
export type Demo = () => Workbook;

const readOr = async <T>(
  shelf: Shelf,
  name: DocumentName,
  read: (text: string) => T | null,
  setAside: string[],
): Promise<T | null> => {
  const text = await shelf.getItem(KEYS[name]);
  if (text === null) return null;
  const document = read(text);
  if (document !== null) return document;
  const key = asideKey(name, Date.now());
  await shelf.setItem(key, text);
  setAside.push(name);
  return null;
};

/**
 * What the program starts from: what is kept on this device, or the demo. A document that no longer
 * parses is copied aside before anything is written over it, and named.
 */
export const readStart = async (shelf: Shelf, demo: Demo): Promise<Start> => {
  const setAside: string[] = [];
  const goods = await readOr(shelf, 'catalogue', readGoods, setAside);
  const kept = goods ?? { catalogue: demo().catalogue, goodsStamp: 0 };
  const draft = await readOr(shelf, 'draft', (text) => readDraft(text, kept), setAside);
  const session = await readOr(shelf, 'session', readSession, setAside);
  return { draft: draft ?? initialDraft(demo()), ...(session ? { session } : {}), setAside };
};
