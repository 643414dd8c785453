import { Temporal } from 'temporal-polyfill';

/** A moment as the clocks of a time zone show it. */
export interface LocalMoment {
  date: string;
  time: string;
}

/** The local date and time, to the minute, of an instant. */
export const localMoment = (instant: string, zone: string): LocalMoment => {
  const there = Temporal.Instant.from(instant).toZonedDateTimeISO(zone);
  return {
    date: there.toPlainDate().toString(),
    time: there.toPlainTime().toString({ smallestUnit: 'minute' }),
  };
};

/** The instant of a local date and time; a skipped time moves on by the gap, one that occurs twice is the earlier. */
export const instantOf = ({ date, time }: LocalMoment, zone: string): string =>
  Temporal.PlainDate.from(date)
    .toZonedDateTime({ timeZone: zone, plainTime: Temporal.PlainTime.from(time) })
    .toString({ timeZoneName: 'never', smallestUnit: 'second' });
