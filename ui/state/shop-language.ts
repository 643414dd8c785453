import { createSelector } from '@reduxjs/toolkit';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue, Good } from '../../core/model/good.ts';
import type { Language } from '../../core/model/language.ts';
import type { CompiledBook } from '../../core/quote/compile.ts';
import { customerLanguages, inLanguage, ownLanguage } from '../../core/words/customer/own-texts.ts';
import { compileShop } from './compiled-shop.ts';
import { selectServedBook, selectServedCatalogue, selectServedCompiled } from './served.ts';
import type { RootState } from './store.ts';

/** The language in which the customer reads the shop: what they chose, as long as the shop has it; else its own. */
export const selectShopLanguage = (state: RootState): Language => {
  const book = selectServedBook(state);
  const chosen = state.session.shopLanguage;
  return chosen !== null && customerLanguages(book).includes(chosen) ? chosen : ownLanguage(book);
};

const selectShop = createSelector([selectServedBook, selectServedCatalogue, selectShopLanguage], inLanguage);

/** The book and the products that are served, with the texts that customers read in their language. */
export const selectShopBook = (state: RootState): Book => selectShop(state).book;
export const selectShopCatalogue = (state: RootState): Catalogue => selectShop(state).catalogue;

const selectTranslated = createSelector([selectShopBook, selectShopCatalogue], compileShop);

/** What is served, ready for quotes, in the customer's language. */
export const selectShopCompiled = (state: RootState): CompiledBook =>
  selectShopBook(state) === selectServedBook(state) ? selectServedCompiled(state) : selectTranslated(state);
export const selectShopGoods = (state: RootState): ReadonlyMap<string, Good> =>
  selectShopCompiled(state).goods;
