/** Where documents are kept. AsyncStorage has this shape. */
export interface Shelf {
  getItem: (key: string) => Promise<string | null>;
  setItem: (key: string, text: string) => Promise<void>;
}

export interface WriterEvents {
  began: () => void;
  kept: () => void;
  failed: (reason: string) => void;
}

export interface Writer {
  /** Asks that a document be written soon; of several askings the last text counts. */
  ask: (key: string, text: () => string) => void;
  /** Writes all that was asked for now. */
  flush: () => Promise<void>;
}

const DELAY_MS = 250;
const RETRY_MS = [1_000, 3_000, 10_000, 30_000];

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/**
 * Writes documents a moment after they change, one after another in the order they were asked for.
 * A write that fails is told and tried again, after longer and longer waits, until it succeeds.
 */
export const makeWriter = (shelf: Shelf, events: WriterEvents): Writer => {
  const asked = new Map<string, () => string>();
  let timer: ReturnType<typeof setTimeout> | null = null;
  let running: Promise<void> | null = null;
  let failures = 0;

  const wait = (ms: number): void => {
    if (timer !== null) clearTimeout(timer);
    timer = setTimeout(() => void flush(), ms);
  };

  const writeNext = async (): Promise<boolean> => {
    const [next] = asked;
    if (!next) return false;
    const [key, text] = next;
    asked.delete(key);
    try {
      await shelf.setItem(key, text());
    } catch (error) {
      if (!asked.has(key)) asked.set(key, text);
      throw error;
    }
    return true;
  };

  const run = async (): Promise<void> => {
    try {
      let more = true;
      while (more) more = await writeNext();
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
    if (asked.size === 0) return;
    running = run().finally(() => {
      running = null;
    });
    await running;
  };

  return {
    ask: (key, text) => {
      asked.set(key, text);
      events.began();
      if (failures === 0) wait(DELAY_MS);
    },
    flush,
  };
};
