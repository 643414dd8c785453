import { Temporal } from 'temporal-polyfill';
import { dayOfLocalMs, MS_A_DAY, type DayNumber } from './calendar.ts';

/** A zone of time: between moments (milliseconds since 1970, UTC) and what its clocks show. */
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
const MOST_KEPT = 50_000;

/** An offset from UTC in milliseconds as '-04:00'. */
const offsetText = (offset: number): string => {
  const minutes = Math.round(Math.abs(offset) / 60_000);
  const two = (part: number): string => String(part).padStart(2, '0');
  return `${offset < 0 ? '-' : '+'}${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
};

/** A clock of an IANA zone. Offsets are kept by quarter hour: no zone changes within one. */
export const makeClock = (zone: string): Clock => {
  const offsets = new Map<number, number>();
  const offsetAt = (epochMs: number): number => {
    const quarter = Math.floor(epochMs / QUARTER_HOUR);
    const known = offsets.get(quarter);
    if (known !== undefined) return known;
    const there = Temporal.Instant.fromEpochMilliseconds(quarter * QUARTER_HOUR).toZonedDateTimeISO(zone);
    const offset = there.offsetNanoseconds / 1e6;
    if (offsets.size >= MOST_KEPT) offsets.clear();
    offsets.set(quarter, offset);
    return offset;
  };
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
