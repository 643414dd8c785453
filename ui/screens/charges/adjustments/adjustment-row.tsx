import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { Adjustment } from '../../../../core/model/adjustment.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { Press } from '../../../parts/press.tsx';
import { selectPastOrders, selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import { SANS_STRONG, SERIF, type Inks } from '../../../theme/tokens.ts';
import { selectPreviewWitness, type AdjustmentLine } from './selectors.ts';

interface Props {
  adjustment: Adjustment;
  at: number;
  line: AdjustmentLine;
  isOpen: boolean;
  handle: ReactNode;
  onPress: () => void;
}

const styles = (inks: Inks) => ({
  row: { flexDirection: 'row', alignItems: 'flex-start' } as const,
  words: { flex: 1, paddingVertical: 10, gap: 2 },
  head: { flexDirection: 'row', gap: 8, alignItems: 'baseline' } as const,
  number: { ...smallFigure, color: inks.quiet, minWidth: 18 } as const,
  name: { fontFamily: SANS_STRONG, flexShrink: 1 },
  off: { textDecorationLine: 'line-through', color: inks.quiet } as const,
  sentence: { fontFamily: SERIF, fontSize: 15, lineHeight: 22 },
  note: note(inks),
  fault: { ...note(inks), color: inks.rubric },
});

/** Which test orders and past orders the adjustment touches. */
const Touched = ({ id }: { id: string }) => {
  const style = useStyles(styles);
  const check = useAppSelector((state) => state.check.check);
  const testOrders = useAppSelector((state) => state.draft.workbook.testOrders.length);
  const orders = useAppSelector((state) => selectPastOrders(state).length);
  const touches = check?.touches?.[id];
  // The line is there from the first, so that rows keep their height while they are counted and dragged.
  if (!touches) return <Text style={style.note}>{t('Counting the orders it affects …')}</Text>;
  const past =
    orders === 0
      ? ''
      : t(', {orders} of {orders2, plural, one {# past order} other {# past orders}}', {
          orders: touches.orders,
          orders2: orders,
        });
  return (
    <Text style={style.note}>
      {t('Affects {testOrders} of {testOrders2, plural, one {# test order} other {# test orders}}{past}', {
        testOrders: touches.testOrders,
        testOrders2: testOrders,
        past,
      })}
    </Text>
  );
};

/** What it did to the order that the preview shows. */
const OnPreview = ({ id }: { id: string }) => {
  const style = useStyles(styles);
  const witness = useAppSelector(selectPreviewWitness).get(id);
  const { decimals } = useAppSelector(selectDisplayFormat);
  if (!witness) return null;
  const signed = (by: number): string => `${by > 0 ? '+' : ''}${moneyFigure(by, decimals)}`;
  const parts = [
    ...witness.changed.map(({ name, by }) => `${name} ${signed(by)}`),
    ...witness.withheld.map((name) => t('{name} withheld', { name })),
  ];
  return <Text style={style.note}>{t('In the preview: {list}', { list: parts.join(', ') })}</Text>;
};

/** One adjustment in the order: its sentence, what it touches, and why it can never act where that is so. */
export const AdjustmentRow = ({ adjustment, at, line, isOpen, handle, onPress }: Props) => {
  const style = useStyles(styles);
  const { id, name, active } = adjustment;
  return (
    <View style={style.row}>
      {handle}
      <Press
        role="button"
        aria-expanded={isOpen}
        aria-label={`${name}. ${line.sentence}`}
        onPress={onPress}
        style={{ flex: 1 }}
      >
        <View style={style.words}>
          <View style={style.head}>
            <Text style={style.number}>{at + 1}</Text>
            <Text style={[style.name, active ? null : style.off]}>{name}</Text>
            {active ? null : <Text style={style.note}>{t('off')}</Text>}
          </View>
          <Text style={style.sentence}>{line.sentence}</Text>
          {line.idle && line.idle.why !== 'off' ? (
            <Text style={style.fault}>{line.idle.text}</Text>
          ) : active ? (
            <Touched id={id} />
          ) : null}
          <OnPreview id={id} />
        </View>
      </Press>
    </View>
  );
};
