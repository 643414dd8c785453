import { z } from 'zod';
import { choiceKindSchema } from './adjustment.ts';
import { sizeSchema } from './good.ts';
import { gramsSchema, idSchema, instantSchema, localDateSchema, nameSchema } from './unit.ts';

const amountSchema = z.int();

/** The rule a line of the working, or a reason, leads to. */
export const sourceSchema = z.strictObject({
  kind: z.enum([
    'rate',
    'service',
    'zone',
    'group',
    'good',
    'store',
    'adjustment',
    'area',
    'pickup',
    'carrier',
    'table',
    'postal',
    'duty',
  ]),
  id: z.string(),
});
export type Source = z.infer<typeof sourceSchema>;

/** What a sentence says as data, a code with its figures and names, so that it can be worded anew. */
const saidSchema = z.looseObject({ code: z.string() });

export const workingLineSchema = z.strictObject({
  step: z.enum([
    'price',
    'method',
    'goods-fee',
    'handling',
    'store-handling',
    'adjustment',
    'free-from',
    'rounding',
    'bounds',
    'service-fee',
    'not-below-zero',
  ]),
  text: z.string(),
  say: saidSchema.optional(),
  change: amountSchema,
  running: amountSchema,
  from: sourceSchema,
});
export type WorkingLine = z.infer<typeof workingLineSchema>;

/** What a choice's id is made of, so that nobody takes an id apart. */
export const choicePartsSchema = z.strictObject({
  rateId: z.string().max(80).optional(),
  serviceCode: z.string().max(120).optional(),
  areaId: z.string().max(80).optional(),
  methodId: z.string().max(80).optional(),
  pickupId: z.string().max(80).optional(),
  terms: z.enum(['DAP', 'DDP']).optional(),
});
export type ChoiceParts = z.infer<typeof choicePartsSchema>;

export const choiceSchema = z.strictObject({
  id: z.string(),
  kind: choiceKindSchema,
  of: choicePartsSchema,
  name: nameSchema,
  note: z.string().optional(),
  charge: amountSchema,
  tax: amountSchema,
  taxIncluded: z.boolean(),
  duties: z
    .strictObject({
      terms: z.enum(['DAP', 'DDP']),
      show: z.enum(['amount', 'mention', 'nothing']),
      duty: amountSchema,
      importTax: amountSchema,
      clearance: amountSchema,
    })
    .optional(),
  total: amountSchema,
  cost: amountSchema.optional(),
  ready: instantSchema.optional(),
  arrives: z
    .union([
      z.strictObject({ earliest: localDateSchema, latest: localDateSchema }),
      z.strictObject({ words: z.string() }),
    ])
    .optional(),
  slots: z
    .array(z.strictObject({ start: instantSchema, end: instantSchema, left: z.int().optional() }))
    .optional(),
  payments: z.array(idSchema),
  hint: z.strictObject({ kind: z.literal('free-from'), short: amountSchema }).optional(),
  working: z.array(workingLineSchema),
});
export type Choice = z.infer<typeof choiceSchema>;

export const withheldCodeSchema = z.enum([
  'store-paused',
  'not-sold-there',
  'postal-not-served',
  'no-zone',
  'no-rate',
  'rate-off',
  'channel',
  'goods-not-allowed',
  'below-limit',
  'above-limit',
  'below-first-step',
  'above-last-step',
  'no-table-row',
  'weight-unknown',
  'size-unknown',
  'does-not-pack',
  'distance-unknown',
  'price-unknown',
  'duty-unknown',
  'carrier-error',
  'carrier-none',
  'outside-area',
  'below-minimum',
  'too-far',
  'no-time-left',
  'adjustment',
  'address-needed',
]);
export type WithheldCode = z.infer<typeof withheldCodeSchema>;

export const withheldSchema = z.strictObject({
  id: z.string(),
  kind: choiceKindSchema,
  name: nameSchema,
  code: withheldCodeSchema,
  /** The figures and names of the sentence, one fixed shape for each code. */
  detail: z.record(z.string(), z.unknown()),
  text: z.string(),
  say: saidSchema.optional(),
  tell: z.boolean(),
  /** The merchant's own words for the customer, where the rate has some and tells. */
  message: z.string().optional(),
  from: sourceSchema,
});
export type Withheld = z.infer<typeof withheldSchema>;

export const parcelSchema = z.strictObject({
  boxId: idSchema.optional(),
  weight: gramsSchema,
  size: sizeSchema.optional(),
  contents: z.array(z.strictObject({ sku: z.string(), quantity: z.int() })),
  placed: z
    .array(z.strictObject({ sku: z.string(), x: z.number(), y: z.number(), z: z.number(), size: sizeSchema }))
    .optional(),
  fill: z.number().min(0).max(1).optional(),
});
export type Parcel = z.infer<typeof parcelSchema>;

export const noticeSchema = z.strictObject({
  code: z.enum(['fallback-used', 'weight-assumed', 'sandbox-rates', 'prices-exclude-duty']),
  text: z.string(),
  say: saidSchema.optional(),
});
export type Notice = z.infer<typeof noticeSchema>;

/** What a customer would be offered, how each charge came about, and why the rest is not offered. */
export const quoteSchema = z.strictObject({
  currency: z.string(),
  subtotal: amountSchema,
  goodsTax: amountSchema,
  zone: z.strictObject({ id: idSchema, name: nameSchema, because: z.string() }).nullable(),
  parcels: z.array(parcelSchema),
  choices: z.array(choiceSchema),
  withheld: z.array(withheldSchema),
  notices: z.array(noticeSchema),
});
export type Quote = z.infer<typeof quoteSchema>;
