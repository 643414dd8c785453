import { z } from 'zod';
import {
  GREATEST_MONEY,
  GREATEST_WEIGHT,
  GREATEST_LENGTH,
  GREATEST_DISTANCE,
  GREATEST_POINTS,
} from './bounds.ts';

/** The units of every figure in a book, a request and a quote, as a reader holds them. */

/** A lower-case slug, unique within its collection. */
export const idSchema = z
  .string()
  .max(80)
  .regex(/^[a-z0-9][a-z0-9._-]*$/, 'slug');

/** Minor units of the store's currency, not below 0: 1250 is 12.50. */
export const moneySchema = z.int().min(0).max(GREATEST_MONEY);

/** Minor units that may be negative: a reduction. */
export const signedMoneySchema = z.int().min(-GREATEST_MONEY).max(GREATEST_MONEY);

/** Grams: whole where metric was typed, with decimals where imperial was (3 lb is 1360.77711). */
export const gramsSchema = z.number().min(0).max(GREATEST_WEIGHT);

/** Millimetres: whole where metric was typed, with decimals where imperial was (1 in is 25.4). */
export const millimetresSchema = z.number().min(0).max(GREATEST_LENGTH);

/** Metres, no further than once around the earth: whole where metric was typed, with decimals where imperial was. */
export const metresSchema = z.number().min(0).max(GREATEST_DISTANCE);

/** A count of units. */
export const countSchema = z.int().min(0).max(GREATEST_MONEY);

/** 100 is 1 %. */
export const pointsSchema = z.int().min(0).max(GREATEST_POINTS);
export const signedPointsSchema = z.int().min(-GREATEST_POINTS).max(GREATEST_POINTS);

/** ISO 4217. */
export const currencySchema = z.string().regex(/^[A-Z]{3}$/, 'currency');

/** Times are worked out between these years, both included. */
const FIRST_YEAR = 1970;
const LAST_YEAR = 2200;
/** What is no moment at all is told as that, not as too far off. */
const isInTime = (text: string): boolean => {
  const year = Number(text.slice(0, 4));
  return Number.isNaN(year) || (year >= FIRST_YEAR && year <= LAST_YEAR);
};

/** ISO 8601 with an offset or Z, from 1970 to 2200. */
const INSTANT = new RegExp(
  [z.regexes.datetime({ offset: true }), z.regexes.datetime({ offset: true, precision: -1 })]
    .map((shape) => shape.source)
    .join('|'),
);
export const instantSchema = z.string().max(40).regex(INSTANT, 'instant').refine(isInTime, 'far-from-now');

/** YYYY-MM-DD, from 1970 to 2200. */
export const localDateSchema = z.iso.date().refine(isInTime, 'far-from-now');

/** HH:mm; 24:00 is the end of the day. */
export const localTimeSchema = z.string().regex(/^(([01]\d|2[0-3]):[0-5]\d|24:00)$/, 'time');

/** ISO 8601: 1 is Monday. */
export const weekdaySchema = z.union([
  z.literal(1),
  z.literal(2),
  z.literal(3),
  z.literal(4),
  z.literal(5),
  z.literal(6),
  z.literal(7),
]);
export type Weekday = z.infer<typeof weekdaySchema>;

/** A name people read, on one line. */
export const nameSchema = z.string().trim().min(1).max(120);
/** A sentence or two people read. */
export const noteSchema = z.string().max(2_000);
/** A code of somebody else's: a stock number, a service's or a customer group's. */
export const tokenSchema = z.string().min(1).max(120);
