import type { OpeningHours } from '../model/time.ts';
import { dayOf, minutesOf, weekdayOf, type DayNumber } from './calendar.ts';

export interface OpenSpan {
  from: number;
  to: number;
}

/** When a place is open, by day: spans of minutes since midnight, in order, joined where they touch. */
export interface OpenDays {
  spans: (day: DayNumber) => readonly OpenSpan[];
  isClosedDate: (day: DayNumber) => boolean;
}

/** How far ahead an open day is looked for. */
export const HORIZON_DAYS = 800;

const CLOSED: readonly OpenSpan[] = [];

const joined = (spans: OpenSpan[]): OpenSpan[] =>
  spans
    .sort((a, b) => a.from - b.from)
    .reduce<OpenSpan[]>((list, span) => {
      const last = list.at(-1);
      if (last && span.from <= last.to) last.to = Math.max(last.to, span.to);
      else list.push({ ...span });
      return list;
    }, []);

/** The open days of a week's hours without the closed dates. */
export const openDays = (hours: readonly OpeningHours[], closedDates: readonly string[]): OpenDays => {
  const week = [1, 2, 3, 4, 5, 6, 7].map((day) =>
    joined(
      hours
        .filter((span) => span.day === day)
        .map(({ from, to }) => ({ from: minutesOf(from), to: minutesOf(to) })),
    ),
  );
  const closed = new Set(closedDates.map(dayOf));
  return {
    spans: (day) => (closed.has(day) ? CLOSED : (week[weekdayOf(day) - 1] ?? CLOSED)),
    isClosedDate: (day) => closed.has(day),
  };
};

/** The open day that lies `count` open days after the first open day at or after `from`; null when none is near. */
export const openDayAfter = (days: OpenDays, from: DayNumber, count: number): DayNumber | null => {
  let left = count;
  for (let day = from; day <= from + HORIZON_DAYS + count; day += 1) {
    if (days.spans(day).length === 0) continue;
    if (left === 0) return day;
    left -= 1;
  }
  return null;
};

/** The placed day if it is open and not yet closed, else the next open day. */
export const firstDayOf = (days: OpenDays, day: DayNumber, minutes: number): DayNumber | null => {
  const closes = days.spans(day).at(-1)?.to;
  return openDayAfter(days, closes !== undefined && minutes < closes ? day : day + 1, 0);
};
