import { z } from 'zod';
import { countrySchema, postalPatternSchema } from './place.ts';
import { limitsSchema, priceSchema } from './price.ts';
import { closedDatesSchema, preparationSchema, timingSchema } from './time.ts';
import { idSchema, metresSchema, moneySchema, nameSchema, noteSchema } from './unit.ts';

const positionSchema = z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)]);

export const coverageSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('postal'),
    country: countrySchema,
    patterns: z.array(postalPatternSchema).max(50_000),
  }),
  z.strictObject({ kind: z.literal('radius'), metres: metresSchema }),
  z.strictObject({ kind: z.literal('shape'), ring: z.array(positionSchema).min(3).max(10_000) }),
]);

export type Coverage = z.infer<typeof coverageSchema>;
export type Position = z.infer<typeof positionSchema>;

const methodSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  add: moneySchema,
  /** Whether what it adds is due even when the delivery is free. */
  addStays: z.boolean().optional(),
  timing: timingSchema,
  limits: limitsSchema.optional(),
  withinDays: z.int().min(0).max(366).optional(),
});

export const deliveryAreaSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  active: z.boolean(),
  locationId: idSchema,
  covers: coverageSchema,
  price: priceSchema,
  methods: z.array(methodSchema).min(1).max(50),
  preparation: preparationSchema,
  minSubtotal: moneySchema.optional(),
  freeFrom: moneySchema.optional(),
  serviceFee: z.strictObject({ name: nameSchema, amount: moneySchema }).optional(),
  limits: limitsSchema.optional(),
  instructions: noteSchema.optional(),
  /** Besides the location's, for what this area delivers. */
  closedDates: closedDatesSchema.optional(),
  taxable: z.boolean(),
});
export type DeliveryArea = z.infer<typeof deliveryAreaSchema>;
/** One method that an area's deliveries can come by: by van, by electric cart, the same day. */
export type DeliveryMethod = DeliveryArea['methods'][number];

export const pickupPointSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  active: z.boolean(),
  locationId: idSchema,
  charge: moneySchema,
  minSubtotal: moneySchema.optional(),
  maxDistance: metresSchema.optional(),
  preparation: preparationSchema,
  timing: timingSchema,
  kerbside: z.boolean(),
  /** Besides the location's, for what is collected here. */
  closedDates: closedDatesSchema.optional(),
  instructions: noteSchema.optional(),
  limits: limitsSchema.optional(),
  taxable: z.boolean(),
});
export type PickupPoint = z.infer<typeof pickupPointSchema>;

/** One line of the list of postal codes the merchant serves. */
export const postalRuleSchema = z.strictObject({
  country: countrySchema,
  pattern: postalPatternSchema,
  served: z.boolean(),
  cashOnDelivery: z.boolean(),
  days: z.int().min(0).max(365).optional(),
});
export type PostalRule = z.infer<typeof postalRuleSchema>;
