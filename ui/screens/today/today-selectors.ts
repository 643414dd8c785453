import { createSelector } from '@reduxjs/toolkit';
import { t } from '../../../core/translate/translate.ts';
import { toHandOver, type ToHandOver } from '../../../core/order/due.ts';
import { nearbyOf } from '../../../core/order/nearby-of.ts';
import { dateOf, dayOf } from '../../../core/time/calendar.ts';
import { dayFigure } from '../../../core/words/moment-figure.ts';
import { selectPastOrders } from '../../state/selectors.ts';
import { selectServedBook, selectServedCompiled } from '../../state/served.ts';
import type { RootState } from '../../state/store.ts';

/** An order to hand over, with the location it leaves from. */
export interface OpenOrder extends ToHandOver {
  locationId: string | null;
}

/** Orders that are due on one day, under what that day is called. */
export interface DayOfOrders {
  date: string;
  title: string;
  orders: OpenOrder[];
}

/** Every order that still has to be handed over, by when it is due. */
export const selectOpenOrders = createSelector(
  [selectPastOrders, selectServedBook, selectServedCompiled, (_: RootState, now: string) => now],
  (orders, book, { clock }, now): OpenOrder[] =>
    toHandOver(orders, clock, now).map((one) => ({
      ...one,
      locationId: nearbyOf(book, one.order).location?.id ?? null,
    })),
);

const titleOf = (date: string, today: string): string => {
  if (date < today) return t('Since {day}', { day: dayFigure(date) });
  if (date === today) return t('Today');
  return date === dateOf(dayOf(today) + 1) ? t('Tomorrow') : dayFigure(date);
};

/** Those of one location, or of all, day by day. */
export const byDay = (
  orders: readonly OpenOrder[],
  today: string,
  locationId: string | null,
): DayOfOrders[] => {
  const days = new Map<string, OpenOrder[]>();
  for (const one of orders) {
    if (locationId !== null && one.locationId !== locationId) continue;
    days.set(one.date, [...(days.get(one.date) ?? []), one]);
  }
  return [...days].map(([date, inDay]) => ({ date, title: titleOf(date, today), orders: inDay }));
};
