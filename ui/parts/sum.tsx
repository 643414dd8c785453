import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { wholeFigure } from '../../core/words/figure.ts';
import { useStyles } from '../theme/styles.ts';
import { figure, note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  sum: { ...figure, color: inks.ink },
  note: note(inks),
});

/** A figure over what it counts. */
export const Sum = ({ count, what }: { count: number; what: string }) => {
  const style = useStyles(styles);
  return (
    <View>
      <Text style={style.sum}>{wholeFigure(count)}</Text>
      <Text style={style.note}>{what}</Text>
    </View>
  );
};
