import { saveFile } from './files.ts';
import { momentNow } from '../time/now.ts';

/** What stands in a calendar: from when to when, what, and where. */
export interface CalendarEntry {
  uid: string;
  title: string;
  start: string;
  end: string;
  where: string;
  text: string;
}

/** An entry as an iCalendar file (RFC 5545), in universal time. */
export const calendarText = async (entry: CalendarEntry, made: string): Promise<string> => {
  const { default: ical } = await import('ical.js');
  const calendar = new ical.Component(['vcalendar', [], []]);
  calendar.updatePropertyWithValue('prodid', '-//Emporos//Order//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  const event = new ical.Component('vevent');
  const time = (instant: string) => ical.Time.fromJSDate(new Date(instant), true);
  event.updatePropertyWithValue('uid', entry.uid);
  event.updatePropertyWithValue('dtstamp', time(made));
  event.updatePropertyWithValue('dtstart', time(entry.start));
  event.updatePropertyWithValue('dtend', time(entry.end));
  event.updatePropertyWithValue('summary', entry.title);
  if (entry.where !== '') event.updatePropertyWithValue('location', entry.where);
  if (entry.text !== '') event.updatePropertyWithValue('description', entry.text);
  calendar.addSubcomponent(event);
  return `${calendar.toString()}\r\n`;
};

/** Hands an entry to the person as a calendar file. */
export const saveCalendar = async (name: string, entry: CalendarEntry): Promise<void> =>
  saveFile(name, await calendarText(entry, momentNow()));
