import { spokenLocale, t } from '../../core/translate/translate.ts';

/** Dates and moments as the preview writes them. */

/** English is written with the day before the month. */
const dateLocale = (): string => (spokenLocale() === 'en' ? 'en-GB' : spokenLocale());

/** Writes moments in one way; its rules are read at the first of them, which takes longer than all that follow. */
const writer = (options: Intl.DateTimeFormatOptions): ((moment: Date) => string) => {
  let format: Intl.DateTimeFormat | undefined;
  return (moment) => (format ??= new Intl.DateTimeFormat(dateLocale(), options)).format(moment);
};

/** The same for local dates, which are no moments. */
const dateWriter = (options: Intl.DateTimeFormatOptions): ((date: string) => string) => {
  const write = writer({ timeZone: 'UTC', ...options });
  return (date) => write(new Date(`${date}T00:00:00Z`)).replace(',', '');
};

const weekdayDay = dateWriter({ weekday: 'short', day: 'numeric' });
const weekdayDayMonth = dateWriter({ weekday: 'short', day: 'numeric', month: 'short' });

/** 'Thu 26 to Mon 30 Nov', or 'Thu 26 Nov' where both ends are one day. */
export const dateSpan = (earliest: string, latest: string): string => {
  const last = weekdayDayMonth(latest);
  if (earliest === latest) return last;
  const sameMonth = earliest.slice(0, 7) === latest.slice(0, 7);
  return t('{first} to {last}', { first: (sameMonth ? weekdayDay : weekdayDayMonth)(earliest), last });
};

/** 'Tue 24 Nov, 10:15', from a local date and time. */
export const momentText = (date: string, time: string): string => `${weekdayDayMonth(date)}, ${time}`;

const dayTime = writer({
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

/** '25 Nov 2026, 09:00': a moment as this device's clock has it. */
export const dayTimeText = (instant: string): string => dayTime(new Date(instant));

/** '26 Nov 2026', from a local date. */
export const dayText = dateWriter({ day: 'numeric', month: 'short', year: 'numeric' });

const monthYear = dateWriter({ month: 'long', year: 'numeric' });

/** 'November 2026' of '2026-11'. */
export const monthText = (month: string): string => monthYear(`${month}-01`);
