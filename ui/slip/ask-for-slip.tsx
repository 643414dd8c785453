import { useMemo } from 'react';
import { useCarriers } from '../carriers/use-carriers.ts';
import { selectCompiled, selectSlip, selectSplit } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';

/** Has carriers asked what the slip needs of them, whether it is open or not. */
export const AskForSlip = () => {
  const slip = useAppSelector(selectSlip);
  const split = useAppSelector(selectSplit);
  const questions = useMemo(
    () => [...(slip?.ok ? slip.questions : []), ...(split?.questions ?? [])],
    [slip, split],
  );
  useCarriers(questions, useAppSelector(selectCompiled));
  return null;
};
