import type { Weekday } from '../model/unit.ts';

/** Days as integers, so that adding and comparing them is arithmetic: day 0 is 1970-01-01, a Thursday. */
export type DayNumber = number;

export const MS_A_DAY = 86_400_000;

/** The day number of a date written YYYY-MM-DD. */
export const dayOf = (date: string): DayNumber => Date.parse(`${date}T00:00:00Z`) / MS_A_DAY;

/** A day number as YYYY-MM-DD. */
export const dateOf = (day: DayNumber): string => new Date(day * MS_A_DAY).toISOString().slice(0, 10);

/** The day number of a moment given in milliseconds of local time. */
export const dayOfLocalMs = (localMs: number): DayNumber => Math.floor(localMs / MS_A_DAY);

/** ISO 8601 weekday: 1 is Monday. */
export const weekdayOf = (day: DayNumber): Weekday => (((((day + 3) % 7) + 7) % 7) + 1) as Weekday;

/** Minutes since midnight of a time written HH:mm. */
export const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));
