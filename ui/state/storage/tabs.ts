/** The tabs in which the program is open on one device. */
export interface Tabs {
  /** This tab, told from all others. */
  id: string;
  /** Runs while no other tab runs anything of this kind. */
  alone: <T>(run: () => Promise<T>) => Promise<T>;
  /** The ids of the tabs that are open. */
  open: () => Promise<ReadonlySet<string>>;
  /** Tells the others what was kept: the workbook, or the key of a month of orders. */
  announce: (what: string) => void;
  /** Calls back when another tab has kept something. */
  onNews: (hear: (what: string) => void) => void;
}

const CHANNEL = 'emporos';
const TAB = 'emporos-tab/';

/** The browser's tabs, by its locks and its channel between pages; a browser without them has one tab. */
export const browserTabs = (): Tabs => {
  const channel = 'BroadcastChannel' in window ? new BroadcastChannel(CHANNEL) : null;
  const id = Math.random().toString(36).slice(2, 10);
  // Held as long as the tab is open: the browser lets it go when the tab does.
  void navigator.locks?.request(TAB + id, () => new Promise(() => undefined));
  return {
    id,
    open: async () => {
      const { held = [] } = (await navigator.locks?.query()) ?? {};
      const names = held.flatMap(({ name }) => (name?.startsWith(TAB) ? [name.slice(TAB.length)] : []));
      return new Set([id, ...names]);
    },
    alone: async (run) => (navigator.locks ? await navigator.locks.request(CHANNEL, run) : await run()),
    announce: (what) => channel?.postMessage(what),
    onNews: (hear) => channel?.addEventListener('message', ({ data }) => hear(String(data))),
  };
};
