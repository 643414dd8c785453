import type { Preparation } from '../model/time.ts';
import { minutesOf } from './calendar.ts';
import type { Clock } from './clock.ts';
import { firstDayOf, HORIZON_DAYS, openDayAfter, type OpenDays } from './open-days.ts';

const MS_A_MINUTE = 60_000;

/** Real minutes that tick only while the place is open; running out at closing is ready at closing. */
const asReceived = (clock: Clock, days: OpenDays, placed: number, minutes: number): number | null => {
  let left = minutes * MS_A_MINUTE;
  const { day: first } = clock.local(placed);
  for (let day = first; day <= first + HORIZON_DAYS; day += 1) {
    for (const span of days.spans(day)) {
      const opens = Math.max(placed, clock.moment(day, span.from));
      const closes = clock.moment(day, span.to);
      if (closes < opens || (closes === opens && left > 0)) continue;
      if (left <= closes - opens) return opens + left;
      left -= closes - opens;
    }
  }
  return null;
};

const workingDays = (clock: Clock, days: OpenDays, placed: number, count: number): number | null => {
  const { day, minutes } = clock.local(placed);
  const first = firstDayOf(days, day, minutes);
  const ready = first === null ? null : openDayAfter(days, first, count);
  const opens = ready === null ? undefined : days.spans(ready)[0];
  return ready === null || !opens ? null : clock.moment(ready, opens.from);
};

const batch = (
  clock: Clock,
  days: OpenDays,
  placed: number,
  plan: Extract<Preparation, { kind: 'cut-off' }>,
): number | null => {
  const { day, minutes } = clock.local(placed);
  const inTime = days.spans(day).length > 0 && minutes < minutesOf(plan.cutoff);
  const ready = openDayAfter(days, inTime ? day : day + 1, plan.days);
  return ready === null ? null : clock.moment(ready, minutesOf(plan.readyAt));
};

const planned = (clock: Clock, days: OpenDays, placed: number, plan: Preparation): number | null => {
  switch (plan.kind) {
    case 'open-minutes':
      return asReceived(clock, days, placed, plan.minutes);
    case 'working-days':
      return workingDays(clock, days, placed, plan.days);
    case 'cut-off':
      return batch(clock, days, placed, plan);
  }
};

/**
 * When an order placed at a moment is ready to leave (milliseconds since 1970), never before it was
 * placed; null when no open day is near enough.
 */
export const readyAt = (clock: Clock, days: OpenDays, placed: number, plan: Preparation): number | null => {
  const ready = planned(clock, days, placed, plan);
  return ready === null ? null : Math.max(ready, placed);
};
