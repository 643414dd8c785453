import type { CompiledBook } from '../quote/compile.ts';
import type { DayNumber } from '../time/calendar.ts';
import type { TimePlan } from '../time/times.ts';

/** Days are walked as far ahead as this. */
const DAYS_AHEAD = 400;
const LAST_MINUTE = 1_439;

/**
 * The last minute of each of the coming days. The later on a day an order is placed, the less is left of the same
 * days, so that this minute speaks for all of its day.
 */
const lastMinutes = ({ clock }: CompiledBook, from: DayNumber): string[] =>
  Array.from({ length: DAYS_AHEAD }, (_, ahead) => clock.text(clock.moment(from + ahead, LAST_MINUTE)));

/** The ids of the pickup points, and of the methods as 'area:method', of which a time can be chosen whenever an order is placed. */
export const steadyTimes = (compiled: CompiledBook, from: DayNumber): ReadonlySet<string> => {
  const moments = lastMinutes(compiled, from);
  const isSteady = ({ at }: TimePlan): boolean => moments.every((placedAt) => at(placedAt, null).ok);
  return new Set([
    ...compiled.pickups.filter(({ times }) => isSteady(times)).map(({ point }) => point.id),
    ...compiled.areas.flatMap(({ methods }) =>
      methods.filter(({ times }) => isSteady(times)).map(({ id }) => id),
    ),
  ]);
};
