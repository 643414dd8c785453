import { labelled } from '../../../core/words/labelled.ts';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { TestOrderChange } from '../../../core/publish/test-order-changes.ts';
import type { TriedRepair } from '../../../core/repair/tried-repairs.ts';
import { repairLabel } from '../../../core/repair/repair-words.ts';
import { Press } from '../../parts/press.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { changeWords } from './change-words.ts';

const styles = (inks: Inks) => ({
  list: { gap: 4, paddingVertical: 4 },
  head: { fontFamily: SANS_STRONG },
  repair: { gap: 0 },
  action: {
    fontFamily: SANS_STRONG,
    fontSize: 13,
    lineHeight: 18,
    paddingTop: 11,
    paddingBottom: 11,
    textDecorationLine: 'underline',
  } as const,
  note: { ...note(inks), marginTop: -6 },
});

const MOST_NAMED = 2;

const effectWords = (testOrders: readonly TestOrderChange[], decimals: number): string => {
  if (testOrders.length === 0) return t('No test order changes.');
  const named = testOrders
    .slice(0, MOST_NAMED)
    .map((testOrder) => labelled(testOrder.name, changeWords(testOrder, decimals)))
    .join('. ');
  const more = testOrders.length - MOST_NAMED;
  return more > 0
    ? t('{names}. And {more, plural, one {# more test order} other {# more test orders}}.', {
        names: named,
        more,
      })
    : `${named}.`;
};

const alsoWords = (count: number): string =>
  count > 0
    ? t(
        ' {count, plural, one {# other problem} other {# other problems}} {count, plural, one {goes} other {go}} with it.',
        { count },
      )
    : '';

/** The repairs of a problem that were found to work, each with what it would change for the test orders. */
export const RepairList = ({ repairs }: { repairs: readonly TriedRepair[] }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { decimals } = useAppSelector(selectDisplayFormat);
  if (repairs.length === 0) return null;
  return (
    <View style={style.list} role="list" aria-label={t('Ways to fix it')}>
      <Text style={style.head}>{t('Ways to fix it')}</Text>
      {repairs.map(({ repair, testOrders, alsoGone }) => {
        const label = repairLabel(repair);
        const mend = (): void => {
          dispatch(edit('repair', { changes: repair.changes }, label));
          dispatch(undoMessage(t('Done: {label}.', { label })));
        };
        return (
          <View key={label} style={style.repair} role="listitem">
            <Press role="button" onPress={mend}>
              <Text style={style.action}>{label}</Text>
            </Press>
            <Text style={style.note}>
              {effectWords(testOrders, decimals)}
              {alsoWords(alsoGone)}
            </Text>
          </View>
        );
      })}
    </View>
  );
};
