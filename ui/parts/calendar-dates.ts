import { fault, type Result } from '../../core/model/fault.ts';
import { dateOf, dayOf } from '../../core/time/calendar.ts';

const MOST_DATES = 5_000;
/** How often an entry that repeats is followed from its first time on: daily for some eighty years. */
const MOST_REPEATS = 30_000;
/** An entry that begins so many days before the first that is wanted may still reach it. */
const LONGEST_DAYS = 366;

const whole = (day: { year: number; month: number; day: number }): string =>
  `${day.year}-${String(day.month).padStart(2, '0')}-${String(day.day).padStart(2, '0')}`;

/**
 * The days that the entries of an iCalendar file (RFC 5545) take up, those that repeat for some years ahead, in order.
 * An entry that begins and ends within a day counts for that day. Faults: it is no calendar, or has no entry.
 */
export const datesOfCalendar = async (text: string, from: string, to: string): Promise<Result<string[]>> => {
  const { default: ical } = await import('ical.js');
  const dates = new Set<string>();
  const early = dateOf(dayOf(from) - LONGEST_DAYS);
  const add = (first: string, last: string): void => {
    for (let day = dayOf(first); day <= dayOf(last) && dates.size < MOST_DATES; day += 1) {
      const date = dateOf(day);
      if (date >= from && date <= to) dates.add(date);
    }
  };
  try {
    const calendar = new ical.Component(ical.parse(text) as unknown[]);
    for (const entry of calendar.getAllSubcomponents('vevent')) {
      const event = new ical.Event(entry);
      const isWhole = event.startDate.isDate;
      const span = (start: typeof event.startDate, end: typeof event.endDate): void => {
        const last = dayOf(whole(end)) - (isWhole || (end.hour === 0 && end.minute === 0) ? 1 : 0);
        add(whole(start), dateOf(Math.max(last, dayOf(whole(start)))));
      };
      if (!event.isRecurring()) {
        span(event.startDate, event.endDate);
        continue;
      }
      const repeats = event.iterator();
      for (let count = 0; count < MOST_REPEATS; count += 1) {
        const next = repeats.next();
        if (!next || whole(next) > to) break;
        if (whole(next) < early) continue;
        const { startDate, endDate } = event.getOccurrenceDetails(next);
        span(startDate, endDate);
      }
    }
  } catch {
    return { ok: false, faults: [fault('no-calendar', '')] };
  }
  return dates.size > 0
    ? { ok: true, value: [...dates].sort() }
    : { ok: false, faults: [fault('no-calendar-dates', '')] };
};
