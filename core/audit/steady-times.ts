import type { CompiledBook } from '../quote/compile.ts';
import type { DayNumber } from '../time/calendar.ts';
import type { TimePlan } from '../time/times.ts';

/** Days are walked as far ahead as this. */
const DAYS_AHEAD = 400;
const LAST_MINUTE = 1_439;

/**
 * Whether an order placed at any moment of the coming days has a time to choose, nothing being taken. The later on a
 * day it is placed, the less is left of the same days: the last minute of each day speaks for all of it.
 */
const isSteady = ({ clock }: CompiledBook, { at }: TimePlan, from: DayNumber): boolean => {
  for (let day = from; day < from + DAYS_AHEAD; day += 1)
    if (!at(clock.text(clock.moment(day, LAST_MINUTE)), null).ok) return false;
  return true;
};

/** The ids of the pickup points, and of the ways as 'area:way', of which a time can be chosen whenever an order is placed. */
export const steadyTimes = (compiled: CompiledBook, from: DayNumber): ReadonlySet<string> =>
  new Set([
    ...compiled.pickups.filter(({ times }) => isSteady(compiled, times, from)).map(({ point }) => point.id),
    ...compiled.areas.flatMap(({ ways }) =>
      ways.filter(({ times }) => isSteady(compiled, times, from)).map(({ id }) => id),
    ),
  ]);
