import { memoizeByText } from '../core/memo/memoize-by-text.ts';
import { addDays, dateText, dayOfWeek, isoCalendar, readDate, weekOfYear } from '../core/time/temporal.ts';

/** The week of the year of a date (ISO 8601), from 1; asked of the same few dates for every parcel. */
export const isoWeekOf = memoizeByText((date) => weekOfYear(readDate(date, isoCalendar)) ?? 1);

/** The date so many working days, Monday to Friday, after another. */
export const workingDaysAfter = (date: string, days: number): string => {
  let day = readDate(date, isoCalendar);
  for (let left = days; left > 0;) {
    day = addDays(day, 1);
    if (dayOfWeek(day) <= 5) left -= 1;
  }
  return dateText(day);
};
