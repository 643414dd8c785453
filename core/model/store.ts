import { z } from 'zod';
import { LANGUAGES, languageSchema } from './language.ts';
import { packPlanSchema } from './pack.ts';
import { sellsToSchema } from './place.ts';
import { handlingSchema } from './price.ts';
import { currencySchema, gramsSchema, localDateSchema, moneySchema, nameSchema, noteSchema } from './unit.ts';

const isTimeZone = (name: string): boolean => {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
};

/** What holds for the whole shop. */
export const storeSchema = z.strictObject({
  name: nameSchema,
  currency: currencySchema,
  timeZone: z.string().min(1).max(60).refine(isTimeZone, { error: 'time-zone' }),
  units: z.enum(['metric', 'imperial']),
  pricesIncludeTax: z.boolean(),
  sellsTo: sellsToSchema,
  unlistedPostalCodes: z.enum(['served', 'not-served']),
  postalSpareDays: z.int().min(0).max(365),
  /** The languages that customers can choose from, the first of them the one the book is written in; English where it is left out. */
  languages: z.array(languageSchema).min(1).max(LANGUAGES.length).optional(),
  /** The product page's postal check, in the merchant's words. */
  codeCheck: z
    .strictObject({
      active: z.boolean(),
      label: nameSchema.optional(),
      served: noteSchema.optional(),
      notServed: noteSchema.optional(),
      noCash: noteSchema.optional(),
    })
    .optional(),
  defaultWeight: gramsSchema.optional(),
  packing: packPlanSchema,
  handling: handlingSchema.optional(),
  rounding: z.union([
    z.literal('none'),
    z.strictObject({ to: moneySchema.min(1), mode: z.enum(['nearest', 'up']) }),
  ]),
  pause: z
    .strictObject({
      from: localDateSchema,
      to: localDateSchema,
      message: noteSchema,
      keepPickup: z.boolean(),
    })
    .optional(),
  choiceOrder: z.enum(['listed', 'cheapest']),
});
export type Store = z.infer<typeof storeSchema>;
