import { createSelector } from '@reduxjs/toolkit';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue, Good } from '../../core/model/good.ts';
import { liveOf, type Edition } from '../../core/formats/edition.ts';
import { compileShop } from './compiled-shop.ts';
import type { DisplayFormat } from '../../core/words/figure.ts';
import { isDemoBook } from './demo.ts';
import { selectBook, selectCatalogue } from './selectors.ts';
import type { RootState } from './store.ts';

/** The editions of the shop; the demo shop's first belongs to it alone. */
export const selectEditions = createSelector(
  [
    (state: RootState) => state.editions,
    (state: RootState) => state.demoEdition,
    (state: RootState) => isDemoBook(selectBook(state)),
  ],
  (editions, demo, isDemo): Edition[] =>
    isDemo && demo && !editions.some(({ number }) => number === demo.number) ? [demo, ...editions] : editions,
);

/** The edition that customers are served by, or null where nothing was published yet. */
export const selectLive = createSelector([selectEditions], liveOf);

/** Whether the shopfront shows the live edition; without one it shows the draft. */
export const selectServesLive = (state: RootState): boolean =>
  state.session.shopFrom === 'live' && selectLive(state) !== null;

/** The book, the goods and all that goes with them, as the shopfront serves them. */
export const selectServedBook = (state: RootState): Book =>
  selectServesLive(state) ? (selectLive(state)?.book ?? selectBook(state)) : selectBook(state);
export const selectServedCatalogue = (state: RootState): Catalogue =>
  selectServesLive(state) ? (selectLive(state)?.catalogue ?? selectCatalogue(state)) : selectCatalogue(state);
export const selectServedCompiled = createSelector([selectServedBook, selectServedCatalogue], compileShop);
export const selectServedGoods = (state: RootState): ReadonlyMap<string, Good> =>
  selectServedCompiled(state).goods;
export const selectServedDisplayFormat = (state: RootState): DisplayFormat =>
  selectServedCompiled(state).display;
