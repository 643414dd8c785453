import { useMemo } from 'react';
import { useCarriers } from '../carriers/use-carriers.ts';
import { selectCompiled, selectPreview, selectSplit } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';

/** Has carriers asked what the preview needs of them, whether it is open or not. */
export const AskForPreview = () => {
  const preview = useAppSelector(selectPreview);
  const split = useAppSelector(selectSplit);
  const questions = useMemo(
    () => [...(preview?.ok ? preview.questions : []), ...(split?.questions ?? [])],
    [preview, split],
  );
  useCarriers(questions, useAppSelector(selectCompiled));
  return null;
};
