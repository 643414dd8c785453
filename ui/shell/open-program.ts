import { isDemoBook, loadDemoShop } from '../state/demo.ts';
import { initialDraft } from '../state/draft.ts';
import { demoEditionCame } from '../state/editions.ts';
import { demoOrdersCame } from '../state/orders.ts';
import { makeJournal, tabsLeft, takeUpJournals, type Journal } from '../state/storage/journal.ts';
import { keepStore } from '../state/storage/keep.ts';
import { carryOver, deviceStore, smallStore } from '../state/storage/device-store.ts';
import { readStart } from '../state/storage/start.ts';
import { browserTabs } from '../state/storage/tabs.ts';
import type { Writer } from '../state/storage/writer.ts';
import { selectBook } from '../state/selectors.ts';
import { makeStore, type AppStore } from '../state/store.ts';
import { keepChecked } from '../workers/keep-checked.ts';
import { keepOffline } from './offline.ts';
import { momentNow } from '../time/now.ts';

/** The program as it is open in a page: its store, with all that keeps it and listens for it. */
export interface OpenProgram {
  store: AppStore;
  /** Writes what is still to be written and ends all that listens, so that it can be opened again in the same page. */
  close: () => Promise<void>;
}

/** What the browser does not ask about: the journal holds the edits, and the rest is only this device's settings. */
const NOTED = ['workbook', 'session'];

/** With the first change there is something to lose: the browser is asked not to clear it by itself. */
const askToPersist = (store: AppStore): void => {
  const stop = store.subscribe(() => {
    if (store.getState().draft.revision === 0) return;
    stop();
    void navigator.storage?.persist?.();
  });
};

/** Marks the document with whether what was changed is on the device, or with closed, for whoever must wait for it. */
const markStorage = (store: AppStore, closed: AbortSignal): void => {
  const mark = (): void => {
    document.documentElement.dataset['storage'] = store.getState().storage.state;
  };
  mark();
  closed.addEventListener('abort', store.subscribe(mark));
};

/** Waits until the shop is the demo; never over where it is another. */
const untilDemo = (store: AppStore, closed: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const isDemo = (): boolean => isDemoBook(selectBook(store.getState()));
    if (isDemo()) return resolve();
    const stop = store.subscribe(() => {
      if (!isDemo()) return;
      stop();
      resolve();
    });
    closed.addEventListener('abort', stop);
  });

/** Lets the page be drawn, and a press be answered, before work that nobody waits for goes on. */
const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** The demo's orders and its edition, which come after the page, and not to a shop of somebody's own. */
const addDemoOrders = async (store: AppStore, closed: AbortSignal): Promise<void> => {
  await untilDemo(store, closed);
  const [{ demoOpenOrders, demoPastOrders, demoEdition }, demo] = await Promise.all([
    import('../state/demo-orders.ts'),
    loadDemoShop(),
  ]);
  const now = momentNow();
  const open = demoOpenOrders(now, demo);
  store.dispatch(demoOrdersCame(open));
  store.dispatch(demoEditionCame(demoEdition(now, demo)));
  const past = await demoPastOrders(now, nextTask);
  if (!closed.aborted) store.dispatch(demoOrdersCame([...past, ...open]));
};

/** Has the test orders run beside the page after every change, until the program is closed. */
const checkBeside = async (store: AppStore, closed: AbortSignal): Promise<void> => {
  const { startChecker } = await import('../workers/start-checker.ts');
  if (closed.aborted) return;
  const { checker, stop } = startChecker();
  const end = keepChecked(store, checker);
  closed.addEventListener('abort', () => {
    end();
    stop();
  });
};

/** Tells other tabs which times are held here, and takes what they hold. */
const holdTimes = async (store: AppStore, tab: string, closed: AbortSignal): Promise<void> => {
  const { browserLine, shareHolds } = await import('../state/share-holds.ts');
  if (closed.aborted) return;
  const line = browserLine();
  const { tell, leave } = shareHolds(store, tab, line);
  window.addEventListener('pageshow', tell, { signal: closed });
  window.addEventListener('pagehide', leave, { signal: closed });
  closed.addEventListener('abort', () => {
    leave();
    line.close();
  });
};

/** Writes at once when the page is left, and has the browser ask where something would be lost. */
const guardLeaving = (writer: Writer, journal: Journal, closed: AbortSignal): void => {
  const flush = (): void => void writer.flush();
  window.addEventListener('pagehide', flush, { signal: closed });
  document.addEventListener('visibilitychange', flush, { signal: closed });
  const ask = (event: Event): void => {
    const [first] = writer.waiting().filter((name) => !NOTED.includes(name) || !journal.isSafe());
    if (first !== undefined) event.preventDefault();
  };
  window.addEventListener('beforeunload', ask, { signal: closed });
};

/** Opens the program with what is kept on this device, or the demo, and keeps it from then on. */
export const openProgram = async (): Promise<OpenProgram> => {
  const tabs = browserTabs();
  const left = await tabsLeft(smallStore, tabs.isGone);
  const start = await tabs.alone(async () => {
    await carryOver(smallStore, deviceStore);
    return readStart(deviceStore, loadDemoShop);
  });
  const over = start.draftStamp ?? null;
  const journal = makeJournal(smallStore, tabs.id, over);
  const store = makeStore(start, [journal.middleware]);
  const writer = keepStore(store, deviceStore, tabs, loadDemoShop, start, journal);
  await takeUpJournals(store, smallStore, over, left);
  const closing = new AbortController();
  guardLeaving(writer, journal, closing.signal);
  askToPersist(store);
  keepOffline(store, closing.signal);
  markStorage(store, closing.signal);
  void addDemoOrders(store, closing.signal);
  void checkBeside(store, closing.signal);
  void holdTimes(store, tabs.id, closing.signal);
  const close = async (): Promise<void> => {
    closing.abort();
    await writer.flush();
    tabs.leave();
    document.documentElement.dataset['storage'] = 'closed';
  };
  return { store, close };
};

/** A program of the demo that is kept nowhere, and says so. */
export const openWithoutStorage = async (): Promise<OpenProgram> => ({
  store: makeStore({ draft: initialDraft(await loadDemoShop()), storage: { state: 'off' } }),
  close: () => Promise.resolve(),
});
