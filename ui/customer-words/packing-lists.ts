import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { packedLines } from '../../core/order/picking.ts';
import { inLanguage, ownLanguage } from '../../core/words/customer/own-texts.ts';
import { packingList, type PackingList } from '../../core/words/customer/packing-list.ts';
import { currencyDecimals } from '../../core/words/figure.ts';
import { writtenAddress } from '../places/written-address.ts';
import { loadCustomerWords } from './use-customer-words.ts';

/** The packing lists of some orders, each in the language it was ordered in; none for an order with nothing to pack. */
export const packingLists = async (
  orders: readonly PastOrder[],
  book: Book,
  catalogue: Catalogue,
): Promise<PackingList[]> => {
  const { currency, units } = book.store;
  const speakerOf = await loadCustomerWords();
  const goods = new Map(catalogue.goods.map((good) => [good.sku, good]));
  return orders.flatMap((order) => {
    const lines = packedLines(order, goods);
    if (lines.length === 0) return [];
    const language = order.language ?? ownLanguage(book);
    const words = speakerOf(language, { decimals: currencyDecimals(currency), units, currency });
    const { recipient = '', request } = order;
    const address = request.destination ? writtenAddress(recipient, request.destination) : [recipient];
    const own = inLanguage(book, catalogue, language).catalogue.goods;
    const nameBySku = new Map(own.map(({ sku, name }) => [sku, name]));
    return [packingList(order, { address, lines, nameBySku }, words)];
  });
};
