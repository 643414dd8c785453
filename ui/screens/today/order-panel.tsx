import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { CarrierShipment } from '../../../carriers/shipment.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { nearbyOf } from '../../../core/order/nearby-of.ts';
import { localMoment } from '../../../core/time/local-moment.ts';
import {
  orderMessage,
  promiseWords,
  STATUS_ACTIONS,
  STATUS_WORDS,
} from '../../../core/words/order-message.ts';
import { openLabel } from '../../carriers/shipments.ts';
import { momentText } from '../../parts/dates.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { selectServedBook, selectServedGoods } from '../../state/served.ts';
import { told } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note, smallFigure } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import type { OrderActions } from './use-order-actions.ts';

const styles = (inks: Inks) => ({
  panel: { gap: 8, paddingLeft: 60, paddingBottom: 16 },
  line: { flexDirection: 'row', gap: 12 } as const,
  count: { ...smallFigure, width: 36, textAlign: 'right' } as const,
  note: note(inks),
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4 } as const,
});

const PackList = ({ order }: { order: PastOrder }) => {
  const style = useStyles(styles);
  const goods = useAppSelector(selectServedGoods);
  return (
    <View role="list" aria-label="What is packed">
      {order.request.lines.map(({ sku, name, quantity }) => (
        <View key={sku} role="listitem" style={style.line}>
          <Text style={style.count}>{quantity} ×</Text>
          <Text>{name ?? goods.get(sku)?.name ?? sku}</Text>
        </View>
      ))}
    </View>
  );
};

const History = ({ order }: { order: PastOrder }) => {
  const style = useStyles(styles);
  const { timeZone } = useAppSelector(selectServedBook).store;
  const words = order.history.map(({ status, at }) => {
    const { date, time } = localMoment(at, timeZone);
    return `${STATUS_WORDS[status]} ${momentText(date, time)}`;
  });
  return <Text style={style.note}>{words.join(' · ')}</Text>;
};

/** All about an order that has to be handed over, and what can be done with it. */
export const OrderPanel = ({ order, actions }: { order: PastOrder; actions: OrderActions }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectServedBook);
  const { location } = nearbyOf(book, order);
  const { destination } = order.request;
  const address = [...(destination?.lines ?? []), destination?.postalCode, destination?.city]
    .filter(Boolean)
    .join(', ');
  const promise = promiseWords(order);
  const copy = async (): Promise<void> => {
    const text = orderMessage(order, book.store.name, location);
    const isCopied = await navigator.clipboard.writeText(text).then(
      () => true,
      () => false,
    );
    const said = isCopied ? 'is copied: put it where you write to customers.' : 'could not be copied.';
    dispatch(told({ text: `The message to ${order.recipient ?? 'the customer'} ${said}`, undo: false }));
  };
  return (
    <View style={style.panel} role="group" aria-label={`Order ${order.number}, more`}>
      <PackList order={order} />
      <Text style={style.note}>{address}</Text>
      {promise === '' ? null : <Text style={style.note}>Promised: {promise}.</Text>}
      {order.shipment ? <Text style={style.note}>Tracking number {order.shipment.tracking}.</Text> : null}
      <History order={order} />
      <View style={style.actions}>
        {actions.next.slice(1).map((status) => (
          <TextAction key={status} label={STATUS_ACTIONS[status]} onPress={() => actions.go(status)} />
        ))}
        {actions.back ? <TextAction label="Undo the last step" onPress={actions.back} /> : null}
        {order.shipment ? (
          <>
            <TextAction
              label="Open the label"
              onPress={() => void openLabel(order.shipment as CarrierShipment)}
            />
            <TextAction label="Cancel the shipment" onPress={actions.cancelBooking} />
          </>
        ) : null}
        <TextAction label="Copy the message to the customer" onPress={() => void copy()} />
      </View>
    </View>
  );
};
