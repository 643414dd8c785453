import type { Middleware } from '@reduxjs/toolkit';
import { t } from '../../core/translate/translate.ts';
import { faultSentence } from '../../core/words/fault-sentence.ts';
import type { DraftState } from './draft.ts';
import { messageShown } from './session.ts';

/** Says so where an edit was refused: the draft is as it was before it. */
export const tellRefusals: Middleware = (store) => (next) => (action) => {
  const refusedOf = (): DraftState['refused'] => (store.getState() as { draft: DraftState }).draft.refused;
  const before = refusedOf();
  const result = next(action);
  const refused = refusedOf();
  if (refused && refused !== before) {
    const [fault] = refused.faults;
    const why = fault ? faultSentence(fault) : '';
    store.dispatch(
      messageShown({
        text: t('Not changed: {refused}. {why}', { refused: refused.label, why }),
        undo: false,
      }),
    );
  }
  return result;
};
