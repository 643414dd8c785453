/** The tabs in which the program is open on one device. */
export interface Tabs {
  /** This tab, told from all others. */
  id: string;
  /** Runs while no other tab runs anything of this kind. */
  alone: <T>(run: () => Promise<T>) => Promise<T>;
  /** Tells the others what was kept: the workbook, or the key of a month of orders. */
  announce: (what: string) => void;
  /** Calls back when another tab has kept something. */
  onNews: (hear: (what: string) => void) => void;
}

const CHANNEL = 'emporos';

/** The browser's tabs, by its locks and its channel between pages; a browser without them has one tab. */
export const browserTabs = (): Tabs => {
  const channel = 'BroadcastChannel' in window ? new BroadcastChannel(CHANNEL) : null;
  return {
    id: Math.random().toString(36).slice(2, 10),
    alone: async (run) => (navigator.locks ? await navigator.locks.request(CHANNEL, run) : await run()),
    announce: (what) => channel?.postMessage(what),
    onNews: (hear) => channel?.addEventListener('message', ({ data }) => hear(String(data))),
  };
};
