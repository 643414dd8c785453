import { z } from 'zod';
import { sizeSchema } from './good.ts';
import { packPlanSchema } from './pack.ts';
import { destinationSchema } from './place.ts';
import { GREATEST_SUBTOTAL } from './bounds.ts';
import {
  currencySchema,
  gramsSchema,
  idSchema,
  localDateSchema,
  moneySchema,
  nameSchema,
  pointsSchema,
  tokenSchema,
} from './unit.ts';

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
  /** A lighter parcel is asked about at this weight. */
  leastParcelWeight: gramsSchema.optional(),
  /** Whether shipments are booked with it too, not only priced. */
  books: z.boolean(),
  timeoutMs: z.int().min(100).max(60_000),
});

export type CarrierAccount = z.infer<typeof carrierAccountSchema>;

/** What a carrier is asked for one account: one question for each account that a quote needs. */
export const carrierQuestionSchema = z.strictObject({
  key: idSchema,
  carrier: idSchema,
  mode: z.enum(['sandbox', 'live']),
  credentials: credentialsSchema,
  from: destinationSchema,
  to: destinationSchema,
  parcels: z
    .array(
      z.strictObject({ weight: gramsSchema, size: sizeSchema.optional(), boxCode: tokenSchema.optional() }),
    )
    .min(1)
    .max(1_000),
  residential: z.boolean(),
  handover: z.enum(['collected', 'dropped-off']),
  insured: z.int().min(0).max(GREATEST_SUBTOTAL),
  currency: currencySchema,
  shipDate: localDateSchema,
});
export type CarrierQuestion = z.infer<typeof carrierQuestionSchema>;

const MOST_DAYS = 400;
const daysSchema = z.int().min(0).max(MOST_DAYS);
const transitDaysSchema = z.strictObject({ min: daysSchema, max: daysSchema });

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
/** How a carrier failed to answer. */
export type CarrierFailure = Extract<CarrierAnswer, { ok: false }>['error'];
/** One service in a carrier's sound answer. */
export type AnsweredService = Extract<CarrierAnswer, { ok: true }>['services'][number];
