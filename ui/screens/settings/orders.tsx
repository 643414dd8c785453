import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { localMoment } from '../../../core/time/local-moment.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { STATUS_WORDS } from '../../../core/words/order-status-words.ts';
import { CancelOrder } from '../../parts/cancel-order.tsx';
import { momentText } from '../../parts/dates.ts';
import { OrderDetails } from '../../parts/order-details.tsx';
import { useKeepAsTestOrder } from '../../parts/keep-as-test-order.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { selectDisplayFormat, selectOrdersInTime } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useOrderActions } from '../today/use-order-actions.ts';
import type { PartProps } from './part-props.ts';
import { OrdersFiles } from './orders-files.tsx';
import { useStyles } from '../../theme/styles.ts';
import { figure, note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';

const PAGE = 60;

const styles = (inks: Inks) => ({
  item: { paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12 } as const,
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, marginLeft: -4 } as const,
  words: { flex: 1 },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  figure,
  none: { ...note(inks), paddingVertical: 16 },
});

/** An order with where it stands; opened, what happened to it and what can still be done. */
const Row = ({ order }: { order: PastOrder }) => {
  const style = useStyles(styles);
  const keep = useKeepAsTestOrder();
  const actions = useOrderActions(order);
  const [open, setOpen] = useState(false);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { timeZone } = useBookParts('store').store;
  const { number, request, chosen, recipient, status } = order;
  const { date, time } = localMoment(request.placedAt, timeZone);
  const { city, country } = request.destination ?? {};
  const place = [city, country && countryName(country)].filter(Boolean).join(', ');
  return (
    <View style={style.item} role="listitem" aria-label={t('Order {number}', { number })}>
      <View style={style.row}>
        <View style={style.words}>
          <Text style={style.name}>
            {number} {recipient ?? ''}
          </Text>
          <Text style={style.note}>
            {[momentText(date, time), place, chosen.name, STATUS_WORDS[status]].filter(Boolean).join(' · ')}
          </Text>
        </View>
        <Text style={style.figure}>{moneyFigure(chosen.charge, decimals)}</Text>
        <TextAction
          label={open ? t('Hide') : t('More')}
          accessibilityLabel={
            open ? t('Hide order {number}', { number }) : t('More about order {number}', { number })
          }
          onPress={() => setOpen(!open)}
        />
      </View>
      {open ? (
        <View style={{ gap: 8 }}>
          <OrderDetails order={order} />
          <View style={style.actions}>
            {actions.back ? <TextAction label={t('Undo the last step')} onPress={actions.back} /> : null}
            {actions.next.includes('cancelled') ? (
              <CancelOrder number={number} onCancel={() => actions.go('cancelled')} />
            ) : null}
            <TextAction label={t('Keep as a test order')} onPress={() => keep(order)} />
          </View>
        </View>
      ) : null}
    </View>
  );
};

/** The orders that were placed, newest first, with what was charged for getting them there. */
export const Orders = ({ onFile }: PartProps) => {
  const style = useStyles(styles);
  const orders = useAppSelector(selectOrdersInTime);
  const [shown, setShown] = useState(PAGE);
  return (
    <View>
      <OrdersFiles orders={orders} onFile={onFile} />
      {orders.length === 0 ? (
        <Text style={style.none}>
          {t('Orders placed in the shopfront are listed here with what was charged.')}
        </Text>
      ) : null}
      <View role="list" aria-label={t('Orders')}>
        {orders
          .slice(-shown)
          .reverse()
          .map((order) => (
            <Row key={order.number} order={order} />
          ))}
      </View>
      {orders.length > shown ? (
        <TextAction
          label={t('Show {more} more of {count}', { more: PAGE, count: orders.length })}
          style={{ alignSelf: 'flex-start', marginLeft: -4 }}
          onPress={() => setShown(shown + PAGE)}
        />
      ) : null}
    </View>
  );
};
