import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { usePageTitle } from './page-title.ts';
import { useWidth } from '../parts/use-width.ts';
import { redone, undone } from '../state/draft.ts';
import { findToggled } from '../state/session.ts';
import { selectRedo, selectUndo } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { aboutOf } from './program-pages.ts';
import { PhoneMenu } from './phone-menu.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { IconAction } from '../parts/icon-action.tsx';

interface Props {
  title: string;
  /** The way back from a page that was opened from another. */
  back?: { name: string; onPress: () => void };
}

const styles = (inks: Inks) => ({
  head: { borderBottomWidth: 2, borderBottomColor: inks.ink, paddingBottom: 8 },
  row: { flexDirection: 'row', alignItems: 'flex-end', justifyContent: 'space-between', gap: 12 } as const,
  title: { flexShrink: 1 },
  tools: { flexDirection: 'row', alignItems: 'center', marginRight: -8 } as const,
  about: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 8 } as const,
  note: note(inks),
  button: { margin: 0 },
  back: { flexDirection: 'row', alignItems: 'center', marginLeft: -12, height: 32 } as const,
});

const keptWords = {
  kept: t('Draft saved'),
  keeping: t('Saving draft'),
  failed: t('Draft not saved'),
  off: t('Draft not saved'),
} as const;

/** How the draft stands on this device. */
const Kept = () => {
  const style = useStyles(styles);
  const state = useAppSelector((all) => all.storage.state);
  return <Text style={style.note}>{keptWords[state]}</Text>;
};

const UndoRedo = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const undo = useAppSelector(selectUndo);
  const redo = useAppSelector(selectRedo);
  return (
    <>
      <IconAction
        icon="undo"
        size={20}
        style={style.button}
        disabled={undo === null}
        accessibilityLabel={undo === null ? t('Undo') : t('Undo: {undo}', { undo })}
        onPress={() => dispatch(undone())}
      />
      <IconAction
        icon="redo"
        size={20}
        style={style.button}
        disabled={redo === null}
        accessibilityLabel={redo === null ? t('Redo') : t('Redo: {redo}', { redo })}
        onPress={() => dispatch(redone())}
      />
    </>
  );
};

/** The head of a page: its title over a heavy rule, how the draft stands, undo and redo. */
export const PageHead = ({ title, back }: Props) => {
  const style = useStyles(styles);
  const width = useWidth();
  const about = back ? undefined : aboutOf(title);
  usePageTitle(title, 'Emporos');
  const router = useRouter();
  const dispatch = useAppDispatch();
  return (
    <View style={style.head}>
      {back ? (
        <View style={style.back}>
          <IconAction
            icon="arrow-left"
            size={20}
            style={style.button}
            accessibilityLabel={t('Back to {back}', { back: back.name })}
            onPress={back.onPress}
          />
          <Text style={style.note}>{back.name}</Text>
        </View>
      ) : null}
      <View style={style.row}>
        <Text
          variant={back ? 'titleLarge' : 'displaySmall'}
          style={style.title}
          role="heading"
          aria-level={1}
        >
          {title}
        </Text>
        <View style={style.tools}>
          {width === 'phone' ? null : <Kept />}
          {width === 'phone' ? (
            <IconAction
              icon="magnify"
              size={20}
              style={style.button}
              accessibilityLabel={t('Find anything')}
              onPress={() => dispatch(findToggled(true))}
            />
          ) : null}
          <UndoRedo />
          {width === 'phone' ? <PhoneMenu /> : null}
        </View>
      </View>
      {about === undefined ? null : (
        <View style={style.about}>
          <Text style={style.note}>{about.text}</Text>
          <TextAction
            label={t('How it works')}
            style={{ marginLeft: -4 }}
            onPress={() => router.navigate({ pathname: '/guide', params: { page: about.guide } })}
          />
        </View>
      )}
    </View>
  );
};
