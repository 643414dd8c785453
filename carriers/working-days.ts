import { Temporal } from 'temporal-polyfill';
import { memoizeByText } from '../core/memo/memoize-by-text.ts';

/** The week of the year of a date (ISO 8601), from 1; asked of the same few dates for every parcel. */
export const isoWeekOf = memoizeByText((date) => Temporal.PlainDate.from(date).weekOfYear ?? 1);

/** The date so many working days, Monday to Friday, after another. */
export const workingDaysAfter = (date: string, days: number): string => {
  let day = Temporal.PlainDate.from(date);
  for (let left = days; left > 0;) {
    day = day.add({ days: 1 });
    if (day.dayOfWeek <= 5) left -= 1;
  }
  return day.toString();
};
