import { z } from 'zod';
import { localDateSchema, localTimeSchema, weekdaySchema } from './unit.ts';

export const openingHoursSchema = z
  .strictObject({ day: weekdaySchema, from: localTimeSchema, to: localTimeSchema })
  .refine((span) => span.from < span.to, { error: 'hours-reversed' });
export type OpeningHours = z.infer<typeof openingHoursSchema>;
export const weekSchema = z.array(openingHoursSchema).max(70);
export const closedDatesSchema = z.array(localDateSchema).max(5_000);

/** When an order is ready to leave its location. */
export const preparationSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('open-minutes'), minutes: z.int().min(0).max(100_000) }),
  z.strictObject({ kind: z.literal('working-days'), days: z.int().min(0).max(365) }),
  z.strictObject({
    kind: z.literal('cut-off'),
    cutoff: localTimeSchema,
    readyAt: localTimeSchema,
    days: z.int().min(0).max(365),
  }),
]);
export type Preparation = z.infer<typeof preparationSchema>;

/** Working days after hand-over, earliest and latest. */
export const transitSchema = z.strictObject({ min: z.int().min(0).max(365), max: z.int().min(0).max(365) });
export type Transit = z.infer<typeof transitSchema>;

const horizonSchema = z.int().min(0).max(366);
const capacitySchema = z.int().min(0).max(100_000).optional();

/** What the customer is told, or may choose, about time. */
export const timingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('words'), text: z.string().max(300) }),
  z.strictObject({ kind: z.literal('days'), min: z.int().min(0).max(365), max: z.int().min(0).max(365) }),
  z.strictObject({
    kind: z.literal('day'),
    hours: weekSchema,
    horizonDays: horizonSchema,
    capacity: capacitySchema,
  }),
  z.strictObject({
    kind: z.literal('slot'),
    hours: weekSchema,
    minutes: z.int().min(5).max(1_440),
    horizonDays: horizonSchema,
    capacity: capacitySchema,
  }),
]);
export type Timing = z.infer<typeof timingSchema>;
