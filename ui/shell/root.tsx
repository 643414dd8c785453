import { router, type Href } from 'expo-router';
import { lazy, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { Provider } from 'react-redux';
import { useAppSelector } from '../state/store.ts';
import { animatePlainly, neverHoldListsUp } from './animations.ts';
import { forgetActs } from '../parts/acts.ts';
import { keepScroll } from './kept-scroll.ts';
import { Later } from '../parts/later.tsx';
import { closePage, openingNow, openPage, openPageWithoutStorage, watchOpening } from './program-of-page.ts';
import { useShippedFonts } from '../theme/fonts.ts';
import { Icon } from '../theme/icon.tsx';
import { lampTheme, paperTheme } from '../theme/theme.ts';
import { useIsPrinting, usePrefersDark } from '../theme/use-media.ts';

animatePlainly();
neverHoldListsUp();
keepScroll();

const StartFault = lazy(() => import('./start-fault.tsx'));
const UnreadShop = lazy(() => import('./unread-shop.tsx'));

/** The documents that the shop consists of. */
const SHOP = ['draft', 'catalogue'];

const Themed = ({ children }: { children: ReactNode }) => {
  const prefersDark = usePrefersDark();
  const chosen = useAppSelector((state) => state.session.colours);
  const isPrinting = useIsPrinting();
  const isDark = chosen === 'system' ? prefersDark : chosen === 'dark';
  const theme = isDark && !isPrinting ? lampTheme : paperTheme;
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

/**
 * Asks an open page to close the program, or to open it anew at an address, from what is then kept and without loading
 * its files again: what tests do between each other.
 */
const CLOSE = 'emporos-close';
const OPEN = 'emporos-open';

const useReopening = (): void => {
  useEffect(() => {
    const close = (): void => void closePage();
    const open = async (event: Event): Promise<void> => {
      const { detail } = event as CustomEvent<string>;
      await openPage();
      forgetActs();
      router.replace(detail as Href);
    };
    window.addEventListener(CLOSE, close);
    window.addEventListener(OPEN, open);
    return () => {
      window.removeEventListener(CLOSE, close);
      window.removeEventListener(OPEN, open);
    };
  }, []);
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
  const { program, fault } = useSyncExternalStore(watchOpening, openingNow, openingNow);
  useReopening();
  if (!fonts) return null;
  if (!program && fault !== null) {
    return (
      <PaperProvider theme={paperTheme}>
        <Later>
          <StartFault
            reason={fault}
            onAgain={() => void openPage()}
            onWithout={() => void openPageWithoutStorage()}
          />
        </Later>
      </PaperProvider>
    );
  }
  if (!program) return null;
  return (
    <Provider store={program.store}>
      <SafeAreaProvider>
        <Themed>
          <Readable>{children}</Readable>
        </Themed>
      </SafeAreaProvider>
    </Provider>
  );
};
