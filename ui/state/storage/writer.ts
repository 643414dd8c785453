/** Where documents are kept. AsyncStorage has this shape. */
export interface KeyValueStore {
  getItem: (key: string) => Promise<string | null>;
  setItem: (key: string, text: string) => Promise<void>;
  removeItem: (key: string) => Promise<void>;
  getAllKeys: () => Promise<readonly string[]>;
}

export interface WriterEvents {
  began: () => void;
  kept: () => void;
  failed: (reason: string) => void;
}

export interface Writer {
  /** Asks that a piece of writing be done soon; of several askings under one name the last counts. */
  ask: (name: string, write: () => Promise<void>) => void;
  /** Whether something that was asked for is still to be written. */
  isBusy: () => boolean;
  /** The names of what is still to be written. */
  waiting: () => readonly string[];
  /** Writes all that was asked for now. */
  flush: () => Promise<void>;
}

const DELAY_MS = 250;
const RETRY_MS = [1_000, 3_000, 10_000, 30_000];

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** What is asked for and not yet written, by name, in the order it was asked. */
const makeAsked = () => {
  const asked = new Map<string, () => Promise<void>>();
  let writing: string | null = null;
  return {
    put: (name: string, write: () => Promise<void>): void => void asked.set(name, write),
    size: (): number => asked.size,
    waiting: (): string[] => [...asked.keys(), ...(writing === null ? [] : [writing])],
    /** Writes what was asked for first, and says whether there was any; what fails is asked for again. */
    writeNext: async (): Promise<boolean> => {
      const [next] = asked;
      if (!next) return false;
      const [name, write] = next;
      asked.delete(name);
      writing = name;
      try {
        await write();
      } catch (error) {
        if (!asked.has(name)) asked.set(name, write);
        throw error;
      } finally {
        writing = null;
      }
      return true;
    },
  };
};

/**
 * Does the writing a moment after it is asked for, one piece after another in the order they were asked.
 * A piece that fails is told and tried again, after longer and longer waits, until it succeeds.
 */
export const makeWriter = (events: WriterEvents): Writer => {
  const asked = makeAsked();
  let timer: ReturnType<typeof setTimeout> | null = null;
  let running: Promise<void> | null = null;
  let failures = 0;

  const wait = (ms: number): void => {
    if (timer !== null) clearTimeout(timer);
    timer = setTimeout(() => void flush(), ms);
  };

  const run = async (): Promise<void> => {
    try {
      let more = true;
      while (more) more = await asked.writeNext();
      failures = 0;
      events.kept();
    } catch (error) {
      events.failed(reasonOf(error));
      wait(RETRY_MS[Math.min(failures, RETRY_MS.length - 1)] ?? DELAY_MS);
      failures += 1;
    }
  };

  const flush = async (): Promise<void> => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    while (running) await running;
    if (asked.size() === 0) return;
    running = run().finally(() => {
      running = null;
    });
    await running;
  };

  return {
    ask: (name, write) => {
      asked.put(name, write);
      events.began();
      if (failures === 0) wait(DELAY_MS);
    },
    isBusy: () => asked.size() > 0 || running !== null,
    waiting: asked.waiting,
    flush,
  };
};
