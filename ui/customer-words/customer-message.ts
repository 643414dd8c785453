import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { nearbyOf } from '../../core/order/nearby-of.ts';
import { orderMessage } from '../../core/words/customer/order-message.ts';
import { inLanguage } from '../../core/words/customer/own-texts.ts';
import { loadOrderWords } from './order-words.ts';

/** The message to a customer about where their order stands, in the language they ordered in. */
export const customerMessage = async (
  order: PastOrder,
  book: Book,
  catalogue: Catalogue,
): Promise<string> => {
  const { language, words } = (await loadOrderWords(book))(order);
  const { location, pickup } = nearbyOf(inLanguage(book, catalogue, language).book, order);
  const { name: shop } = book.store;
  return orderMessage(order, { shop, location, instructions: pickup?.instructions }, words);
};
