import { z } from 'zod';
import { destinationSchema } from './place.ts';
import {
  currencySchema,
  gramsSchema,
  idSchema,
  instantSchema,
  localDateSchema,
  moneySchema,
  nameSchema,
  tokenSchema,
} from './unit.ts';

/** A booked shipment as its carrier keeps it: what it costs in minor units of its currency, what each parcel weighs. */
export const shipmentSchema = z.strictObject({
  carrier: idSchema,
  tracking: tokenSchema,
  reference: tokenSchema,
  service: z.strictObject({ code: tokenSchema, name: nameSchema }),
  sandbox: z.boolean(),
  amount: moneySchema,
  currency: currencySchema,
  parcels: z.array(gramsSchema).min(1).max(1_000),
  from: destinationSchema,
  to: destinationSchema,
  bookedAt: instantSchema,
  shipDate: localDateSchema,
  due: localDateSchema,
  cancelledAt: instantSchema.optional(),
});
export type CarrierShipment = z.infer<typeof shipmentSchema>;
