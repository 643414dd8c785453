import { createSelector } from '@reduxjs/toolkit';
import { stillToDo } from '../../../core/begin/still-to-do.ts';
import { selectBook, selectCatalogue, selectTestOrders } from '../../state/selectors.ts';
import { selectLive } from '../../state/served.ts';
import type { RootState } from '../../state/store.ts';

/** How many test orders the last run found not to give what they should. */
const selectFailing = (state: RootState): number =>
  state.check.check?.results.filter(({ kept }) => !kept).length ?? 0;

/** What the draft still needs. */
export const selectToDos = createSelector(
  [selectBook, selectCatalogue, selectTestOrders, selectFailing, selectLive],
  (book, { goods }, testOrders, failing, live) =>
    stillToDo({ book, goods, testOrders, failing, isPublished: live !== null }),
);
