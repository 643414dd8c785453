import { proxy, transfer, wrap, type Remote } from 'comlink';
import type { ListItem, ListReader, Opened } from './list-reader.ts';

const PART = 10_000;

/** A list being read from a file in a worker of its own; to stop is to end the worker. */
export interface ListWork {
  reader: Remote<ListReader>;
  open: (bytes: ArrayBuffer, onProgress: (share: number) => void) => Promise<Opened>;
  /** All items, fetched in parts and frozen, so that the page answers meanwhile. */
  take: <T extends ListItem>(count: number) => Promise<readonly T[]>;
  stop: () => void;
}

/** Lets the page draw and answer before the next part. */
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

const takeAll = async <T extends ListItem>(
  reader: Remote<ListReader>,
  count: number,
): Promise<readonly T[]> => {
  const all: T[] = [];
  for (let from = 0; from < count; from += PART) {
    const part = (await reader.items(from, PART)) as T[];
    for (const item of part) all.push(Object.freeze(item));
    await pause();
  }
  return Object.freeze(all);
};

export const startListReader = (): ListWork => {
  const worker = new Worker(new URL('./list-reader.worker.ts', window.location.href));
  const reader = wrap<ListReader>(worker);
  return {
    reader,
    open: (bytes, onProgress) => reader.open(transfer(bytes, [bytes]), proxy(onProgress)),
    take: (count) => takeAll(reader, count),
    stop: () => worker.terminate(),
  };
};
