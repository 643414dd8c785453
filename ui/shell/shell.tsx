import { useGlobalSearchParams, usePathname } from 'expo-router';
import { lazy, useEffect, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { t } from '../../core/translate/translate.ts';
import { useWidth } from '../parts/use-width.ts';
import { Preview } from '../preview/preview.tsx';
import { AskForPreview } from '../preview/ask-for-preview.tsx';
import { PreviewSheet } from './preview-sheet.tsx';
import { PreviewStrip } from '../preview/preview-strip.tsx';
import { marksCleared } from '../state/draft.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { SLIP_WIDTH, SPACE, type Inks } from '../theme/tokens.ts';
import { BottomBar } from './bottom-bar.tsx';
import { Later } from '../parts/later.tsx';
import { Message } from './message.tsx';
import { PageBoundary } from './page-boundary.tsx';
import { Rail } from './rail.tsx';
import { StorageBar } from './storage-bar.tsx';
import { useKeys } from './use-keys.ts';
import { useSteadyPress } from './use-steady-press.ts';

const FindDialog = lazy(() => import('../find/find-dialog.tsx'));
const KeysDialog = lazy(() => import('./keys-dialog.tsx'));

const styles = (inks: Inks) => ({
  all: { flex: 1, flexDirection: 'row', backgroundColor: inks.ground } as const,
  middle: { flex: 1, minWidth: 0 },
  page: { flex: 1 },
  preview: {
    width: SLIP_WIDTH,
    backgroundColor: inks.raised,
    borderLeftWidth: 1,
    borderLeftColor: inks.hairline,
  },
  previewInside: { padding: SPACE.wide, paddingTop: SPACE.large },
});

/** A tap outside the preview and outside fields takes the marks of the last change away. */
const useMarks = (): void => {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const clear = ({ target }: PointerEvent): void => {
      const keeps =
        target instanceof Element &&
        target.closest('[data-testid="preview"], [data-testid="preview-strip"], input, textarea');
      if (!keeps) dispatch(marksCleared());
    };
    document.addEventListener('pointerdown', clear, true);
    return () => document.removeEventListener('pointerdown', clear, true);
  }, [dispatch]);
};

/** Pages that are about no one order: a shop that is only being thought of, the guide, and what a year of orders cost. */
const WITHOUT_PREVIEW = ['/begin', '/guide', '/charges?part=costs'];

/**
 * The program's frame in its three widths: rail, page and preview; rail, page and strip; page and strip.
 * The shopfront stands alone beside the rail: its checkout is the preview of its own customer.
 */
export const Shell = ({ children }: { children: ReactNode }) => {
  const style = useStyles(styles);
  const width = useWidth();
  const previewOpen = useAppSelector((state) => state.session.previewOpen);
  const path = usePathname();
  const { part } = useGlobalSearchParams<{ part?: string }>();
  const isShop = path.startsWith('/shop');
  const hasPreview =
    !isShop && !WITHOUT_PREVIEW.some((page) => page === path || page === `${path}?part=${part}`);
  useKeys();
  useMarks();
  useSteadyPress();
  const keysShown = useAppSelector((state) => state.session.keysShown);
  const finding = useAppSelector((state) => state.session.finding);
  return (
    <View style={style.all}>
      {width === 'phone' ? null : <Rail />}
      <View style={style.middle}>
        <StorageBar />
        <View style={style.page} role="main">
          {children}
        </View>
        <Message />
        {width === 'wide' || !hasPreview ? null : <PreviewStrip />}
        {width === 'phone' && !isShop ? <BottomBar /> : null}
        {width !== 'wide' && previewOpen && hasPreview ? <PreviewSheet /> : null}
      </View>
      {width === 'wide' && hasPreview ? (
        <View style={style.preview} role="complementary" aria-label={t('What this order gets')}>
          <ScrollView contentContainerStyle={style.previewInside}>
            <PageBoundary key={path}>
              <Preview />
            </PageBoundary>
          </ScrollView>
        </View>
      ) : null}
      {finding ? (
        <Later>
          <FindDialog />
        </Later>
      ) : null}
      {keysShown ? (
        <Later>
          <KeysDialog />
        </Later>
      ) : null}
      {isShop ? null : <AskForPreview />}
    </View>
  );
};
