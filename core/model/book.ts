import { z } from 'zod';
import { adjustmentSchema } from './adjustment.ts';
import { carrierAccountSchema } from './carrier.ts';
import { deliveryAreaSchema, pickupPointSchema, postalRuleSchema } from './delivery.ts';
import { handlingGroupSchema } from './good.ts';
import { translationSchema } from './language.ts';
import { locationSchema } from './location.ts';
import { boxSchema } from './pack.ts';
import { zoneSchema } from './place.ts';
import { rateTableSchema } from './price.ts';
import { rateSchema, serviceSchema } from './rate.ts';
import { storeSchema } from './store.ts';
import { dutyRulesSchema, paymentOptionSchema, taxRateSchema } from './tax.ts';

/** All that the merchant defines about reach and charges. */
export const bookSchema = z.strictObject({
  format: z.literal('emporos-book'),
  version: z.literal(2),
  store: storeSchema,
  locations: z.array(locationSchema).max(2_000),
  groups: z.array(handlingGroupSchema).max(2_000),
  boxes: z.array(boxSchema).max(2_000),
  zones: z.array(zoneSchema).max(2_000),
  services: z.array(serviceSchema).max(200),
  rates: z.array(rateSchema).max(50_000),
  rateTables: z.array(rateTableSchema).max(200),
  carriers: z.array(carrierAccountSchema).max(200),
  areas: z.array(deliveryAreaSchema).max(20_000),
  pickups: z.array(pickupPointSchema).max(5_000),
  postalList: z.array(postalRuleSchema).max(200_000),
  adjustments: z.array(adjustmentSchema).max(2_000),
  payments: z.array(paymentOptionSchema).max(200),
  taxes: z.array(taxRateSchema).max(20_000),
  duties: dutyRulesSchema,
  /** What customers read in the shop's other languages. */
  translations: z.array(translationSchema).max(20_000).optional(),
});
export type Book = z.infer<typeof bookSchema>;
