import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CarrierAnswer, CarrierQuestion } from '../../core/model/carrier.ts';
import type { Result } from '../../core/model/fault.ts';
import { inShort } from '../../core/model/in-short.ts';
import { withoutPending, type Pending } from '../../core/quote/pending.ts';
import type { CompiledBook } from '../../core/quote/compile.ts';
import { measureOrder } from '../../core/quote/quote.ts';
import type { Quote } from '../../core/model/quote.ts';
import type { QuoteRequest } from '../../core/model/request.ts';

/** What carriers said, by the question; kept for this visit only. */
export type AnswersState = Readonly<Record<string, CarrierAnswer>>;

/** The key under which a question's answer is kept: with another secret it is another; the secret is not in it. */
export const questionKey = ({ credentials, ...question }: CarrierQuestion): string => {
  const secret = credentials.kind === 'own' ? inShort(credentials.secret ?? '') : '';
  return JSON.stringify([credentials.kind === 'own' ? credentials.accountNumber : '', secret, question]);
};

const answers = createSlice({
  name: 'answers',
  initialState: {} as Record<string, CarrierAnswer>,
  reducers: {
    answersCame: (
      state,
      { payload }: PayloadAction<readonly (readonly [key: string, answer: CarrierAnswer])[]>,
    ) => ({
      ...state,
      ...Object.fromEntries(payload),
    }),
    /** Answers grown old; without keys, all of them. */
    answersForgotten: (state, { payload }: PayloadAction<readonly string[] | null>) =>
      payload === null
        ? {}
        : Object.fromEntries(Object.entries(state).filter(([key]) => !payload.includes(key))),
  },
});
export const { answersCame, answersForgotten } = answers.actions;
export const answersReducer = answers.reducer;

/** A quote with the carriers' answers that are known, what still waits, and what has to be asked. */
export interface AskedQuote {
  quote: Quote;
  pending: readonly Pending[];
  questions: readonly CarrierQuestion[];
  answers: readonly CarrierAnswer[];
}

/** An order quoted with what is known of its carriers, or what is wrong with it; `kept` stand for answers. */
export const askedQuote = (
  compiled: CompiledBook,
  request: QuoteRequest,
  known: AnswersState,
  kept?: readonly CarrierAnswer[],
): Result<AskedQuote> => {
  const measured = measureOrder(compiled, request);
  if (!measured.ok) return measured;
  const { quote } = measured.value;
  if (kept) return { ok: true, value: { quote: quote(kept), pending: [], questions: [], answers: kept } };
  const questions = measured.value.questions();
  const there = questions.flatMap((question) => known[questionKey(question)] ?? []);
  const waiting = new Set(questions.map(({ key }) => key));
  for (const { key } of there) waiting.delete(key);
  return {
    ok: true,
    value: { ...withoutPending(compiled, quote(there), waiting), questions, answers: there },
  };
};

/** The same for an order that nothing is wrong with; another throws. */
export const quoteWithKnown = (
  compiled: CompiledBook,
  request: QuoteRequest,
  known: AnswersState,
): AskedQuote => {
  const asked = askedQuote(compiled, request, known);
  if (asked.ok) return asked.value;
  throw new Error(`the request was not checked: ${asked.faults.map(({ code }) => code).join(', ')}`);
};
