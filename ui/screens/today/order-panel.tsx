import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { promiseWords, STATUS_ACTIONS } from '../../../core/words/order-status-words.ts';
import { openLabel } from '../../carriers/shipments.ts';
import { customerMessage } from '../../customer-words/customer-message.ts';
import { CancelOrder } from '../../parts/cancel-order.tsx';
import { OrderDetails } from '../../parts/order-details.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { selectServedBook, selectServedCatalogue } from '../../state/served.ts';
import { messageShown } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import type { OrderActions } from './use-order-actions.ts';
import { Actions } from '../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  panel: { gap: 8, paddingLeft: 60, paddingBottom: 16 },
  note: note(inks),
});

/** All about an order that has to be handed over, and what can be done with it. */
export const OrderPanel = ({ order, actions }: { order: PastOrder; actions: OrderActions }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectServedBook);
  const catalogue = useAppSelector(selectServedCatalogue);
  const promise = promiseWords(order);
  const copy = async (): Promise<void> => {
    const isCopied = await customerMessage(order, book, catalogue)
      .then((text) => navigator.clipboard.writeText(text))
      .then(
        () => true,
        () => false,
      );
    const recipient = order.recipient ?? t('the customer');
    const text = isCopied
      ? t('The message to {recipient} is copied: put it where you write to customers.', { recipient })
      : t('The message to {recipient} could not be copied.', { recipient });
    dispatch(messageShown({ text, undo: false }));
  };
  const { shipment } = order;
  return (
    <View style={style.panel} role="group" aria-label={t('Order {number}, more', { number: order.number })}>
      <OrderDetails order={order} />
      {promise === '' ? null : <Text style={style.note}>{t('Promised: {promise}.', { promise })}</Text>}
      {order.shipment ? (
        <Text style={style.note}>
          {t('Tracking number {tracking}.', { tracking: order.shipment.tracking })}
        </Text>
      ) : null}
      <Actions>
        {actions.next
          .slice(1)
          .map((status) =>
            status === 'cancelled' ? (
              <CancelOrder key={status} number={order.number} onCancel={() => actions.go(status)} />
            ) : (
              <TextAction key={status} label={STATUS_ACTIONS[status]} onPress={() => actions.go(status)} />
            ),
          )}
        {actions.back ? <TextAction label={t('Undo the last step')} onPress={actions.back} /> : null}
        {shipment ? (
          <>
            <TextAction label={t('Open the label')} onPress={() => void openLabel(shipment)} />
            <TextAction label={t('Cancel the shipment')} onPress={actions.cancelBooking} />
          </>
        ) : null}
        <TextAction label={t('Copy the message to the customer')} onPress={() => void copy()} />
      </Actions>
    </View>
  );
};
