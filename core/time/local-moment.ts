import { dateInZone, inZone, isoCalendar, readDate, readInstant, readTime, zonedText } from './temporal.ts';

/** A moment as the clocks of a time zone show it. */
export interface LocalMoment {
  date: string;
  time: string;
}

/** The local date and time, to the minute, of an instant. */
export const localMoment = (instant: string, zone: string): LocalMoment => {
  const there = zonedText(inZone(readInstant(instant), zone), { offset: 'never', timeZoneName: 'never' });
  return { date: there.slice(0, 10), time: there.slice(11, 16) };
};

/** The instant of a local date and time; a skipped time moves on by the gap, one that occurs twice is the earlier. */
export const instantOf = ({ date, time }: LocalMoment, zone: string): string => {
  const there = dateInZone(readDate(date, isoCalendar), { timeZone: zone, plainTime: readTime(time) });
  return zonedText(there, { timeZoneName: 'never', smallestUnit: 'second' });
};
