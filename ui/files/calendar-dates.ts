import type ICAL from 'ical.js';
import { t } from '../../core/translate/translate.ts';
import { fault, type Fault, type Result } from '../../core/model/fault.ts';
import { dateOf, dayOf, type DayNumber } from '../../core/time/calendar.ts';

type Library = typeof ICAL;
type Component = InstanceType<Library['Component']>;
type Event = InstanceType<Library['Event']>;
type RecurIterator = InstanceType<Library['RecurIterator']>;
type Time = InstanceType<Library['Time']>;

/** How many steps an entry that repeats is followed from its first time on, and all of a file together: daily for eighty years. */
const MOST_STEPS = 30_000;
const MOST_STEPS_IN_ALL = 100_000;
/** An entry that begins so many days before the first that is wanted may still reach it. */
const LONGEST_DAYS = 366;

/** The days that a calendar's entries take up, in order, and what of it was left out. */
export interface CalendarDates {
  dates: string[];
  faults: Fault[];
}

const dayOfTime = ({ year, month, day }: Time): DayNumber => Date.UTC(year, month - 1, day) / 86_400_000;

class TooManySteps extends Error {}

/** The rules of an entry with a bound on their steps: a rule that nothing meets would be followed for ever. */
const boundedRules = (entry: Component, first: Time, spend: () => void): RecurIterator[] =>
  entry.getAllProperties('rrule').map((property) => {
    const rule = (property.getFirstValue() as { iterator: (start: Time) => RecurIterator }).iterator(first);
    const check = rule.check_contracting_rules.bind(rule);
    rule.check_contracting_rules = () => {
      spend();
      return check();
    };
    return rule;
  });

const timesOf = (entry: Component, name: 'exdate' | 'rdate'): Time[] =>
  entry.getAllProperties(name).flatMap((property) => property.getValues() as Time[]);

/** What collects the days between two. */
class Days {
  readonly found = new Set<DayNumber>();
  #spent = 0;

  constructor(
    readonly from: DayNumber,
    readonly to: DayNumber,
  ) {}

  /** Adds an entry that begins at a time and takes so many days. */
  add(first: DayNumber, count: number): void {
    const last = Math.min(first + count - 1, this.to);
    for (let day = Math.max(first, this.from); day <= last; day += 1) this.found.add(day);
  }

  /** A counter of the steps of one entry, which ends it when it has made too many. */
  counter(): () => void {
    let steps = 0;
    return () => {
      steps += 1;
      this.#spent += 1;
      if (steps > MOST_STEPS || this.#spent > MOST_STEPS_IN_ALL) throw new TooManySteps();
    };
  }
}

/** How many days an entry takes up, its end not included where it ends at midnight. */
const lengthOf = ({ startDate, endDate }: Event): number => {
  const ends = dayOfTime(endDate);
  const isAtMidnight = startDate.isDate || (endDate.hour === 0 && endDate.minute === 0);
  return Math.max(1, ends - dayOfTime(startDate) + (isAtMidnight ? 0 : 1));
};

const addEntry = (entry: Component, event: Event, days: Days): void => {
  const length = lengthOf(event);
  const left = new Set(timesOf(entry, 'exdate').map(dayOfTime));
  const add = (time: Time): void => {
    if (!left.has(dayOfTime(time))) days.add(dayOfTime(time), length);
  };
  for (const time of timesOf(entry, 'rdate')) add(time);
  const rules = boundedRules(entry, event.startDate, days.counter());
  if (rules.length === 0) add(event.startDate);
  for (const rule of rules)
    for (let next = rule.next(); next && dayOfTime(next) <= days.to; next = rule.next())
      if (dayOfTime(next) >= days.from - LONGEST_DAYS - length) add(next);
};

const ENTRY = /^BEGIN:VEVENT\r?$[\s\S]*?^END:VEVENT\r?$/gim;

/** An entry by its own, so that one that cannot be read does not cost the others. */
const readEntry = (ical: Library, text: string): Component =>
  new ical.Component(
    ical.parse(`BEGIN:VCALENDAR\r\n${text}\r\nEND:VCALENDAR`) as unknown[],
  ).getFirstSubcomponent('vevent') as Component;

/** An entry's title, or the place it stands at. */
const nameOf = (text: string, at: number): string =>
  /^SUMMARY(?:;[^:\r\n]*)?:(.{1,80})/im.exec(text)?.[1]?.trim() ?? t('entry {count}', { count: at + 1 });

/** Puts an entry's days to the others; a fault where it cannot be read, or its rule is followed without an end. */
const takeEntry = (ical: Library, text: string, at: number, days: Days): Fault[] => {
  try {
    const entry = readEntry(ical, text);
    const event = new ical.Event(entry);
    if (!event.startDate) return [fault('calendar-entry', '', { entry: nameOf(text, at) })];
    addEntry(entry, event, days);
    return [];
  } catch (error) {
    const code = error instanceof TooManySteps ? 'calendar-repeats' : 'calendar-entry';
    return [fault(code, '', { entry: nameOf(text, at) })];
  }
};

/**
 * The days that the entries of an iCalendar file (RFC 5545) take up between two dates, those that repeat among them.
 * An entry that begins and ends within a day counts for that day. What cannot be read is left out and told. Faults: it
 * is no calendar, or nothing of it falls between the dates.
 */
export const datesOfCalendar = async (
  text: string,
  from: string,
  to: string,
): Promise<Result<CalendarDates>> => {
  if (!/^BEGIN:VCALENDAR/im.test(text)) return { ok: false, faults: [fault('no-calendar', '')] };
  const { default: ical } = await import('ical.js');
  const days = new Days(dayOf(from), dayOf(to));
  const faults = (text.match(ENTRY) ?? []).flatMap((entry, at) => takeEntry(ical, entry, at, days));
  if (days.found.size === 0)
    return { ok: false, faults: faults.length > 0 ? faults : [fault('no-calendar-dates', '')] };
  return { ok: true, value: { dates: [...days.found].sort((a, b) => a - b).map(dateOf), faults } };
};
