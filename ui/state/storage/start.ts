import { initialDraft } from '../draft.ts';
import type { Aside } from '../storage-status.ts';
import type { Start } from '../store.ts';
import type { Workbook } from '../workbook.ts';
import { asideList, setAside } from './aside.ts';
import { KEYS, readDraft, readGoods, readSession } from './documents.ts';
import type { Shelf } from './writer.ts';

/** The shop shown where nothing is kept yet. */
export type Demo = () => Promise<Workbook>;

type Read = <T>(key: string, read: (text: string) => T | null) => Promise<T | null>;

/** Reads documents; one that no longer parses is copied aside before anything is written over it. */
const reader = (shelf: Shelf, at: string, aside: Aside[]): Read => {
  return async (key, read) => {
    const text = await shelf.getItem(key);
    const document = text === null ? null : read(text);
    if (text !== null && document === null) {
      const made = await setAside(shelf, key, 'unreadable', at);
      if (made) aside.push(made);
    }
    return document;
  };
};

/**
 * What the program starts from: what is kept on this device, or the demo; what had to be set aside is named.
 * The orders, of which there may be many, are read after the page is there.
 */
export const readStart = async (shelf: Shelf, demo: Demo): Promise<Start> => {
  const keys = await shelf.getAllKeys();
  const news: Aside[] = [];
  const read = reader(shelf, new Date().toISOString(), news);
  const stamp = await shelf.getItem(KEYS.stamp);
  const goods = await read(KEYS.catalogue, readGoods);
  const kept = goods ?? { catalogue: (await demo()).catalogue, goodsStamp: 0 };
  // A book never goes with the goods of another shop: where its goods cannot be read, both are set aside.
  const isWhole = goods !== null || news.length === 0;
  const found = await read(KEYS.draft, (text) => (isWhole ? readDraft(text, kept) : null));
  const device = await read(KEYS.session, readSession);
  return {
    draft: found?.draft ?? initialDraft(await demo()),
    storage: {
      changedAt: found?.changedAt ?? null,
      savedAt: device?.savedAt ?? null,
      aside: [...asideList(keys), ...news],
      news,
    },
    stamp,
    draftStamp: found?.stamp ?? null,
    ...(device ? { session: device.session, basket: device.basket } : {}),
  };
};
