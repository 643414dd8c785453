import { z } from 'zod';
import { countrySchema, postalPatternSchema, subdivisionSchema } from './place.ts';
import { transitSchema } from './time.ts';
import { GREATEST_SUM } from './bounds.ts';
import {
  noteSchema,
  countSchema,
  idSchema,
  moneySchema,
  nameSchema,
  pointsSchema,
  signedMoneySchema,
  signedPointsSchema,
  tokenSchema,
} from './unit.ts';

export const measureSchema = z.enum(['weight', 'subtotal', 'units', 'volume', 'distance']);
export type Measure = z.infer<typeof measureSchema>;

/** A measured value: grams, minor units, units, cubic millimetres or metres, by its measure; whole but for imperial units. */
const valueSchema = z.number().min(0).max(GREATEST_SUM);

/** Added for what lies above a step's `from`. */
export const eachSchema = z.strictObject({
  size: z.number().min(0.001).max(GREATEST_SUM),
  amount: moneySchema,
  count: z.enum(['started', 'exact']),
});
export type Each = z.infer<typeof eachSchema>;

export const stepSchema = z.strictObject({
  from: valueSchema,
  amount: moneySchema,
  each: eachSchema.optional(),
  percent: pointsSchema.optional(),
});
export type Step = z.infer<typeof stepSchema>;

export const flatPriceSchema = z.strictObject({
  kind: z.literal('flat'),
  amount: moneySchema,
  per: z.enum(['order', 'parcel', 'unit', 'line']),
  first: moneySchema.optional(),
});

export const stepsPriceSchema = z.strictObject({
  kind: z.literal('steps'),
  basis: measureSchema,
  per: z.enum(['order', 'parcel']),
  steps: z.array(stepSchema).min(1).max(2_000),
  until: valueSchema.optional(),
});
export type StepsPrice = z.infer<typeof stepsPriceSchema>;

export const fallbackSchema = z.strictObject({
  amount: moneySchema,
  per: z.enum(['order', 'parcel']),
  /** Its own name and note for customers, in place of the service's. */
  label: nameSchema.optional(),
  note: noteSchema.optional(),
});
export type Fallback = z.infer<typeof fallbackSchema>;
const otherwiseSchema = z.union([z.literal('withhold'), fallbackSchema]);

export const carrierPriceSchema = z.strictObject({
  kind: z.literal('carrier'),
  accountId: idSchema,
  services: z
    .array(
      z.strictObject({
        code: tokenSchema,
        label: nameSchema.optional(),
        change: z
          .strictObject({ amount: signedMoneySchema.optional(), points: signedPointsSchema.optional() })
          .optional(),
        override: moneySchema.optional(),
        freeFrom: moneySchema.optional(),
        /** Working days after hand-over, in place of the carrier's own. */
        transit: transitSchema.optional(),
      }),
    )
    .max(100),
  show: z.enum(['all', 'cheapest', 'fastest']),
  onError: otherwiseSchema,
  onNone: otherwiseSchema,
});

export type CarrierPrice = z.infer<typeof carrierPriceSchema>;
export type CarrierService = CarrierPrice['services'][number];

export const priceSchema = z.discriminatedUnion('kind', [
  flatPriceSchema,
  stepsPriceSchema,
  z.strictObject({
    kind: z.literal('percent'),
    points: pointsSchema,
    min: moneySchema.optional(),
    max: moneySchema.optional(),
  }),
  z.strictObject({
    kind: z.literal('per-product'),
    otherwise: moneySchema.nullable(),
    per: z.enum(['unit', 'line']),
  }),
  z.strictObject({ kind: z.literal('table'), tableId: idSchema }),
  carrierPriceSchema,
]);
export type Price = z.infer<typeof priceSchema>;

const tableRowSchema = z.strictObject({
  country: countrySchema.optional(),
  subdivision: subdivisionSchema.optional(),
  postal: postalPatternSchema.optional(),
  from: valueSchema,
  to: valueSchema.optional(),
  amount: moneySchema,
  each: eachSchema.optional(),
});
export type TableRow = z.infer<typeof tableRowSchema>;

/** A large table, usually imported: the most specific place wins, then the row whose range holds the value. */
export const rateTableSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  basis: measureSchema,
  rows: z.array(tableRowSchema).max(200_000),
});
export type RateTable = z.infer<typeof rateTableSchema>;

/** `points` of the charge so far, plus `amount` for each of `per`. */
export const handlingSchema = z.strictObject({
  amount: moneySchema.optional(),
  points: pointsSchema.optional(),
  per: z.enum(['order', 'parcel', 'unit']),
});
export type Handling = z.infer<typeof handlingSchema>;

const between = <T extends z.ZodType>(figure: T) =>
  z.strictObject({ min: figure.optional(), max: figure.optional() }).optional();

/** What a basket may measure, both ends included. */
export const limitsSchema = z.strictObject({
  weight: between(valueSchema),
  subtotal: between(valueSchema),
  units: between(countSchema),
  volume: between(valueSchema),
  longestSide: z.strictObject({ max: valueSchema.optional() }).optional(),
});
export type Limits = z.infer<typeof limitsSchema>;
export type LimitMeasure = keyof Limits;
