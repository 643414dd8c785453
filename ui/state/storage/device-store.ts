import legacyStore, { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { KeyValueStore } from './writer.ts';

/** The browser's database (IndexedDB), which holds as much as the disk allows. */
export const deviceStore: KeyValueStore = createAsyncStorage('emporos');

/** The browser's small storage, of 5 MB, in which documents were kept before. */
export const smallStore: KeyValueStore = legacyStore;

const OURS = 'emporos/';

/**
 * Carries documents from where they were kept before. Each is copied first and only then taken away, so
 * that a crash between the two loses nothing; a document that is there already stays as it is.
 */
export const carryOver = async (from: KeyValueStore, to: KeyValueStore): Promise<void> => {
  const old = (await from.getAllKeys()).filter((key) => key.startsWith(OURS));
  if (old.length === 0) return;
  const there = new Set(await to.getAllKeys());
  for (const key of old) {
    const text = await from.getItem(key);
    if (text !== null && !there.has(key)) await to.setItem(key, text);
    await from.removeItem(key);
  }
};
