import type { Book } from '../../core/model/book.ts';
import type { Language } from '../../core/model/language.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { CustomerWords } from '../../core/words/customer/customer-words.ts';
import { ownLanguage } from '../../core/words/customer/own-texts.ts';
import { currencyDecimals } from '../../core/words/figure.ts';
import { loadCustomerWords } from './use-customer-words.ts';

/** How a shop speaks to the customer of an order: in the language it was placed in. */
export const loadOrderWords = async (
  book: Book,
): Promise<(order: PastOrder) => { language: Language; words: CustomerWords }> => {
  const { currency, units } = book.store;
  const speakerOf = await loadCustomerWords();
  return (order) => {
    const language = order.language ?? ownLanguage(book);
    return {
      language,
      words: speakerOf(language, { decimals: currencyDecimals(currency), units, currency }),
    };
  };
};
