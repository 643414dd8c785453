import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

const styles = (inks: Inks) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, paddingTop: 12 } as const,
  note: note(inks),
});

/** As long as nothing was changed: that this is a made-up shop, and the way to one's own. */
export const DemoNote = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const isUntouched = useAppSelector(
    ({ draft, storage }) => draft.revision === 0 && storage.changedAt === null,
  );
  if (!isUntouched) return null;
  return (
    <View style={style.row} role="note">
      <Text style={style.note}>{t('A made-up shop to try things on.')}</Text>
      <TextAction label={t('Start a shop of your own')} onPress={() => router.navigate('/begin')} />
    </View>
  );
};
