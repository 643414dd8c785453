import { z } from 'zod';
import { goodSchema } from './good.ts';
import { destinationSchema } from './place.ts';
import { GREATEST_QUANTITY, GREATEST_SUBTOTAL } from './bounds.ts';
import { instantSchema, tokenSchema } from './unit.ts';

/** A line names a good of the catalogue by `sku`, or carries the good's fields itself, or overrides some. */
export const lineSchema = goodSchema.partial().extend({
  sku: tokenSchema,
  quantity: z.int().min(1).max(GREATEST_QUANTITY),
});
export type Line = z.infer<typeof lineSchema>;

/** What a quote is asked: where to, what, and when. A null destination is not known yet. */
export const quoteRequestSchema = z.strictObject({
  destination: destinationSchema.nullable(),
  lines: z.array(lineSchema).min(1).max(1_000),
  placedAt: instantSchema,
  discount: z.int().min(0).max(GREATEST_SUBTOTAL).optional(),
  customer: tokenSchema.optional(),
  code: tokenSchema.optional(),
  channel: tokenSchema.optional(),
  slotsTaken: z
    .array(
      z.strictObject({ id: z.string().max(170), start: instantSchema, count: z.int().min(0).max(100_000) }),
    )
    .max(20_000)
    .optional(),
});
export type QuoteRequest = z.infer<typeof quoteRequestSchema>;
