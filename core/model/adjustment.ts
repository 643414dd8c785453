import { z } from 'zod';
import { regionSchema } from './place.ts';
import { measureSchema } from './price.ts';
import { GREATEST_SUM } from './bounds.ts';
import {
  idSchema,
  localDateSchema,
  moneySchema,
  nameSchema,
  noteSchema,
  signedMoneySchema,
  signedPointsSchema,
  tokenSchema,
  weekdaySchema,
} from './unit.ts';

export const choiceKindSchema = z.enum(['shipping', 'delivery', 'pickup', 'nothing-to-ship']);
export type ChoiceKind = z.infer<typeof choiceKindSchema>;

const idsSchema = z.array(idSchema).max(2_000);
const tokensSchema = z.array(tokenSchema).max(5_000);
const goodsSchema = { groupIds: idsSchema.optional(), skus: tokensSchema.optional() };
const figureSchema = z.number().min(0).max(GREATEST_SUM).optional();
export const termsSchema = z.enum(['DAP', 'DDP', 'both']);

const conditionSchema = z.discriminatedUnion('test', [
  z.strictObject({ test: z.literal('measure'), of: measureSchema, min: figureSchema, max: figureSchema }),
  z.strictObject({ test: z.literal('goods'), match: z.enum(['any', 'every', 'none']), ...goodsSchema }),
  z.strictObject({
    test: z.literal('destination'),
    in: z.array(regionSchema).max(5_000),
    not: z.boolean().optional(),
  }),
  z.strictObject({
    test: z.literal('dates'),
    from: localDateSchema.optional(),
    to: localDateSchema.optional(),
    everyYear: z.boolean().optional(),
  }),
  z.strictObject({ test: z.literal('weekday'), days: z.array(weekdaySchema).max(7) }),
  z.strictObject({ test: z.literal('customer'), in: tokensSchema }),
  z.strictObject({ test: z.literal('code'), in: tokensSchema }),
  z.strictObject({ test: z.literal('channel'), in: tokensSchema }),
]);

export type Condition = z.infer<typeof conditionSchema>;

const effectSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('free') }),
  z.strictObject({ do: z.literal('set'), amount: moneySchema }),
  z.strictObject({
    do: z.literal('add'),
    amount: signedMoneySchema,
    per: z.enum(['order', 'parcel', 'unit', 'line']),
    goods: z.strictObject(goodsSchema).optional(),
  }),
  z.strictObject({
    do: z.literal('percent'),
    points: signedPointsSchema,
    of: z.enum(['charge', 'subtotal']),
  }),
  z.strictObject({ do: z.literal('bounds'), min: moneySchema.optional(), max: moneySchema.optional() }),
  z.strictObject({ do: z.literal('withhold'), message: noteSchema.optional() }),
  z.strictObject({ do: z.literal('terms'), terms: termsSchema }),
]);

export type Effect = z.infer<typeof effectSchema>;

/** A change to a charge under conditions. */
export const adjustmentSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  active: z.boolean(),
  when: z.array(conditionSchema).max(50),
  to: z.strictObject({
    kinds: z.array(choiceKindSchema).max(4).optional(),
    serviceIds: idsSchema.optional(),
    zoneIds: idsSchema.optional(),
    areaIds: idsSchema.optional(),
    pickupIds: idsSchema.optional(),
    carrierCodes: tokensSchema.optional(),
    methods: z
      .array(z.strictObject({ areaId: idSchema, methodId: idSchema }))
      .max(2_000)
      .optional(),
  }),
  effect: effectSchema,
  last: z.boolean().optional(),
});
export type Adjustment = z.infer<typeof adjustmentSchema>;
