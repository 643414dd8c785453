import { useEffect, useRef } from 'react';
import { PanResponder, ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { IconAction } from '../parts/icon-action.tsx';
import { closeOver, useOverStep } from '../parts/over-step.ts';
import { Preview } from '../preview/preview.tsx';
import { previewOpened } from '../state/session.ts';
import { useAppDispatch } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { PageBoundary } from './page-boundary.tsx';

const styles = (inks: Inks) => ({
  sheet: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    left: 0,
    right: 0,
    backgroundColor: inks.raised,
  } as const,
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingLeft: 20,
    paddingRight: 8,
    borderBottomWidth: 2,
    borderBottomColor: inks.ink,
  } as const,
  inside: {
    padding: 20,
    paddingTop: 8,
    paddingBottom: 48,
    maxWidth: 640,
    width: '100%',
    alignSelf: 'center',
  } as const,
  note: note(inks),
});

const SWIPE = 60;

/** Keeps the focus in the sheet: what lies under it cannot be reached, and has the focus back when it closes. */
const holdFocus = (sheet: HTMLElement): (() => void) => {
  const before = document.activeElement;
  const under = [...(sheet.parentElement?.children ?? [])].filter(
    (one): one is HTMLElement => one !== sheet && one instanceof HTMLElement,
  );
  for (const one of under) one.inert = true;
  sheet.querySelector('button')?.focus();
  return () => {
    for (const one of under) one.inert = false;
    if (before instanceof HTMLElement) before.focus();
  };
};

/** The preview at full height over the page; Esc, the button, a swipe down or going back closes it. */
export const PreviewSheet = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const sheet = useRef<View>(null);
  const leave = (): void => void dispatch(previewOpened(false));
  const close = (): void => closeOver(leave);
  useOverStep(leave);
  useEffect(() => {
    const element = sheet.current as unknown as HTMLElement | null;
    return element instanceof HTMLElement ? holdFocus(element) : undefined;
  }, []);
  const swipe = PanResponder.create({
    onMoveShouldSetPanResponder: (_, { dy, dx }) => dy > 12 && dy > Math.abs(dx),
    onPanResponderRelease: (_, { dy }) => {
      if (dy > SWIPE) close();
    },
  });
  return (
    <View ref={sheet} style={style.sheet} role="dialog" aria-modal aria-label={t('What this order gets')}>
      <View style={style.head} {...swipe.panHandlers}>
        <Text style={style.note}>{t('What this order gets')}</Text>
        <IconAction icon="close" size={22} accessibilityLabel={t('Close the preview')} onPress={close} />
      </View>
      <ScrollView contentContainerStyle={style.inside}>
        <PageBoundary>
          <Preview />
        </PageBoundary>
      </ScrollView>
    </View>
  );
};
