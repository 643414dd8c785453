import type { Location } from '../model/location.ts';
import type { OrderStatus, PastOrder } from '../model/order.ts';
import { dayFigure, momentFigure } from './moment-figure.ts';
import { slotFigure } from './slot-phrase.ts';

/** What each state is called. */
export const STATUS_WORDS: Record<OrderStatus, string> = {
  placed: 'placed',
  packed: 'packed',
  booked: 'booked',
  'on-its-way': 'on its way',
  ready: 'ready to collect',
  'handed-over': 'handed over',
  cancelled: 'cancelled',
};

/** What is done to bring an order to a state. */
export const STATUS_ACTIONS: Record<OrderStatus, string> = {
  placed: 'Back to placed',
  packed: 'Pack',
  booked: 'Book',
  'on-its-way': 'Set off',
  ready: 'Set ready',
  'handed-over': 'Hand over',
  cancelled: 'Cancel the order',
};

/** What was promised to the customer, in a few words; '' where nothing was. */
export const promiseWords = ({ chosen, promise }: PastOrder): string => {
  if (chosen.slot) return slotFigure(chosen.slot);
  if (promise?.words) return promise.words;
  if (promise?.latest) return `by ${dayFigure(promise.latest)}`;
  return promise?.ready ? `ready ${momentFigure(promise.ready)}` : '';
};

const placeWords = ({ name, address: { lines = [], city } }: Location): string =>
  [name, ...lines, city].filter(Boolean).join(', ');

const NEWS: Record<OrderStatus, (order: PastOrder, where: string) => string> = {
  placed: () => 'Thank you. We have your order and make it ready.',
  packed: (order) => {
    const when = promiseWords(order);
    return `Your order is packed.${when === '' ? '' : ` You have it ${order.chosen.slot ? 'on ' : ''}${when}.`}`;
  },
  booked: ({ shipment, chosen }) =>
    `Your order leaves us by ${chosen.name}.${shipment ? ` Its tracking number is ${shipment.tracking}.` : ''}`,
  'on-its-way': ({ chosen }) =>
    `We are on our way with your order${chosen.slot ? `; it comes ${slotFigure(chosen.slot)}` : ''}.`,
  ready: ({ chosen }, where) =>
    `Your order can be collected at ${where}${chosen.slot ? `, ${slotFigure(chosen.slot)}` : ''}.`,
  'handed-over': ({ chosen }) =>
    chosen.kind === 'shipping'
      ? `Your order was handed to the carrier, ${chosen.name}.`
      : 'Your order was handed over. Thank you.',
  cancelled: () => 'Your order was cancelled. Write to us if that is not what you wanted.',
};

/** A message to the customer about where the order stands, ready to be copied. */
export const orderMessage = (order: PastOrder, shop: string, location: Location | undefined): string =>
  [
    `${order.recipient === undefined ? 'Good day' : `Dear ${order.recipient}`},`,
    '',
    NEWS[order.status](order, location ? placeWords(location) : shop),
    `Order ${order.number}.`,
    '',
    shop,
  ].join('\n');
