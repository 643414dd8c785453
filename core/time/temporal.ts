/**
 * What is used of Temporal, by its functions rather than its classes: a bundler then takes these alone, a third of the
 * whole. Metro takes nothing out of a module by itself; metro.config.js hands it this file already bundled.
 */
export { getISO as isoCalendar } from 'temporal-polyfill/fns/Calendar';
export {
  fromEpochMilliseconds as instantOfMs,
  fromString as readInstant,
  toZonedDateTimeISO as inZone,
} from 'temporal-polyfill/fns/Instant';
export {
  addDays,
  dayOfWeek,
  fromString as readDate,
  toString as dateText,
  toZonedDateTime as dateInZone,
  weekOfYear,
} from 'temporal-polyfill/fns/PlainDate';
export { fromString as readTime } from 'temporal-polyfill/fns/PlainTime';
export { offsetNanoseconds, toString as zonedText } from 'temporal-polyfill/fns/ZonedDateTime';
