import { t } from '../../../core/translate/translate.ts';
import type { OrderStatus, PastOrder } from '../../../core/model/order.ts';
import type { CarrierAccount } from '../../../core/model/carrier.ts';
import { movedTo, nextStatuses, steppedBack } from '../../../core/order/hand-over.ts';
import { shipmentQuestion } from '../../../core/quote/questions.ts';
import { faultSentence } from '../../../core/words/fault-sentence.ts';
import { STATUS_WORDS } from '../../../core/words/order-status-words.ts';
import { bookShipment, cancelShipment } from '../../carriers/shipments.ts';
import { orderPlaced } from '../../state/orders.ts';
import { selectServedBook, selectServedCompiled } from '../../state/served.ts';
import { messageShown } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { momentNow } from '../../time/now.ts';

export interface OrderActions {
  /** The states it can go to next, the one to be expected first. */
  next: OrderStatus[];
  go: (status: OrderStatus) => void;
  back: (() => void) | null;
  /** The account it is booked with; null where it is not booked from here. */
  account: CarrierAccount | null;
  cancelBooking: () => void;
}

/** The account and the service that an order is booked by, where its account books. */
const bookedBy = (
  { rates, carriers }: ReturnType<typeof selectServedBook>,
  { chosen }: PastOrder,
): { account: CarrierAccount; service: string } | null => {
  const { rateId, serviceCode } = chosen.of ?? {};
  const price = rates.find(({ id }) => id === rateId)?.price;
  if (chosen.kind !== 'shipping' || price?.kind !== 'carrier') return null;
  const account = carriers.find(({ id }) => id === price.accountId);
  const service = serviceCode ?? price.services[0]?.code;
  return account?.books && service !== undefined ? { account, service } : null;
};

/** What can be done with an order to bring it to the customer. */
export const useOrderActions = (order: PastOrder): OrderActions => {
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectServedBook);
  const compiled = useAppSelector(selectServedCompiled);
  const by = bookedBy(book, order);
  const say = (text: string): void => void dispatch(messageShown({ text, undo: false }));
  const move = (from: PastOrder, status: OrderStatus): void => {
    const moved = movedTo(from, status, momentNow());
    if (moved.ok) {
      dispatch(orderPlaced(moved.value));
      say(t('Order {number} is {state}.', { number: order.number, state: STATUS_WORDS[status] }));
    } else for (const fault of moved.faults) say(faultSentence(fault));
  };
  const bookIt = async (): Promise<void> => {
    const question = by && shipmentQuestion(compiled, order.request, by.account.id);
    if (!by || !question) {
      say(t('Order {number} cannot be booked: its parcels cannot be stated.', { number: order.number }));
      return;
    }
    const bookedAt = momentNow();
    const booked = await bookShipment({ question, service: by.service, reference: order.number, bookedAt });
    if (booked.ok) move({ ...order, shipment: booked.shipment, cost: booked.shipment.amount }, 'booked');
    else say(t('Order {number} was not booked: {booked}.', { number: order.number, booked: booked.text }));
  };
  const stepBack = (from: PastOrder): void => {
    const back = steppedBack(from, momentNow());
    if (!back) return;
    dispatch(orderPlaced(back));
    say(t('Order {number} is {state} again.', { number: order.number, state: STATUS_WORDS[back.status] }));
  };
  const cancelBooking = async (): Promise<void> => {
    if (!order.shipment) return;
    const cancelled = await cancelShipment(order.shipment);
    if (!cancelled.ok) {
      say(t('The shipment was not cancelled: {cancelled}.', { cancelled: cancelled.text }));
      return;
    }
    const { shipment: _, ...rest } = order;
    stepBack(rest);
  };
  const next = nextStatuses(order).filter((status) => status !== 'booked' || by !== null);
  return {
    next,
    go: (status) => (status === 'booked' ? void bookIt() : move(order, status)),
    back:
      order.history.length > 1 && !order.shipment && steppedBack(order, '') ? () => stepBack(order) : null,
    account: by?.account ?? null,
    cancelBooking: () => void cancelBooking(),
  };
};
