import { z } from 'zod';
import { handlingSchema, limitsSchema, priceSchema } from './price.ts';
import { transitSchema } from './time.ts';
import { idSchema, moneySchema, nameSchema, noteSchema, tokenSchema } from './unit.ts';

/** A way of shipping that the merchant names. */
export const serviceSchema = z.strictObject({ id: idSchema, name: nameSchema, note: noteSchema.optional() });
export type Service = z.infer<typeof serviceSchema>;

/** One cell of the board: what one service costs in one zone. At most one for each pair. */
export const rateSchema = z.strictObject({
  id: idSchema,
  serviceId: idSchema,
  zoneId: idSchema,
  active: z.boolean(),
  price: priceSchema,
  limits: limitsSchema.optional(),
  handling: handlingSchema.optional(),
  freeFrom: moneySchema.optional(),
  bounds: z.strictObject({ min: moneySchema.optional(), max: moneySchema.optional() }).optional(),
  transit: transitSchema.optional(),
  whenWithheld: z.enum(['hide', 'tell']),
  message: noteSchema.optional(),
  channels: z.array(tokenSchema).max(100).optional(),
  taxable: z.boolean(),
});
export type Rate = z.infer<typeof rateSchema>;
