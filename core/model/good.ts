import { z } from 'zod';
import { gramsSchema, idSchema, millimetresSchema, moneySchema, nameSchema, tokenSchema } from './unit.ts';

export const sizeSchema = z.strictObject({
  length: millimetresSchema,
  width: millimetresSchema,
  height: millimetresSchema,
});
export type Size = z.infer<typeof sizeSchema>;

const anyNoneSome = (most: number) =>
  z.union([z.literal('any'), z.literal('none'), z.array(idSchema).max(most)]);

/** Products that travel alike: which services may carry them and where, which areas deliver them, where they are collected. */
export const handlingGroupSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  shipping: anyNoneSome(200),
  delivery: anyNoneSome(20_000),
  pickup: anyNoneSome(5_000),
  onlyZones: z.array(idSchema).max(2_000).optional(),
  neverZones: z.array(idSchema).max(2_000).optional(),
});

export type HandlingGroup = z.infer<typeof handlingGroupSchema>;
/** Everything of a kind, nothing of it, or those that are named. */
export type AnyNoneSome = HandlingGroup['shipping'];

/** One thing the shop sells. An absent weight or size is unknown, never zero. */
export const goodSchema = z.strictObject({
  sku: tokenSchema,
  name: nameSchema,
  price: moneySchema,
  fulfilment: z.enum(['physical', 'digital']),
  weight: gramsSchema.optional(),
  size: sizeSchema.optional(),
  /** Each of them must let it through. */
  groupIds: z.array(idSchema).max(50).optional(),
  chargeFree: z.boolean().optional(),
  shippingPrice: moneySchema.optional(),
  onceFee: moneySchema.optional(),
  packsAlone: z.boolean().optional(),
  keepUpright: z.boolean().optional(),
  hsCode: z.string().max(20).optional(),
  madeIn: z.string().max(60).optional(),
});
export type Good = z.infer<typeof goodSchema>;

export const catalogueSchema = z.strictObject({
  format: z.literal('emporos-catalogue'),
  version: z.literal(1),
  goods: z.array(goodSchema).max(100_000),
});
export type Catalogue = z.infer<typeof catalogueSchema>;
