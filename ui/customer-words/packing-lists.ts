import type { Book } from '../../core/model/book.ts';
import type { Good } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { packedLines } from '../../core/order/picking.ts';
import { textIn } from '../../core/words/customer/own-texts.ts';
import { packingList, type PackingList } from '../../core/words/customer/packing-list.ts';
import { writtenAddress } from '../places/written-address.ts';
import { loadOrderWords } from './order-words.ts';

/** The packing lists of some orders, each in the language it was ordered in. */
export const packingLists = async (
  orders: readonly PastOrder[],
  book: Book,
  goods: ReadonlyMap<string, Good>,
): Promise<PackingList[]> => {
  const wordsOf = await loadOrderWords(book);
  return orders.map((order) => {
    const { language, words } = wordsOf(order);
    const { recipient = '', request } = order;
    const address = request.destination ? writtenAddress(recipient, request.destination) : [recipient];
    const inTheirs = textIn(book, language);
    const lines = packedLines(order, goods).map(({ sku, name, quantity }) => ({
      name: inTheirs(name ?? goods.get(sku)?.name ?? sku),
      quantity,
    }));
    return packingList(order, { address, lines }, words);
  });
};
