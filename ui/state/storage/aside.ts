import type { SetAsideDocument } from '../storage-status.ts';
import type { KeyValueStore } from './writer.ts';

const ASIDE = 'emporos/aside/';

/** Copies a document to a key of its own, where nothing writes over it; null where there is none. */
export const setAside = async (
  device: KeyValueStore,
  source: string,
  why: SetAsideDocument['why'],
  at: string,
): Promise<SetAsideDocument | null> => {
  const text = await device.getItem(source);
  if (text === null) return null;
  const document = source.replace('emporos/', '');
  const key = `${ASIDE}${why}/${at}/${document}`;
  await device.setItem(key, text);
  return { key, document, why, at };
};

/** The documents that were set aside earlier and are still there, from their keys. */
export const asideList = (keys: readonly string[]): SetAsideDocument[] =>
  keys.flatMap((key) => {
    if (!key.startsWith(ASIDE)) return [];
    const [why, at, ...document] = key.slice(ASIDE.length).split('/');
    if ((why !== 'unreadable' && why !== 'other-tab') || !at) return [];
    return [{ key, why, at, document: document.join('/') }];
  });

/** What a document that was set aside is of: `catalogue/one:3` is of the goods. */
export const kindOf = ({ document }: Pick<SetAsideDocument, 'document'>): string =>
  document.split('/')[0] ?? '';

/** Whether a document that was set aside can be opened by itself; products open with the rules that name them. */
export const canOpen = (aside: SetAsideDocument, all: readonly SetAsideDocument[]): boolean => {
  const kind = kindOf(aside);
  if (kind === 'catalogue') return !all.some((other) => kindOf(other) === 'draft' && other.at === aside.at);
  return kind !== 'session';
};
