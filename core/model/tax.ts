import { z } from 'zod';
import { choiceKindSchema, termsSchema } from './adjustment.ts';
import { countrySchema, regionSchema } from './place.ts';
import { idSchema, moneySchema, nameSchema, noteSchema, pointsSchema } from './unit.ts';

/** A tax on the goods, on the charges, or on both; all that match a destination add up. */
export const taxRateSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  region: regionSchema,
  points: pointsSchema,
  on: z.enum(['goods', 'charges', 'both']),
});
export type TaxRate = z.infer<typeof taxRateSchema>;

/** Import charges; `terms` are those of Incoterms 2020: who pays them. */
export const dutyRulesSchema = z.strictObject({
  show: z.enum(['amount', 'mention', 'nothing']),
  terms: termsSchema,
  homeCountries: z.array(countrySchema).max(300),
  clearanceFee: moneySchema,
  rates: z
    .array(
      z.strictObject({
        country: countrySchema,
        hsPrefix: z
          .string()
          .regex(/^\d{1,12}$/, 'digits')
          .optional(),
        duty: pointsSchema,
        importTax: pointsSchema,
        freeBelow: moneySchema,
        valueBasis: z.enum(['goods', 'goods-and-shipping']),
      }),
    )
    .max(20_000),
});

export type DutyRules = z.infer<typeof dutyRulesSchema>;
export type DutyRate = DutyRules['rates'][number];

export const paymentOptionSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(['online', 'at-pickup', 'on-delivery']),
  /** Absent is switched on. */
  active: z.boolean().optional(),
  for: z.array(choiceKindSchema).max(4),
  maxTotal: moneySchema.optional(),
  countries: z.array(countrySchema).max(300).optional(),
  instructions: noteSchema.optional(),
});
export type PaymentOption = z.infer<typeof paymentOptionSchema>;
