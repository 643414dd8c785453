import { lazy, useEffect, useState, type ReactNode } from 'react';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { Provider } from 'react-redux';
import { loadDemoShop } from '../state/demo.ts';
import { demoEditionCame } from '../state/editions.ts';
import { demoOrdersCame } from '../state/orders.ts';
import { initialDraft } from '../state/draft.ts';
import { carryOver, deviceShelf, smallShelf } from '../state/storage/shelf.ts';
import { StartFault } from './start-fault.tsx';
import { makeJournal, tabsLeft, takeUpJournals } from '../state/storage/journal.ts';
import { keepStore } from '../state/storage/keep.ts';
import { keepProved } from '../workers/keep-proved.ts';
import { browserTabs } from '../state/storage/tabs.ts';
import { readStart } from '../state/storage/start.ts';
import { makeStore, useAppSelector, type AppStore } from '../state/store.ts';
import { animatePlainly } from './animations.ts';
import { Later } from './later.tsx';
import { keepOffline } from './offline.ts';
import { useShippedFonts } from '../theme/fonts.ts';
import { Icon } from '../theme/icon.tsx';
import { lampTheme, paperTheme } from '../theme/theme.ts';
import { usePrefersDark } from '../theme/use-prefers-dark.ts';

animatePlainly();

/** With the first change there is something to lose: the browser is asked not to clear it by itself. */
const askToPersist = (store: AppStore): void => {
  const stop = store.subscribe(() => {
    if (store.getState().draft.revision === 0) return;
    stop();
    void navigator.storage?.persist?.();
  });
};

const UnreadShop = lazy(() => import('./unread-shop.tsx'));

/** The documents that the shop consists of. */
const SHOP = ['draft', 'catalogue'];

/** What the browser does not ask about: the journal holds the edits, and the rest is only this device's settings. */
const NOTED = ['workbook', 'session'];

const openStore = async (): Promise<AppStore> => {
  const tabs = browserTabs();
  const left = await tabsLeft(smallShelf, tabs.isGone);
  const start = await tabs.alone(async () => {
    await carryOver(smallShelf, deviceShelf);
    return readStart(deviceShelf, loadDemoShop);
  });
  const over = start.draftStamp ?? null;
  const journal = makeJournal(smallShelf, tabs.id, over);
  const store = makeStore(start, [journal.middleware]);
  const writer = keepStore(store, deviceShelf, tabs, loadDemoShop, start, journal);
  const flush = (): void => void writer.flush();
  await takeUpJournals(store, smallShelf, over, left);
  window.addEventListener('beforeunload', (event) => {
    const [first] = writer.waiting().filter((name) => !NOTED.includes(name) || !journal.isSafe());
    if (first !== undefined) event.preventDefault();
  });
  askToPersist(store);
  keepOffline(store);
  markStorage(store);
  void Promise.all([import('../state/demo-orders.ts'), loadDemoShop()]).then(
    ([{ demoOrders, demoEdition }, demo]) => {
      const now = new Date().toISOString();
      store.dispatch(demoOrdersCame(demoOrders(now, demo)));
      store.dispatch(demoEditionCame(demoEdition(now, demo)));
    },
  );
  void import('../workers/start-prover.ts').then(({ startProver }) => keepProved(store, startProver()));
  void import('../state/share-holds.ts').then(({ browserLine, shareHolds }) => {
    const { tell, leave } = shareHolds(store, tabs.id, browserLine());
    window.addEventListener('pageshow', tell);
    window.addEventListener('pagehide', leave);
  });
  window.addEventListener('pagehide', flush);
  document.addEventListener('visibilitychange', flush);
  return store;
};

/** A store of the demo that is kept nowhere, and says so. */
const storeWithoutShelf = async (): Promise<AppStore> =>
  makeStore({ draft: initialDraft(await loadDemoShop()), storage: { state: 'off' } });

const Themed = ({ children }: { children: ReactNode }) => {
  const prefersDark = usePrefersDark();
  const chosen = useAppSelector((state) => state.session.colours);
  const theme = (chosen === 'system' ? prefersDark : chosen === 'dark') ? lampTheme : paperTheme;
  useEffect(() => {
    document.documentElement.style.colorScheme = theme.dark ? 'dark' : 'light';
    document.body.style.backgroundColor = theme.inks.ground;
  }, [theme]);
  return (
    <PaperProvider
      theme={theme}
      settings={{ icon: (props) => <Icon {...props} />, rippleEffectEnabled: false }}
    >
      {children}
    </PaperProvider>
  );
};

/** Marks the document with whether what was changed is on the device, for whoever must wait for it. */
const markStorage = (store: AppStore): void => {
  const mark = (): void => {
    document.documentElement.dataset['storage'] = store.getState().storage.state;
  };
  mark();
  store.subscribe(mark);
};

const useStore = () => {
  const [store, setStore] = useState<AppStore | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const open = (): void => {
    setFault(null);
    openStore().then(setStore, (error: unknown) =>
      setFault(error instanceof Error ? error.message : String(error)),
    );
  };
  useEffect(() => {
    open();
  }, []);
  return { store, fault, open, goWithout: () => void storeWithoutShelf().then(setStore) };
};

/** The program, unless the kept shop could not be read: the demo never takes its place without a word. */
const Readable = ({ children }: { children: ReactNode }) => {
  const [goesOn, setGoesOn] = useState(false);
  const isUnread = useAppSelector(({ storage }) =>
    storage.news.some(
      ({ why, document }) => why === 'unreadable' && SHOP.includes(document.split('/')[0] ?? ''),
    ),
  );
  if (!isUnread || goesOn) return children;
  return (
    <Later>
      <UnreadShop onGoOn={() => setGoesOn(true)} />
    </Later>
  );
};

/** Everything that a page stands in: the store read from this device, the fonts, the theme. */
export const Root = ({ children }: { children: ReactNode }) => {
  const fonts = useShippedFonts();
  const { store, fault, open, goWithout } = useStore();
  if (!fonts) return null;
  if (!store && fault !== null) {
    return (
      <PaperProvider theme={paperTheme}>
        <StartFault reason={fault} onAgain={open} onWithout={goWithout} />
      </PaperProvider>
    );
  }
  if (!store) return null;
  return (
    <Provider store={store}>
      <SafeAreaProvider>
        <Themed>
          <Readable>{children}</Readable>
        </Themed>
      </SafeAreaProvider>
    </Provider>
  );
};
