import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { nearbyOf } from '../../core/order/nearby-of.ts';
import { orderMessage } from '../../core/words/customer/order-message.ts';
import { inLanguage, ownLanguage } from '../../core/words/customer/own-texts.ts';
import { currencyDecimals } from '../../core/words/figure.ts';
import { loadCustomerWords } from './use-customer-words.ts';

/** The message to a customer about where their order stands, in the language they ordered in. */
export const customerMessage = async (
  order: PastOrder,
  book: Book,
  catalogue: Catalogue,
): Promise<string> => {
  const { currency, units, name: shop } = book.store;
  const language = order.language ?? ownLanguage(book);
  const speakerOf = await loadCustomerWords();
  const words = speakerOf(language, { decimals: currencyDecimals(currency), units, currency });
  const { location, pickup } = nearbyOf(inLanguage(book, catalogue, language).book, order);
  return orderMessage(order, { shop, location, instructions: pickup?.instructions }, words);
};
