import { z } from 'zod';
import { destinationSchema } from './place.ts';
import { closedDatesSchema, preparationSchema, weekSchema } from './time.ts';
import { idSchema, nameSchema } from './unit.ts';

/** A place of the merchant's that orders leave from, with the hours it is open. */
export const locationSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  address: destinationSchema,
  hours: weekSchema,
  closedDates: closedDatesSchema,
  preparation: preparationSchema.optional(),
});
export type Location = z.infer<typeof locationSchema>;
