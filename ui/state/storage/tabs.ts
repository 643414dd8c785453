/** The tabs in which the program is open on one device. */
export interface Tabs {
  /** This tab, told from all others. */
  id: string;
  /** Runs while no other tab runs anything of this kind. */
  alone: <T>(run: () => Promise<T>) => Promise<T>;
  /** Whether another tab is closed; one that is just closing is waited for. */
  isGone: (tab: string) => Promise<boolean>;
  /** Tells the others what was kept: the workbook, or the key of a month of orders. */
  announce: (what: string) => void;
  /** Calls back when another tab has kept something. */
  onNews: (hear: (what: string) => void) => void;
  /** This tab is open no longer: others take up what it left, and it hears of nothing any more. */
  leave: () => void;
}

const CHANNEL = 'emporos';
const TAB = 'emporos-tab/';
/** So long may a tab that was left still hold what it held. */
const CLOSING_MS = 1_000;

/** The browser's tabs, by its locks and its channel between pages; a browser without them has one tab. */
export const browserTabs = (): Tabs => {
  const channel = 'BroadcastChannel' in window ? new BroadcastChannel(CHANNEL) : null;
  const id = Math.random().toString(36).slice(2, 10);
  // Held as long as the tab is open: the browser lets it go when the tab does.
  let release = (): void => undefined;
  void navigator.locks?.request(
    TAB + id,
    () =>
      new Promise<void>((resolve) => {
        release = resolve;
      }),
  );
  return {
    id,
    isGone: async (tab) => {
      if (!navigator.locks) return true;
      const signal = AbortSignal.timeout(CLOSING_MS);
      return navigator.locks.request(TAB + tab, { signal }, () => true).catch(() => false);
    },
    alone: async (run) => (navigator.locks ? await navigator.locks.request(CHANNEL, run) : await run()),
    announce: (what) => channel?.postMessage(what),
    onNews: (hear) => channel?.addEventListener('message', ({ data }) => hear(String(data))),
    leave: () => {
      release();
      channel?.close();
    },
  };
};
