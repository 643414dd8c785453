import { useEffect, useMemo } from 'react';
import type { CarrierAnswer, CarrierQuestion } from '../../core/model/carrier.ts';
import type { CompiledBook } from '../../core/quote/compile.ts';
import { askCarriers } from './reach-carriers.ts';
import { answersCame, answersForgotten, questionKey } from '../state/answers.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';

/** A basket that is being typed is not asked about at every letter. */
const PAUSE_MS = 120;
/** How long an answer stands, and how long a failure does before the carrier is asked again. */
const FRESH_MS = 10 * 60_000;
const FAILED_MS = 15_000;

const stands = (answer: CarrierAnswer): number =>
  answer.ok || answer.error === 'refused' ? FRESH_MS : FAILED_MS;

/** Has carriers asked what is not known yet, and their answers put into the store; a change gives the old questions up. */
export const useCarriers = (questions: readonly CarrierQuestion[], { accounts }: CompiledBook): void => {
  const dispatch = useAppDispatch();
  const known = useAppSelector((state) => state.answers);
  const missing = useMemo(
    () => questions.filter((question) => !(questionKey(question) in known)),
    [questions, known],
  );
  const keys = missing.map(questionKey).join('\n');
  useEffect(() => {
    if (missing.length === 0) return undefined;
    const controller = new AbortController();
    const ask = async (): Promise<void> => {
      const asked = missing.map((question) => ({
        question,
        timeoutMs: accounts.get(question.key)?.account.timeoutMs ?? 0,
      }));
      const answers = await askCarriers(asked, controller.signal);
      if (controller.signal.aborted) return;
      const came = missing.flatMap((question, at) => {
        const answer = answers[at];
        return answer ? [[questionKey(question), answer] as const] : [];
      });
      dispatch(answersCame(came));
      for (const [key, answer] of came) setTimeout(() => dispatch(answersForgotten([key])), stands(answer));
    };
    const timer = setTimeout(() => void ask(), PAUSE_MS);
    return () => {
      clearTimeout(timer);
      controller.abort();
    };
    // The questions are the same where their keys are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [keys]);
};
