import type { Tabs } from '../state/storage/tabs.ts';
import type { KeyValueStore } from '../state/storage/writer.ts';

/** A store for tests: what it keeps, every write in order, and a write that may be made to fail. */
export interface MemoryStore extends KeyValueStore {
  kept: Map<string, string>;
  /** A removal is a write of null. */
  writes: { key: string; text: string | null }[];
  /** Asked before each write; an error is thrown as the browser would throw it. */
  refuse: (at: number) => Error | null;
}

export const makeMemoryStore = (kept = new Map<string, string>()): MemoryStore => {
  let asked = 0;
  const device: MemoryStore = {
    kept,
    writes: [],
    refuse: () => null,
    getItem: async (key) => device.kept.get(key) ?? null,
    getAllKeys: async () => [...device.kept.keys()],
    removeItem: async (key) => {
      if (device.kept.delete(key)) device.writes.push({ key, text: null });
    },
    setItem: async (key, text) => {
      asked += 1;
      const error = device.refuse(asked);
      if (error) throw error;
      device.writes.push({ key, text });
      device.kept.set(key, text);
    },
  };
  return device;
};

/** A store as it was after so many of another's writes: where a page was gone at that moment. */
export const memoryStoreAfter = ({ writes }: MemoryStore, count: number): MemoryStore => {
  const kept = new Map<string, string>();
  for (const { key, text } of writes.slice(0, count)) {
    if (text === null) kept.delete(key);
    else kept.set(key, text);
  }
  return makeMemoryStore(kept);
};

/** Tabs for tests that hear of each other at once and wait for each other as the browser's do. */
export const makeTabs = () => {
  const hears: { id: string; hear: (what: string) => void }[] = [];
  let line: Promise<unknown> = Promise.resolve();
  return (id: string): Tabs => ({
    id,
    isGone: async () => true,
    alone: (run) => {
      const turn = line.then(run, run);
      line = turn.catch(() => undefined);
      return turn;
    },
    announce: (what) => {
      for (const one of hears) if (one.id !== id) one.hear(what);
    },
    onNews: (hear) => void hears.push({ id, hear }),
    leave: () => {
      const at = hears.findIndex((one) => one.id === id);
      if (at >= 0) hears.splice(at, 1);
    },
  });
};
