import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { useStyles } from '../theme/styles.ts';
import type { Inks } from '../theme/tokens.ts';

interface Props {
  reason: string;
  onAgain: () => void;
  onWithout: () => void;
}

const styles = (inks: Inks) => ({
  page: { flex: 1, backgroundColor: inks.ground, padding: 24, justifyContent: 'center' } as const,
  inside: { maxWidth: 480, gap: 12, alignSelf: 'center' } as const,
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const,
});

/** Where what is kept on this device cannot be opened: what is wrong, and what can be done. Nothing is written. */
const StartFault = ({ reason, onAgain, onWithout }: Props) => {
  const style = useStyles(styles);
  return (
    <View style={style.page} role="alert">
      <View style={style.inside}>
        <Text variant="titleLarge" role="heading" aria-level={1}>
          {t('What is kept on this device cannot be opened')}
        </Text>
        <Text>{t('The browser says: {reason}', { reason })}</Text>
        <Text>
          {t(
            'Close other tabs of this program, or leave private browsing, and try again. You can also go on without what is kept: it is not touched, and nothing new is kept either.',
          )}
        </Text>
        <View style={style.row}>
          <Button mode="contained" onPress={onAgain}>
            {t('Try again')}
          </Button>
          <Button mode="outlined" onPress={onWithout}>
            {t('Go on with the demo, keeping nothing')}
          </Button>
        </View>
      </View>
    </View>
  );
};

export default StartFault;
