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
  'on-its-way': 'Send out',
  ready: 'Mark ready',
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

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** The opening hours of a week in a line: 'Mon 09:00-17:30, Sat 08:00-13:00'. */
const hoursWords = ({ hours }: Location): string =>
  [...hours]
    .sort((a, b) => a.day - b.day || a.from.localeCompare(b.from))
    .map(({ day, from, to }) => `${DAYS[day - 1] ?? ''} ${from}-${to}`)
    .join(', ');

/** Where an order is handed over: its name and address, and when it is open. */
interface Counter {
  place: string;
  hours: string;
  instructions: string;
}

const counterOf = (
  shop: string,
  location: Location | undefined,
  instructions: string | undefined,
): Counter => ({
  place: location
    ? [location.name, ...(location.address.lines ?? []), location.address.city].filter(Boolean).join(', ')
    : shop,
  hours: location ? hoursWords(location) : '',
  instructions: instructions ?? '',
});

/** How an order is collected: where, when it is open, and what the merchant says of it. */
const collectWords = ({ place, hours, instructions }: Counter): string =>
  [`Collect it at ${place}.`, ...(hours === '' ? [] : [`Open ${hours}.`]), instructions]
    .filter(Boolean)
    .join(' ');

const isCollected = ({ chosen }: PastOrder): boolean => chosen.kind === 'pickup';

const NEWS: Record<OrderStatus, (order: PastOrder, counter: Counter) => string> = {
  placed: (order, counter) => {
    const thanks = 'Thank you. We have your order and make it ready.';
    if (!isCollected(order)) return thanks;
    const when = promiseWords(order);
    return `${thanks} ${when === '' ? '' : `Your time: ${when}. `}${collectWords(counter)}`;
  },
  packed: (order) => {
    const when = promiseWords(order);
    if (when === '') return 'Your order is packed.';
    return isCollected(order)
      ? `Your order is packed. You can collect it: ${when}.`
      : `Your order is packed. Expect it ${order.chosen.slot ? 'on ' : ''}${when}.`;
  },
  booked: ({ shipment, chosen }) =>
    `Your order leaves us by ${chosen.name}.${shipment ? ` Its tracking number is ${shipment.tracking}.` : ''}`,
  'on-its-way': ({ chosen }) =>
    `We are on our way with your order${chosen.slot ? `; it comes ${slotFigure(chosen.slot)}` : ''}.`,
  ready: ({ chosen }, counter) =>
    `Your order can be collected at ${counter.place}${chosen.slot ? `, ${slotFigure(chosen.slot)}` : ''}.${
      counter.hours === '' ? '' : ` Open ${counter.hours}.`
    }${counter.instructions === '' ? '' : ` ${counter.instructions}`}`,
  'handed-over': ({ chosen }) =>
    chosen.kind === 'shipping'
      ? `Your order was handed to the carrier, ${chosen.name}.`
      : 'Your order was handed over. Thank you.',
  cancelled: () => 'Your order was cancelled. Write to us if that is not what you wanted.',
};

/** A message to the customer about where the order stands, ready to be copied; `instructions` are the pickup point's. */
export const orderMessage = (
  order: PastOrder,
  shop: string,
  location: Location | undefined,
  instructions?: string,
): string =>
  [
    `${order.recipient === undefined ? 'Good day' : `Dear ${order.recipient}`},`,
    '',
    NEWS[order.status](order, counterOf(shop, location, instructions)),
    `Order ${order.number}.`,
    '',
    shop,
  ].join('\n');
