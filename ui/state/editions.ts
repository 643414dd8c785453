import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import { mergeEditions, type Edition } from '../../core/formats/edition.ts';

export const editionPublished = createAction<Edition>('editions/published');
/** Editions from the device, from another tab, or from a file, beside those that are here. */
export const editionsTaken = createAction<readonly Edition[]>('editions/taken');
/** An edition got another number, for its own was given to another meanwhile. */
export const editionRenumbered = createAction<{ from: Edition; to: Edition }>('editions/renumbered');
export const demoEditionCame = createAction<Edition>('editions/demo');

/** The editions that were published, oldest first. They are facts, not part of the draft: undo leaves them. */
export const editionsReducer = (state: Edition[], action: UnknownAction): Edition[] => {
  if (editionRenumbered.match(action)) {
    const { from, to } = action.payload;
    return mergeEditions(
      state.filter((one) => one !== from),
      [to],
    );
  }
  if (editionPublished.match(action)) return mergeEditions(state, [action.payload]);
  return editionsTaken.match(action) ? mergeEditions(state, action.payload) : state;
};

/** The edition that the demo shop is served by at first; it is never kept. */
export const demoEditionReducer = (state: Edition | null, action: UnknownAction): Edition | null =>
  demoEditionCame.match(action) ? action.payload : state;
