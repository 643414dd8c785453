import type { OpeningHours, Timing } from '../model/time.ts';
import { minutesOf, weekdayOf, type DayNumber } from './calendar.ts';
import type { Clock } from './clock.ts';
import type { OpenDays, OpenSpan } from './open-days.ts';

/** A span or slot that can be chosen, in milliseconds since 1970 and as instants with the zone's offset. */
export interface Opening {
  from: number;
  to: number;
  start: string;
  end: string;
}

/** What can be chosen on a day, were nothing taken and all ready: whole spans, or slots cut from them. */
export type Openings = (day: DayNumber) => readonly Opening[];

type Chosen = Extract<Timing, { kind: 'day' | 'slot' }>;

const NONE: readonly Opening[] = [];
const MOST_KEPT = 2_000;

/** The spans of a week, by weekday, in order of their beginning. */
const spansByWeekday = (hours: readonly OpeningHours[]): OpenSpan[][] =>
  [1, 2, 3, 4, 5, 6, 7].map((day) =>
    hours
      .filter((span) => span.day === day)
      .map(({ from, to }) => ({ from: minutesOf(from), to: minutesOf(to) }))
      .sort((a, b) => a.from - b.from || a.to - b.to),
  );

/** A span in steps of so many minutes of the clock; a shorter last piece is dropped. */
const cut = ({ from, to }: OpenSpan, minutes: number): OpenSpan[] =>
  Array.from({ length: Math.floor((to - from) / minutes) }, (_, at) => ({
    from: from + at * minutes,
    to: from + (at + 1) * minutes,
  }));

/** Of openings that clock changes made empty or alike, one of each that lasts. */
const lasting = (openings: readonly Opening[]): Opening[] => {
  const known = new Set<string>();
  return openings.filter(({ from, to }) => {
    const key = `${from}/${to}`;
    if (to <= from || known.has(key)) return false;
    known.add(key);
    return true;
  });
};

/**
 * The openings of a timing by day, on the days a location is open: the timing's spans, or the slots that fit
 * into them. Times are those of the zone's clocks; what a change of the clocks skips is left out.
 */
export const openingsOf = (timing: Chosen, days: OpenDays, clock: Clock): Openings => {
  const week = spansByWeekday(timing.hours);
  const pieces = week.map((spans) =>
    timing.kind === 'slot' ? spans.flatMap((span) => cut(span, timing.minutes)) : spans,
  );
  const known = new Map<DayNumber, readonly Opening[]>();
  const openingsOn = (day: DayNumber): readonly Opening[] => {
    if (days.spans(day).length === 0) return NONE;
    const spans = pieces[weekdayOf(day) - 1] ?? [];
    const openings = spans.map((span): Opening => {
      const from = clock.moment(day, span.from);
      const to = clock.moment(day, span.to);
      return { from, to, start: clock.text(from), end: clock.text(to) };
    });
    return lasting(openings);
  };
  return (day) => {
    const found = known.get(day);
    if (found) return found;
    const openings = openingsOn(day);
    if (known.size >= MOST_KEPT) known.clear();
    known.set(day, openings);
    return openings;
  };
};
