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
