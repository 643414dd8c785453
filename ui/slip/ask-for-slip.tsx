import type { AskedQuote } from '../state/answers.ts';
import { useCarriers } from '../carriers/use-carriers.ts';
import { selectCompiled, selectSlip } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';

const NO_QUESTIONS: AskedQuote['questions'] = [];

/** Has carriers asked what the slip needs of them, whether it is open or not. */
export const AskForSlip = () => {
  const slip = useAppSelector(selectSlip);
  useCarriers(slip?.ok ? slip.questions : NO_QUESTIONS, useAppSelector(selectCompiled));
  return null;
};
