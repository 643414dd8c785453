import { z } from 'zod';
import { packPlanSchema } from './pack.ts';
import { countSchema, idSchema, moneySchema, nameSchema, pointsSchema, tokenSchema } from './unit.ts';

const credentialsSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('shared') }),
  z.strictObject({
    kind: z.literal('own'),
    accountNumber: tokenSchema,
    secret: z.string().max(500).optional(),
  }),
]);

export const carrierAccountSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  carrier: idSchema,
  mode: z.enum(['sandbox', 'live']),
  credentials: credentialsSchema,
  locationId: idSchema,
  handover: z.enum(['collected', 'dropped-off']),
  address: z.enum(['residential', 'business', 'as-given']),
  insure: pointsSchema.optional(),
  packing: packPlanSchema,
  booking: z.enum(['rate-only', 'rate-and-book']),
  timeoutMs: z.int().min(100).max(60_000),
});

const transitDaysSchema = z.strictObject({ min: countSchema, max: countSchema });

/** What a carrier said to one question. */
export const carrierAnswerSchema = z.discriminatedUnion('ok', [
  z.strictObject({
    key: idSchema,
    ok: z.literal(true),
    services: z
      .array(
        z.strictObject({
          code: tokenSchema,
          name: nameSchema,
          amount: moneySchema,
          days: transitDaysSchema.optional(),
        }),
      )
      .max(200),
  }),
  z.strictObject({
    key: idSchema,
    ok: z.literal(false),
    error: z.enum(['unreachable', 'timed-out', 'refused', 'malformed']),
    text: z.string().max(2_000),
  }),
]);
export type CarrierAnswer = z.infer<typeof carrierAnswerSchema>;
