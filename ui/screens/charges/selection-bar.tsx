import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { edit, visitBegan } from '../../state/draft.ts';
import { useAppDispatch } from '../../state/store.ts';
import { raisedPanel } from '../../theme/text.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { RaiseRates } from './raise-rates.tsx';

interface Props {
  ids: readonly string[];
  onDone: () => void;
}

const styles = (inks: Inks) => ({
  bar: {
    ...raisedPanel(inks),
    padding: 16,
    gap: 8,
    marginTop: 12,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
});

/** What can be done with the rates that are selected. */
export const SelectionBar = ({ ids, onDone }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const [raising, setRaising] = useState(false);
  const switchAll = (active: boolean) => () => {
    dispatch(visitBegan());
    dispatch(
      edit(
        'switchRates',
        { ids: [...ids], active },
        active
          ? t('{count, plural, one {# rate} other {# rates}} switched on', { count: ids.length })
          : t('{count, plural, one {# rate} other {# rates}} switched off', { count: ids.length }),
      ),
    );
  };
  return (
    <View style={style.bar} role="region" aria-label={t('Selected rates')}>
      <View style={style.row}>
        <Text variant="titleSmall">
          {t('{count, plural, one {# rate} other {# rates}} selected', { count: ids.length })}
        </Text>
        <TextAction
          label={t('Raise or lower')}
          disabled={ids.length === 0}
          onPress={() => setRaising(!raising)}
        />
        <TextAction label={t('Switch off')} disabled={ids.length === 0} onPress={switchAll(false)} />
        <TextAction label={t('Switch on')} disabled={ids.length === 0} onPress={switchAll(true)} />
        <TextAction label={t('Done selecting')} onPress={onDone} />
      </View>
      <Text variant="bodySmall">{t('Press cells, or a zone or a service for all its rates.')}</Text>
      {raising ? <RaiseRates ids={ids} onDone={() => setRaising(false)} /> : null}
    </View>
  );
};
