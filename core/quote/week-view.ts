import type { CompiledBook } from './compile.ts';
import { dateOf } from '../time/calendar.ts';
import { openDays, type OpenSpan } from '../time/open-days.ts';
import { indexBooked } from '../time/booked.ts';
import type { Times, TimeSlot } from '../time/times.ts';
import type { QuoteRequest } from '../model/request.ts';

/** A day as a strip shows it: when the location is open, and what could be chosen. */
export interface DayView {
  date: string;
  /** Minutes of the day. */
  open: readonly OpenSpan[];
  isClosedDate: boolean;
  slots: TimeSlot[];
}

/** The days after an order, what could be chosen on each, and when it would be ready. */
export interface WeekView {
  days: DayView[];
  /** Where in the first day the order is placed, in minutes. */
  placed: number;
  ready: string | null;
  /** The days by which it is there, where that is told and not chosen. */
  arrives: { earliest: string; latest: string } | null;
  cutoff: string | null;
}

const arrivesOf = (times: Times): WeekView['arrives'] =>
  times.ok && times.arrives && 'latest' in times.arrives ? times.arrives : null;

const byDateOf = (slots: readonly TimeSlot[]): Map<string, TimeSlot[]> => {
  const byDate = new Map<string, TimeSlot[]>();
  for (const slot of slots) {
    const date = slot.start.slice(0, 10);
    byDate.set(date, [...(byDate.get(date) ?? []), slot]);
  }
  return byDate;
};

const LEAST_DAYS = 7;
const MOST_DAYS = 14;

/**
 * The week from an order's day on, for a pickup point or a delivery method ('area:method'): at least seven days, up to the last
 * that can be chosen. Null where the book has no such thing.
 */
export const weekView = (
  { areas, pickups, clock }: CompiledBook,
  id: string,
  { placedAt, slotsTaken }: Pick<QuoteRequest, 'placedAt' | 'slotsTaken'>,
): WeekView | null => {
  const pickup = pickups.find(({ point }) => point.id === id);
  const area = areas.find(({ methods }) => methods.some((one) => one.id === id));
  const method = area?.methods.find((one) => one.id === id);
  const times = pickup?.times ?? method?.times;
  const location = pickup?.location ?? area?.location;
  const preparation = pickup?.point.preparation ?? area?.area.preparation;
  if (!times || !location || !preparation) return null;
  const taken = slotsTaken ? (indexBooked(slotsTaken).get(id) ?? null) : null;
  const arrives = arrivesOf(times.at(placedAt, taken));
  const { day: first, minutes } = clock.local(Date.parse(placedAt));
  const hours = openDays(location.hours, location.closedDates);
  const byDate = byDateOf(times.all(placedAt, taken));
  const last = [...byDate.keys()].sort().at(-1) ?? arrives?.latest;
  const count = Array.from({ length: MOST_DAYS }, (_, at) => at).filter(
    (at) => at < LEAST_DAYS || (last !== undefined && dateOf(first + at) <= last),
  );
  return {
    placed: minutes,
    ready: times.ready(placedAt),
    arrives,
    cutoff: preparation.kind === 'cut-off' ? preparation.cutoff : null,
    days: count.map((at) => {
      const date = dateOf(first + at);
      return {
        date,
        open: hours.spans(first + at),
        isClosedDate: hours.isClosedDate(first + at),
        slots: byDate.get(date) ?? [],
      };
    }),
  };
};
