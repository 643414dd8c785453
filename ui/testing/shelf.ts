import type { Tabs } from '../state/storage/tabs.ts';
import type { Shelf } from '../state/storage/writer.ts';

/** A shelf for tests: what it keeps, every write in order, and a write that may be made to fail. */
export interface TestShelf extends Shelf {
  kept: Map<string, string>;
  writes: { key: string; text: string }[];
  /** Asked before each write; an error is thrown as the browser would throw it. */
  refuse: (at: number) => Error | null;
}

export const makeShelf = (kept = new Map<string, string>()): TestShelf => {
  let asked = 0;
  const shelf: TestShelf = {
    kept,
    writes: [],
    refuse: () => null,
    getItem: async (key) => shelf.kept.get(key) ?? null,
    getAllKeys: async () => [...shelf.kept.keys()],
    removeItem: async (key) => void shelf.kept.delete(key),
    setItem: async (key, text) => {
      asked += 1;
      const error = shelf.refuse(asked);
      if (error) throw error;
      shelf.writes.push({ key, text });
      shelf.kept.set(key, text);
    },
  };
  return shelf;
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
  });
};
