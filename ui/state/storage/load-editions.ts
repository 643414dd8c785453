import { readEditions, type Edition } from '../../../core/formats/edition.ts';
import type { SetAsideDocument } from '../storage-status.ts';
import { setAside } from './aside.ts';
import type { KeyValueStore } from './writer.ts';
import { momentNow } from '../../time/now.ts';

const EDITION = 'emporos/edition/';
const DIGITS = 6;

/** The key of an edition; keys are in the order of the numbers. */
export const editionKey = ({ number }: Pick<Edition, 'number'>): string =>
  EDITION + String(number).padStart(DIGITS, '0');
export const isEditionKey = (key: string): boolean => key.startsWith(EDITION);

/** The text of an edition, which is written once and never again. */
export const writeEdition = (edition: Edition): string => JSON.stringify([edition]);

const parsed = (text: string): Edition[] | null => {
  try {
    const read = readEditions(JSON.parse(text));
    return read.ok ? read.value : null;
  } catch {
    return null;
  }
};

export interface EditionsFound {
  editions: (found: readonly Edition[]) => void;
  aside: (made: SetAsideDocument) => void;
}

/** Reads one edition; what cannot be read is set aside. */
export const loadEdition = async (
  device: KeyValueStore,
  key: string,
  found: EditionsFound,
): Promise<void> => {
  const text = await device.getItem(key);
  if (text === null) return;
  const editions = parsed(text);
  if (editions) {
    found.editions(editions);
    return;
  }
  const made = await setAside(device, key, 'unreadable', momentNow());
  if (made) found.aside(made);
};

/** Reads the editions that are kept, the newest first: it is the one that customers are served by. */
export const loadEditions = async (device: KeyValueStore, found: EditionsFound): Promise<void> => {
  const keys = (await device.getAllKeys()).filter(isEditionKey).sort().reverse();
  for (const key of keys) await loadEdition(device, key, found);
};
