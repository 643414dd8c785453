/** Dates and moments as the preview writes them, in English. */

const format = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
  new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...options });

const WEEKDAY_DAY = format({ weekday: 'short', day: 'numeric' });
const WEEKDAY_DAY_MONTH = format({ weekday: 'short', day: 'numeric', month: 'short' });

const dateAt = (date: string): Date => new Date(`${date}T00:00:00Z`);
const plain = (text: string): string => text.replace(',', '');

/** 'Thu 26 to Mon 30 Nov', or 'Thu 26 Nov' where both ends are one day. */
export const dateSpan = (earliest: string, latest: string): string => {
  const last = plain(WEEKDAY_DAY_MONTH.format(dateAt(latest)));
  if (earliest === latest) return last;
  const sameMonth = earliest.slice(0, 7) === latest.slice(0, 7);
  return `${plain((sameMonth ? WEEKDAY_DAY : WEEKDAY_DAY_MONTH).format(dateAt(earliest)))} to ${last}`;
};

/** 'Tue 24 Nov, 10:15', from a local date and time. */
export const momentText = (date: string, time: string): string =>
  `${plain(WEEKDAY_DAY_MONTH.format(dateAt(date)))}, ${time}`;

const DAY_TIME = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

/** '25 Nov 2026, 09:00': a moment as this device's clock has it. */
export const dayTimeText = (instant: string): string => DAY_TIME.format(new Date(instant));

const DAY_MONTH_YEAR = format({ day: 'numeric', month: 'short', year: 'numeric' });

/** '26 Nov 2026', from a local date. */
export const dayText = (date: string): string => DAY_MONTH_YEAR.format(dateAt(date));

const MONTH_YEAR = format({ month: 'long', year: 'numeric' });

/** 'November 2026' of '2026-11'. */
export const monthText = (month: string): string => MONTH_YEAR.format(dateAt(`${month}-01`));
