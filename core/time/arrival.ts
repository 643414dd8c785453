import type { Location } from '../model/location.ts';
import { dateOf, weekdayOf, type DayNumber } from './calendar.ts';
import type { Clock } from './clock.ts';
import { memoizeByText } from '../memo/memoize-by-text.ts';
import { firstDayOf, openDays, type OpenDays } from './open-days.ts';
import { readyAt } from './preparation.ts';

/** When and on which day an order leaves; `ready` only where the location says how long it prepares. */
export interface HandOver {
  day: DayNumber;
  ready?: string;
}

/** A location's days, ready to be asked when an order leaves it and when it arrives. */
export interface Departure {
  handOver: (placedAt: string) => HandOver | null;
  arrival: (day: DayNumber, transit: { min: number; max: number }) => { earliest: string; latest: string };
}

const handOver = (clock: Clock, days: OpenDays, location: Location, placedAt: string): HandOver | null => {
  const placed = Date.parse(placedAt);
  if (location.preparation) {
    const ready = readyAt(clock, days, placed, location.preparation);
    return ready === null ? null : { day: clock.local(ready).day, ready: clock.text(ready) };
  }
  const { day, minutes } = clock.local(placed);
  const first = firstDayOf(days, day, minutes);
  return first === null ? null : { day: first };
};

const isWorkingDay = (days: OpenDays, day: DayNumber): boolean =>
  weekdayOf(day) <= 5 && !days.isClosedDate(day);

/** The day `count` working days (Monday to Friday, not the closed dates) later; 0 is that day or the next working day. */
const workingDaysLater = (days: OpenDays, from: DayNumber, count: number): DayNumber => {
  let day = from;
  let left = count;
  if (left === 0) while (!isWorkingDay(days, day)) day += 1;
  while (left > 0) {
    day += 1;
    if (isWorkingDay(days, day)) left -= 1;
  }
  return day;
};

/** The departures from a location, in the store's time zone. */
export const departuresFrom = (location: Location, clock: Clock): Departure => {
  const days = openDays(location.hours, location.closedDates);
  const arrivals = memoizeByText((key) => {
    const [from = 0, min = 0, max = 0] = key.split('/').map(Number);
    return {
      earliest: dateOf(workingDaysLater(days, from, min)),
      latest: dateOf(workingDaysLater(days, from, max)),
    };
  });
  return {
    handOver: memoizeByText((placedAt) => handOver(clock, days, location, placedAt)),
    arrival: (day, { min, max }) => arrivals(`${day}/${min}/${max}`),
  };
};
