import { ScrollView, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { undone } from '../state/draft.ts';
import { selectUndo } from '../state/selectors.ts';
import { messageShown } from '../state/session.ts';
import { useAppDispatch, useAppSelector, useAppStore } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

interface Props {
  error: Error;
  /** Draws the part again. */
  retry: () => unknown;
}

const MOST_SAID = 300;
/** How browsers and the bundle say that a file did not arrive. */
const NOT_LOADED = /^Loading (?:module|chunk)|dynamically imported module|Importing a module script failed/i;

const reasonOf = ({ message }: Error): string =>
  NOT_LOADED.test(message)
    ? t('a file of the program did not arrive. The network or the server may be away for a moment.')
    : message.slice(0, MOST_SAID);

const styles = (inks: Inks) => ({
  inside: { maxWidth: 560, gap: 12, padding: 24 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const,
  note: note(inks),
});

/** Where a part of the program cannot be shown: why, and the ways on. The shop itself is as it was. */
export const PageFault = ({ error, retry }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const last = useAppSelector(selectUndo);
  const undo = (): void => {
    dispatch(undone());
    retry();
  };
  const save = async (): Promise<void> => {
    try {
      const { saveShop } = await import('../screens/settings/data-settings.tsx');
      saveShop(store);
    } catch {
      dispatch(
        messageShown({
          text: t('The file could not be made. Reload the program and try again.'),
          undo: false,
        }),
      );
    }
  };
  return (
    <ScrollView>
      <View style={style.inside} role="alert">
        <Text variant="titleLarge" role="heading" aria-level={1}>
          {t('This part cannot be shown')}
        </Text>
        <Text>{t('Your shop is as it was, and every edit is kept. The other pages go on working.')}</Text>
        <Text style={style.note}>{t('What went wrong: {reason}', { reason: reasonOf(error) })}</Text>
        <View style={style.row}>
          <Button mode="contained" onPress={() => window.location.reload()}>
            {t('Reload the program')}
          </Button>
          {last === null ? null : (
            <Button mode="outlined" onPress={undo}>
              {t('Undo: {last}', { last })}
            </Button>
          )}
          <Button mode="outlined" onPress={() => void save()}>
            {t('Save the whole shop as a file')}
          </Button>
        </View>
      </View>
    </ScrollView>
  );
};
