import type { Adjustment, Condition } from '../model/adjustment.ts';
import { conditionKind } from '../adjust/condition-kinds.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { dayOf, type DayNumber } from '../time/calendar.ts';

/** Who orders, with what code, by what channel, and when, in so far as rules tell them apart. */
export type Context = Pick<QuoteRequest, 'placedAt' | 'customer' | 'code' | 'channel'>;

/** Days are told apart as far ahead as this; what repeats every year has come round by then. */
const DAYS_AHEAD = 400;
const MOST_CONTEXTS = 96;
const NOON = 720;

type Of<T extends Condition['test']> = Extract<Condition, { test: T }>;

const conditionsOf = <T extends Condition['test']>(adjustments: readonly Adjustment[], test: T): Of<T>[] =>
  adjustments.flatMap(({ when }) => when.filter((one): one is Of<T> => one.test === test));

/** One day for each way in which the dates and weekdays of the adjustments hold, from a day on. */
const days = (adjustments: readonly Adjustment[], on: DayNumber): DayNumber[] => {
  const byDay = adjustments.flatMap(({ when }) =>
    when.flatMap((condition) => {
      const { days: turns } = conditionKind(condition);
      return turns ? [{ condition, turns }] : [];
    }),
  );
  const far = byDay.flatMap(({ condition, turns }) => turns.changes(condition));
  const found = new Map<string, DayNumber>();
  const look = (day: DayNumber): void => {
    const key = byDay.map(({ condition, turns }) => turns.holds(condition, day)).join();
    if (!found.has(key)) found.set(key, day);
  };
  if (byDay.length === 0) return [on];
  for (let day = on; day < on + DAYS_AHEAD; day += 1) look(day);
  for (const day of far) for (let week = 0; week < 7; week += 1) if (day + week >= on) look(day + week);
  return [...found.values()];
};

const named = (adjustments: readonly Adjustment[], test: 'customer' | 'code' | 'channel'): string[] => [
  ...new Set(conditionsOf(adjustments, test).flatMap((condition) => condition.in)),
];

/** The channels to judge: none where some rate is for all of them, and each that a rule names. */
const channelsOf = ({ book }: CompiledBook, adjustments: readonly Adjustment[]): (string | undefined)[] => {
  const active = book.rates.filter(({ active: isOn }) => isOn);
  const byRates = new Set(active.flatMap(({ channels = [] }) => channels));
  const isBare = active.length === 0 || active.some(({ channels }) => !channels);
  return [...(isBare ? [undefined] : []), ...new Set([...byRates, ...named(adjustments, 'channel')])];
};

/**
 * Every mix of day, customer, code and channel that a rate or one of some adjustments tells apart, the plainest first; no
 * more than a bound.
 */
export const contextsOf = (
  compiled: CompiledBook,
  on: string,
  adjustments: readonly Adjustment[],
): Context[] => {
  const customers = [undefined, ...named(adjustments, 'customer')];
  const codes = [undefined, ...named(adjustments, 'code')];
  const channels = channelsOf(compiled, adjustments);
  const moments = days(adjustments, dayOf(on)).map((day) =>
    compiled.clock.text(compiled.clock.moment(day, NOON)),
  );
  const made: Context[] = [];
  for (const placedAt of moments)
    for (const customer of customers)
      for (const code of codes)
        for (const channel of channels)
          if (made.length <= MOST_CONTEXTS)
            made.push({
              placedAt,
              ...(customer === undefined ? {} : { customer }),
              ...(code === undefined ? {} : { code }),
              ...(channel === undefined ? {} : { channel }),
            });
  return made.slice(0, MOST_CONTEXTS);
};
