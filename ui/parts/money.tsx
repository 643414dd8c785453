import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { moneyFigure } from '../../core/words/figure.ts';
import { useStyles } from '../theme/styles.ts';
import { figure, strongFigure } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

interface Props {
  amount: number;
  decimals: number;
  /** The amount from before a change, struck beside the new one. */
  before?: number | undefined;
}

const styles = (inks: Inks) => ({
  line: { flexDirection: 'row', gap: 6, justifyContent: 'flex-end' } as const,
  now: { ...figure, color: inks.ink },
  changed: { ...strongFigure, color: inks.ink },
  struck: { ...figure, color: inks.quiet, textDecorationLine: 'line-through' } as const,
});

/** A charge; where it changed, the old figure struck and the new one strong. */
export const Money = ({ amount, decimals, before }: Props) => {
  const style = useStyles(styles);
  const changed = before !== undefined && before !== amount;
  return (
    <View style={style.line}>
      {changed ? (
        <Text style={style.struck} aria-label={t('was {amount}', { amount: moneyFigure(before, decimals) })}>
          {moneyFigure(before, decimals)}
        </Text>
      ) : null}
      <Text style={changed ? style.changed : style.now}>{moneyFigure(amount, decimals)}</Text>
    </View>
  );
};
