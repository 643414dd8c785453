import type { CarrierQuestion } from '../../core/model/carrier.ts';
import type { QuoteRequest } from '../../core/model/request.ts';
import type { CompiledBook } from '../../core/quote/compile.ts';
import { splitBasket, type Split } from '../../core/quote/split.ts';
import { questionKey, quoteWithKnown, type AnswersState } from './answers.ts';

/** A basket in parts as far as their carriers have answered, and what has to be asked of them. */
export interface AskedSplit {
  /** Null where nothing can be parted, or while a carrier's answer may still change how. */
  split: Split | null;
  waits: boolean;
  questions: readonly CarrierQuestion[];
}

/** Beyond so many questions carriers are not troubled: the parts go by what the shop prices itself. */
const MOST_QUESTIONS = 60;

/** The fewest parts a basket can be had in, with what is known of the carriers of each. */
export const splitWithKnown = (
  compiled: CompiledBook,
  request: QuoteRequest,
  known: AnswersState,
): AskedSplit => {
  const questions = new Map<string, CarrierQuestion>();
  let waits = false;
  const split = splitBasket(compiled, request, (part) => {
    const asked = quoteWithKnown(compiled, part, known);
    for (const question of asked.questions) questions.set(questionKey(question), question);
    waits ||= asked.pending.length > 0;
    return asked.quote.choices;
  });
  return questions.size > MOST_QUESTIONS
    ? { split: splitBasket(compiled, request), waits: false, questions: [] }
    : { split: waits ? null : split, waits, questions: [...questions.values()] };
};
