import { z } from 'zod';
import { choiceKindSchema } from './adjustment.ts';
import { carrierAnswerSchema } from './carrier.ts';
import { withheldCodeSchema } from './quote.ts';
import { quoteRequestSchema } from './request.ts';
import { idSchema, moneySchema, nameSchema } from './unit.ts';

const expectationSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('offered'),
    choiceId: z.string().max(250),
    charge: z.union([moneySchema, z.strictObject({ min: moneySchema, max: moneySchema })]).optional(),
  }),
  z.strictObject({
    kind: z.literal('withheld'),
    id: z.string().max(250),
    code: withheldCodeSchema.optional(),
  }),
  z.strictObject({
    kind: z.literal('how-many'),
    of: choiceKindSchema,
    min: z.int().min(0).max(1_000).optional(),
    max: z.int().min(0).max(1_000).optional(),
  }),
  z.strictObject({ kind: z.literal('cheapest'), choiceId: z.string().max(250) }),
]);

/** A carrier's answer that is kept: as in the asking, none prices a service at nothing. */
const keptAnswerSchema = carrierAnswerSchema.refine(
  (answer) => !answer.ok || answer.services.every(({ amount }) => amount > 0),
  'priced-at-nothing',
);

/** A saved order with what it should give. */
export const testOrderSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  request: quoteRequestSchema,
  answers: z.array(keptAnswerSchema).max(200).optional(),
  expects: z.array(expectationSchema).max(200),
  pinned: z.boolean().optional(),
  /** The heading under which it stands among the test orders. */
  group: nameSchema.optional(),
});
export type TestOrder = z.infer<typeof testOrderSchema>;
export const testOrdersSchema = z.array(testOrderSchema).max(2_000);
