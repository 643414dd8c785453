import { z } from 'zod';
import { sizeSchema } from './good.ts';
import { gramsSchema, idSchema, moneySchema, nameSchema, tokenSchema } from './unit.ts';

export const boxSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  inside: sizeSchema,
  maxWeight: gramsSchema,
  tare: gramsSchema,
  cost: moneySchema.optional(),
  carrierBox: z.strictObject({ carrier: idSchema, code: tokenSchema }).optional(),
});

export type Box = z.infer<typeof boxSchema>;

/** How a basket becomes parcels. */
export const packPlanSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('single') }),
  z.strictObject({ kind: z.literal('by-weight'), maxWeight: gramsSchema.min(1) }),
  z.strictObject({ kind: z.literal('even'), maxWeight: gramsSchema.min(1) }),
  z.strictObject({ kind: z.literal('by-count'), maxUnits: z.int().min(1).max(99_999) }),
  z.strictObject({ kind: z.literal('boxes'), boxIds: z.array(idSchema).max(200) }),
]);
export type PackPlan = z.infer<typeof packPlanSchema>;
