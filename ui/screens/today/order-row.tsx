import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { STATUS_ACTIONS, STATUS_WORDS } from '../../../core/words/order-status-words.ts';
import { Press } from '../../parts/press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { selectServedCompiled } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { keptTogether } from '../../theme/kept-together.ts';
import { useStyles } from '../../theme/styles.ts';
import { note, smallFigure } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';
import { OrderPanel } from './order-panel.tsx';
import type { OpenOrder } from './today-selectors.ts';
import { useOrderActions } from './use-order-actions.ts';

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12 } as const,
  press: { flex: 1, minWidth: 0 },
  facts: { flexDirection: 'row', gap: 12, paddingVertical: 10, minHeight: TOUCH } as const,
  time: { ...smallFigure, width: 48, lineHeight: 22 } as const,
  words: { flex: 1, minWidth: 0 },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  late: { ...note(inks), color: inks.rubric },
});

/** One order to hand over: when, who, how, where it stands, and the next thing to do with it. */
export const OrderRow = ({ open: { order, due, late } }: { open: OpenOrder }) => {
  const style = useStyles(styles);
  const { clock } = useAppSelector(selectServedCompiled);
  const [isOpen, setOpen] = useState(false);
  const actions = useOrderActions(order);
  const { number, recipient = '', chosen, request, status } = order;
  const units = request.lines.reduce((sum, { quantity }) => sum + quantity, 0);
  const { slot } = chosen;
  const clockTime = (moment: string): string => clock.text(Date.parse(moment)).slice(11, 16);
  const until =
    slot && chosen.kind === 'delivery' ? t('until {clockTime}', { clockTime: clockTime(slot.end) }) : '';
  const facts = [
    chosen.name,
    until,
    request.destination?.city,
    t('{units, plural, one {# item} other {# items}}', { units }),
  ]
    .concat(chosen.fallback ? t('fallback charged') : [])
    .filter(Boolean)
    .join(' · ');
  const [next] = actions.next;
  return (
    <View style={style.item} role="listitem" aria-label={t('Order {number}', { number })}>
      <View style={style.row}>
        <Press style={style.press} role="button" aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>
          <View style={style.facts}>
            <Text style={style.time}>{due && slot ? clockTime(slot.start) : '–'}</Text>
            <View style={style.words}>
              <Text style={style.name} numberOfLines={1}>
                {number} {recipient}
              </Text>
              <Text style={style.note}>{keptTogether(facts)}</Text>
              <Text style={late ? style.late : style.note}>
                {late ? t('late: ') : ''}
                {STATUS_WORDS[status]}
              </Text>
            </View>
          </View>
        </Press>
        {next && next !== 'cancelled' ? (
          <TextAction
            label={STATUS_ACTIONS[next]}
            accessibilityLabel={t('{action}: order {number}', { action: STATUS_ACTIONS[next], number })}
            onPress={() => actions.go(next)}
          />
        ) : null}
      </View>
      {isOpen ? <OrderPanel order={order} actions={actions} /> : null}
    </View>
  );
};
