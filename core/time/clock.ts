import { instantOfMs, inZone, offsetNanoseconds } from './temporal.ts';
import { dayOfLocalMs, MS_A_DAY, type DayNumber } from './calendar.ts';

/** A time zone: between moments (milliseconds since 1970, UTC) and what its clocks show. */
export interface Clock {
  zone: string;
  /** The local day and the minutes since its midnight, with the fraction of a minute. */
  local: (epochMs: number) => { day: DayNumber; minutes: number };
  /** The moment of a local time: a skipped one moves on by the gap, one that occurs twice is the earlier. */
  moment: (day: DayNumber, minutes: number) => number;
  /** A moment as ISO 8601 with the zone's offset. */
  text: (epochMs: number) => string;
}

const QUARTER_HOUR = 900_000;
const QUARTERS_A_DAY = 96;
const MOST_KEPT = 50_000;

/** An offset from UTC in milliseconds as '-04:00'. */
const offsetText = (offset: number): string => {
  const minutes = Math.round(Math.abs(offset) / 60_000);
  const two = (part: number): string => String(part).padStart(2, '0');
  return `${offset < 0 ? '-' : '+'}${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
};

/**
 * How far a zone is from UTC at a moment, in milliseconds; kept by day, and by quarter hour on days on which it changes:
 * no zone changes within a quarter, nor there and back within a day.
 */
const offsetsOf = (zone: string): ((epochMs: number) => number) => {
  const quarters = new Map<number, number>();
  const days = new Map<DayNumber, number | null>();
  const offsetOfQuarter = (quarter: number): number => {
    const known = quarters.get(quarter);
    if (known !== undefined) return known;
    const offset = offsetNanoseconds(inZone(instantOfMs(quarter * QUARTER_HOUR), zone)) / 1e6;
    if (quarters.size >= MOST_KEPT) quarters.clear();
    quarters.set(quarter, offset);
    return offset;
  };
  /** The offset of a whole day of UTC; null where it changes within. */
  const offsetOfDay = (day: DayNumber): number | null => {
    const known = days.get(day);
    if (known !== undefined) return known;
    const first = offsetOfQuarter(day * QUARTERS_A_DAY);
    const offset = first === offsetOfQuarter((day + 1) * QUARTERS_A_DAY) ? first : null;
    if (days.size >= MOST_KEPT) days.clear();
    days.set(day, offset);
    return offset;
  };
  return (epochMs) =>
    offsetOfDay(Math.floor(epochMs / MS_A_DAY)) ?? offsetOfQuarter(Math.floor(epochMs / QUARTER_HOUR));
};

/** A clock of an IANA zone. */
export const makeClock = (zone: string): Clock => {
  const offsetAt = offsetsOf(zone);
  return {
    zone,
    local: (epochMs) => {
      const localMs = epochMs + offsetAt(epochMs);
      const day = dayOfLocalMs(localMs);
      return { day, minutes: localMs / 60_000 - day * 1_440 };
    },
    moment: (day, minutes) => {
      const localMs = day * MS_A_DAY + minutes * 60_000;
      const before = localMs - offsetAt(localMs - MS_A_DAY);
      const after = localMs - offsetAt(localMs + MS_A_DAY);
      if (before === after || before + offsetAt(before) === localMs) return before;
      return after + offsetAt(after) === localMs ? after : before;
    },
    text: (epochMs) => {
      const offset = offsetAt(epochMs);
      return new Date(epochMs + offset).toISOString().slice(0, 19) + offsetText(offset);
    },
  };
};
