import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CarrierAnswer, CarrierQuestion } from '../../core/model/carrier.ts';
import { inShort } from '../../core/model/in-short.ts';
import { withoutPending, type Pending } from '../../core/quote/pending.ts';
import type { CompiledBook } from '../../core/quote/compile.ts';
import { carrierQuestions } from '../../core/quote/questions.ts';
import { quote } from '../../core/quote/quote.ts';
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

/** A request that nothing is wrong with, quoted with what is known of its carriers; `kept` stand for answers. */
export const quoteWithKnown = (
  compiled: CompiledBook,
  request: QuoteRequest,
  known: AnswersState,
  kept?: readonly CarrierAnswer[],
): AskedQuote => {
  if (kept) return { quote: quote(compiled, request, kept), pending: [], questions: [], answers: kept };
  const questions = carrierQuestions(compiled, request);
  const there = questions.flatMap((question) => known[questionKey(question)] ?? []);
  const waiting = new Set(questions.map(({ key }) => key));
  for (const { key } of there) waiting.delete(key);
  return { ...withoutPending(compiled, quote(compiled, request, there), waiting), questions, answers: there };
};
