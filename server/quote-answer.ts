import { z } from 'zod';
import type { Asker } from '../carriers/asking.ts';
import { carrierAnswerSchema, type CarrierAnswer, type CarrierQuestion } from '../core/model/carrier.ts';
import type { Fault } from '../core/model/fault.ts';
import { languageSchema, type Language } from '../core/model/language.ts';
import { destinationSchema, subdivisionSchema } from '../core/model/place.ts';
import { quoteSchema, type Quote } from '../core/model/quote.ts';
import { quoteRequestSchema } from '../core/model/request.ts';
import { parseWith } from '../core/model/schema-fault.ts';
import { toldReason } from '../core/order/obstacles.ts';
import { contradictedBy } from '../core/place/subdivision-of-code.ts';
import type { CompiledBook } from '../core/quote/compile.ts';
import { measureOrder } from '../core/quote/quote.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';
import type { CustomerWords } from '../core/words/customer/customer-words.ts';
import { completed } from '../gazetteer/complete.ts';
import { problemOf, type Problem } from './refusals.ts';
import type { ServedEdition } from './served-edition.ts';

const MOST_ANSWERS = 200;

/** An order to be quoted, with the carriers' answers where whoever asks has them. */
export const orderSchema = quoteRequestSchema.extend({
  answers: z.array(carrierAnswerSchema).max(MOST_ANSWERS).optional(),
});

/** A quote, which edition it is of, and what its customer is told of what is not offered. */
export const quoteAnswerSchema = quoteSchema.extend({
  edition: z.strictObject({ number: z.int(), digest: z.string() }),
  language: languageSchema,
  /** The address as it was quoted: its subdivision and point out of the postal code, where it said none. */
  destination: destinationSchema.nullable(),
  /** The subdivision that the postal code lies in, where the address says another. */
  codeLiesIn: subdivisionSchema.optional(),
  /** By the id of what is not offered, where customers are told of it: why, and what would help. */
  reasons: z.record(z.string(), z.strictObject({ why: z.string(), help: z.string() })),
});
export type QuoteAnswer = z.infer<typeof quoteAnswerSchema>;

const said = (faults: readonly Fault[]): string => faults.map(locatedSentence).join(' ');

/** The carriers' answers to what an order asks of them, each within its account's time. */
const askCarriers = async (
  compiled: CompiledBook,
  questions: readonly CarrierQuestion[],
  asker: Asker,
): Promise<readonly CarrierAnswer[]> => {
  const asked = questions.map((question) => ({
    question,
    timeoutMs: compiled.accounts.get(question.key)?.account.timeoutMs ?? 0,
  }));
  return asked.length === 0 ? [] : asker.ask(asked);
};

/** What customers are told of what is not offered, by its id. */
const reasonsOf = ({ withheld }: Quote, words: CustomerWords): QuoteAnswer['reasons'] =>
  Object.fromEntries(
    withheld
      .filter(({ tell }) => tell)
      .map((one) => {
        const { why, help } = toldReason(one, words);
        return [one.id, { why, help }];
      }),
  );

/** The quote of an order, or what is wrong with the order. */
export const answerOrder = async (
  edition: ServedEdition,
  value: unknown,
  language: Language,
  asker: Asker,
): Promise<QuoteAnswer | Problem> => {
  const order = parseWith(orderSchema, value);
  if (!order.ok) return problemOf('invalid', said(order.faults));
  const { compiled, words } = edition.speaking(language);
  const { answers, ...asked } = order.value;
  const destination = asked.destination && (await completed(asked.destination));
  const request = { ...asked, destination };
  const measured = measureOrder(compiled, request);
  if (!measured.ok) return problemOf('invalid', said(measured.faults));
  const { questions, quote } = measured.value;
  const quoted = quote(answers ?? (await askCarriers(compiled, questions(), asker)));
  const { currency, subtotal, goodsTax, zone, parcels, choices, withheld, notices } = quoted;
  const codeLiesIn = destination && contradictedBy(destination);
  return {
    ...{ currency, subtotal, goodsTax, zone, parcels, choices, withheld, notices },
    edition: { number: edition.number, digest: edition.digest },
    language,
    destination,
    ...(codeLiesIn ? { codeLiesIn } : {}),
    reasons: reasonsOf(quoted, words),
  };
};

/** Whether an answer is a refusal. */
export const isProblem = (answer: QuoteAnswer | Problem): answer is Problem => 'code' in answer;
