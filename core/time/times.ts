import type { Location } from '../model/location.ts';
import type { Choice } from '../model/quote.ts';
import type { Preparation, Timing } from '../model/time.ts';
import { dateOf, type DayNumber } from './calendar.ts';
import type { Clock } from './clock.ts';
import { memoizeByText } from '../memo/memoize-by-text.ts';
import { HORIZON_DAYS, openDayAfter, openDays, type OpenDays } from './open-days.ts';
import { openingsOf, type Opening, type Openings } from './openings.ts';
import { readyAt } from './preparation.ts';
import { NOTHING_BOOKED, type BookedCount } from './booked.ts';

/** A span or slot for one order: what is left of it, where it has a capacity; none left is full. */
export interface TimeSlot {
  start: string;
  end: string;
  left?: number;
}

/** What is said, or may be chosen, of the time of one order; or that no time is left, and the next there would be. */
export type Times =
  ({ ok: true } & Pick<Choice, 'ready' | 'arrives' | 'slots'>) | { ok: false; next: string | null };

/** The times of a delivery way or a pickup point, ready to be asked. */
export interface TimePlan {
  /** For an order placed at a moment, with what was taken by others. */
  at: (placedAt: string, taken: BookedCount | null) => Times;
  /** Every span or slot of the days it may be chosen on, those that are full with none left. */
  all: (placedAt: string, taken: BookedCount | null) => TimeSlot[];
  /** When an order placed at a moment is ready; null where no open day is near. */
  ready: (placedAt: string) => string | null;
}

interface Plan {
  clock: Clock;
  days: OpenDays;
  preparation: Preparation;
  timing: Timing;
  withinDays: number | undefined;
}

/** An order's moment and day, and when it is ready. */
interface Placed {
  day: DayNumber;
  ready: number;
  readyText: string;
}

const placedOf = ({ clock, days, preparation }: Plan, placedAt: string): Placed | null => {
  const placed = Date.parse(placedAt);
  const ready = readyAt(clock, days, placed, preparation);
  return ready === null ? null : { day: clock.local(placed).day, ready, readyText: clock.text(ready) };
};

/** An opening as it is offered to an order that is ready at a moment, or null where it is too early for it. */
const offered = (
  { timing }: Plan,
  { from, to, start, end }: Opening,
  { ready, readyText }: Placed,
  taken: BookedCount,
): TimeSlot | null => {
  const begun = from < ready;
  if (begun && (timing.kind !== 'day' || to <= ready)) return null;
  const slot: TimeSlot = { start: begun ? readyText : start, end };
  const { capacity } = timing as Extract<Timing, { kind: 'day' | 'slot' }>;
  if (capacity !== undefined) slot.left = Math.max(0, capacity - taken(from, to));
  return slot;
};

const hasRoom = ({ left }: TimeSlot): boolean => left === undefined || left > 0;

const slotsOn = (
  plan: Plan,
  openings: Openings,
  day: DayNumber,
  placed: Placed,
  taken: BookedCount,
): TimeSlot[] => openings(day).flatMap((opening) => offered(plan, opening, placed, taken) ?? []);

const lastDay = ({ timing, withinDays }: Plan, { day }: Placed): DayNumber =>
  day + Math.min('horizonDays' in timing ? timing.horizonDays : HORIZON_DAYS, withinDays ?? HORIZON_DAYS);

const slotsOf = (plan: Plan, openings: Openings, placed: Placed, taken: BookedCount): TimeSlot[] => {
  const slots: TimeSlot[] = [];
  const last = lastDay(plan, placed);
  for (let day = placed.day; day <= last; day += 1)
    slots.push(...slotsOn(plan, openings, day, placed, taken));
  return slots;
};

/** The first opening with room past the last day that can be chosen. */
const nextAfter = (plan: Plan, openings: Openings, placed: Placed, taken: BookedCount): string | null => {
  const last = lastDay(plan, placed);
  for (let day = last + 1; day <= placed.day + HORIZON_DAYS; day += 1) {
    const free = slotsOn(plan, openings, day, placed, taken).find(hasRoom);
    if (free) return free.start;
  }
  return null;
};

const chosenTimes = (plan: Plan, openings: Openings, placed: Placed, taken: BookedCount): Times => {
  const slots = slotsOf(plan, openings, placed, taken).filter(hasRoom);
  return slots.length > 0
    ? { ok: true, ready: placed.readyText, slots }
    : { ok: false, next: nextAfter(plan, openings, placed, taken) };
};

/** Times that are only said: words, or days after the day it is ready; too late where they fall past `withinDays`. */
const saidTimes = (plan: Plan, placed: Placed | null): Times => {
  const { timing, days, clock } = plan;
  if (timing.kind === 'words' && !placed) return { ok: true, arrives: { words: timing.text } };
  if (!placed) return { ok: false, next: null };
  const { readyText } = placed;
  const { day } = clock.local(placed.ready);
  const after = (count: number): DayNumber | null => openDayAfter(days, day, count);
  const earliest = timing.kind === 'days' ? after(timing.min) : day;
  const latest = timing.kind === 'days' ? after(timing.max) : day;
  if (earliest === null || latest === null) return { ok: false, next: null };
  if (earliest > lastDay(plan, placed)) return { ok: false, next: dateOf(earliest) };
  const arrives =
    timing.kind === 'words' ? { words: timing.text } : { earliest: dateOf(earliest), latest: dateOf(latest) };
  return { ok: true, ready: readyText, arrives };
};

/**
 * When orders can be had that leave a location after a preparation, all in the store's time zone. A way that
 * has to come within some days of the order's has no time left where it cannot.
 */
export const timePlan = (
  location: Location,
  preparation: Preparation,
  timing: Timing,
  clock: Clock,
  withinDays?: number,
): TimePlan => {
  const days = openDays(location.hours, location.closedDates);
  const plan: Plan = { clock, days, preparation, timing, withinDays };
  const placedOn = memoizeByText((placedAt) => placedOf(plan, placedAt));
  const ready = (placedAt: string): string | null => placedOn(placedAt)?.readyText ?? null;
  if (timing.kind === 'words' || timing.kind === 'days') {
    const said = memoizeByText((placedAt) => saidTimes(plan, placedOn(placedAt)));
    return { at: said, all: () => [], ready };
  }
  const openings = openingsOf(timing, days, clock);
  const timesWith = (placedAt: string, taken: BookedCount): Times => {
    const placed = placedOn(placedAt);
    return placed ? chosenTimes(plan, openings, placed, taken) : { ok: false, next: null };
  };
  const untaken = memoizeByText((placedAt) => timesWith(placedAt, NOTHING_BOOKED));
  return {
    ready,
    at: (placedAt, taken) => (taken ? timesWith(placedAt, taken) : untaken(placedAt)),
    all: (placedAt, taken) => {
      const placed = placedOn(placedAt);
      return placed ? slotsOf(plan, openings, placed, taken ?? NOTHING_BOOKED) : [];
    },
  };
};
