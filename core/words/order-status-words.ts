import { t } from '../translate/translate.ts';
import type { OrderStatus, PastOrder } from '../model/order.ts';
import { dayFigure, momentFigure } from './moment-figure.ts';
import { slotFigure } from './slot-phrase.ts';

/** What each state is called. */
export const STATUS_WORDS: Record<OrderStatus, string> = {
  placed: t('placed'),
  packed: t('packed'),
  booked: t('booked'),
  'on-its-way': t('on its way'),
  ready: t('ready to collect'),
  'handed-over': t('handed over'),
  cancelled: t('cancelled'),
};

/** What is done to bring an order to a state. */
export const STATUS_ACTIONS: Record<OrderStatus, string> = {
  placed: t('Back to placed'),
  packed: t('Pack'),
  booked: t('Book'),
  'on-its-way': t('Send out'),
  ready: t('Mark ready'),
  'handed-over': t('Hand over'),
  cancelled: t('Cancel the order'),
};

/** What was promised to the customer, in a few words; '' where nothing was. */
export const promiseWords = ({ chosen, promise }: PastOrder): string => {
  if (chosen.slot) return slotFigure(chosen.slot);
  if (promise?.words) return promise.words;
  if (promise?.latest) return t('by {day}', { day: dayFigure(promise.latest) });
  return promise?.ready ? t('ready {moment}', { moment: momentFigure(promise.ready) }) : '';
};
