import { z } from 'zod';
import { choiceKindSchema } from './adjustment.ts';
import { languageSchema } from './language.ts';
import { destinationSchema } from './place.ts';
import { choicePartsSchema } from './quote.ts';
import { quoteRequestSchema } from './request.ts';
import { shipmentSchema } from './shipment.ts';
import { idSchema, instantSchema, localDateSchema, nameSchema } from './unit.ts';

/** Minor units, not below 0; a sum may be greater than any one amount of a book. */
const sumSchema = z.int().min(0);

const statusSchema = z.enum([
  'placed',
  'packed',
  'booked',
  'on-its-way',
  'ready',
  'handed-over',
  'cancelled',
]);

/** An order that was placed: what was asked, which choice was taken and what was charged for it, in minor units. */
export const pastOrderSchema = z.strictObject({
  number: z.string().min(1).max(40),
  request: quoteRequestSchema,
  chosen: z.strictObject({
    id: z.string().max(250),
    kind: choiceKindSchema,
    of: choicePartsSchema.optional(),
    name: nameSchema,
    /** The name that the customer read, where they read another language than the book's. */
    shownAs: nameSchema.optional(),
    charge: sumSchema,
    total: sumSchema,
    /** Whether it was the merchant's fallback, the carrier having given no price. */
    fallback: z.literal(true).optional(),
    slot: z.strictObject({ start: instantSchema, end: instantSchema }).optional(),
  }),
  cost: sumSchema.optional(),
  payment: idSchema.optional(),
  /** How the customer is reached; checkout asks for one of them. */
  contact: z
    .strictObject({ email: z.string().max(254).optional(), phone: z.string().max(40).optional() })
    .optional(),
  /** The language the customer ordered in; the shop's own where it is left out. */
  language: languageSchema.optional(),
  status: statusSchema,
  history: z
    .array(z.strictObject({ status: statusSchema, at: instantSchema }))
    .min(1)
    .max(100),
  /** What the customer was told of the time when it was placed. */
  promise: z
    .strictObject({
      ready: instantSchema.optional(),
      latest: localDateSchema.optional(),
      words: z.string().max(300).optional(),
    })
    .optional(),
  /** The shipment that was booked for it, as its carrier keeps it. */
  shipment: shipmentSchema.optional(),
  /** Who receives it, and where the bill goes if elsewhere. */
  recipient: nameSchema.optional(),
  billing: z.strictObject({ name: nameSchema, address: destinationSchema }).optional(),
  /** What the goods came to, the taxes on all of it, what the customer paid, and the import charges among it. */
  sums: z
    .strictObject({ goods: sumSchema, taxes: sumSchema, total: sumSchema, prepaid: sumSchema.optional() })
    .optional(),
});
/** The states of an order, the earlier first; one may be passed over. */
export const ORDER_STATUSES = statusSchema.options;
/** Where an order stands on its way to the customer. */
export type OrderStatus = z.infer<typeof statusSchema>;
export type PastOrder = z.infer<typeof pastOrderSchema>;
export const pastOrdersSchema = z.array(pastOrderSchema).max(200_000);
