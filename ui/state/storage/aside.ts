import type { Aside } from '../storage-status.ts';
import type { Shelf } from './writer.ts';

const ASIDE = 'emporos/aside/';

/** Copies a document to a key of its own, where nothing writes over it; null where there is none. */
export const setAside = async (
  shelf: Shelf,
  source: string,
  why: Aside['why'],
  at: string,
): Promise<Aside | null> => {
  const text = await shelf.getItem(source);
  if (text === null) return null;
  const document = source.replace('emporos/', '');
  const key = `${ASIDE}${why}/${at}/${document}`;
  await shelf.setItem(key, text);
  return { key, document, why, at };
};

/** The documents that were set aside earlier and are still there, from their keys. */
export const asideList = (keys: readonly string[]): Aside[] =>
  keys.flatMap((key) => {
    if (!key.startsWith(ASIDE)) return [];
    const [why, at, ...document] = key.slice(ASIDE.length).split('/');
    if ((why !== 'unreadable' && why !== 'other-tab') || !at) return [];
    return [{ key, why, at, document: document.join('/') }];
  });
