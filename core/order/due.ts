import { ORDER_STATUSES, type OrderStatus, type PastOrder } from '../model/order.ts';
import type { Clock } from '../time/clock.ts';
import { dayOf } from '../time/calendar.ts';

/** By when something has to have happened to an order, and to which state that is. */
export interface Due {
  at: string;
  by: OrderStatus;
}

const LAST_MINUTE = 1_439;

const endOfDay = (date: string, clock: Clock): string => clock.text(clock.moment(dayOf(date), LAST_MINUTE));

/**
 * What was promised, as a moment: a collection ready by the time that was chosen or told; a delivery handed over by
 * its end; a parcel booked or handed to the carrier on the day it was to be ready. Null where nothing was told.
 */
export const dueOf = ({ chosen: { kind, slot }, promise = {} }: PastOrder, clock: Clock): Due | null => {
  const { ready, latest } = promise;
  if (kind === 'pickup') {
    const at = slot?.start ?? ready;
    return at === undefined ? null : { at, by: 'ready' };
  }
  if (kind === 'delivery') {
    const at = slot?.end ?? (latest === undefined ? ready : endOfDay(latest, clock));
    return at === undefined ? null : { at, by: 'handed-over' };
  }
  if (kind === 'nothing-to-ship' || ready === undefined) return null;
  const { day } = clock.local(Date.parse(ready));
  return { at: clock.text(clock.moment(day, LAST_MINUTE)), by: 'booked' };
};

/** Whether what was promised by now has not happened. */
export const isLate = (order: PastOrder, due: Due | null, now: string): boolean =>
  due !== null &&
  order.status !== 'cancelled' &&
  ORDER_STATUSES.indexOf(order.status) < ORDER_STATUSES.indexOf(due.by) &&
  Date.parse(due.at) < Date.parse(now);

/** An order that has to be handed over, with when it is due. */
export interface ToHandOver {
  order: PastOrder;
  due: Due | null;
  late: boolean;
  /** The day it is due, in the store's time zone; of an order without a promise, the day it was placed. */
  date: string;
}

/**
 * Open orders as a day goes: by the beginning of the time that was chosen, those without one by when they are due, those
 * without a promise by when they were placed.
 */
export const toHandOver = (orders: readonly PastOrder[], clock: Clock, now: string): ToHandOver[] =>
  orders
    .filter(({ status }) => status !== 'handed-over' && status !== 'cancelled')
    .map((order) => {
      const due = dueOf(order, clock);
      const at = due?.at ?? order.request.placedAt;
      return {
        ...{ order, due, late: isLate(order, due, now) },
        date: clock.text(Date.parse(at)).slice(0, 10),
        from: Date.parse(order.chosen.slot?.start ?? at),
      };
    })
    .sort((a, b) => a.from - b.from || (a.order.number < b.order.number ? -1 : 1))
    .map(({ order, due, late, date }) => ({ order, due, late, date }));
