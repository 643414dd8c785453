import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { moneyFigure } from '../../core/words/figure.ts';
import { selectDisplayFormat } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { aside } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { TextAction } from './text-action.tsx';

interface Props {
  /** What is switched off, as a sentence begins with it: 'This rate'. */
  what: string;
  /** Whether it charges nothing. */
  isFree: boolean;
  onSwitch: () => void;
}

const styles = (inks: Inks) => ({
  words: { ...aside, color: inks.doubt },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
});

/** A rule that is off, to be switched on; one that charges nothing asks first. */
export const SwitchedOff = ({ what, isFree, onSwitch }: Props) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const [asking, setAsking] = useState(false);
  const zero = moneyFigure(0, decimals);
  if (asking && isFree)
    return (
      <View style={style.row} role="alert">
        <Text style={style.words}>
          {t('{what} charges {amount}: customers would get it free.', { what, amount: zero })}
        </Text>
        <TextAction label={t('Switch on at {amount}', { amount: zero })} onPress={onSwitch} />
        <TextAction label={t('Cancel')} onPress={() => setAsking(false)} />
      </View>
    );
  return (
    <View style={style.row}>
      <Text style={style.words}>
        {isFree
          ? t('Switched off: give it a price, then switch it on.')
          : t('Switched off: customers do not see it.')}
      </Text>
      <TextAction label={t('Switch on')} onPress={isFree ? () => setAsking(true) : onSwitch} />
    </View>
  );
};
