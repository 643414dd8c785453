import type { PostalRule } from '../model/delivery.ts';
import type { PastOrder } from '../model/order.ts';
import type { TableRow } from '../model/price.ts';
import type { ListFormat } from './list-format.ts';
import { PAST_ORDERS, type PastColumn, type PastMeaning } from './past-orders-table.ts';
import { POSTAL_LIST, type PostalColumn, type PostalMeaning } from './postal-list.ts';
import { RATE_TABLE, type TableColumn, type TableMeaning } from './rate-table.ts';
import { SHOP_TEXTS, type TextColumn, type TextMeaning, type TextRow } from './texts-table.ts';

/** The long lists that are read beside the page: what each has for columns, what its rows are, and how it is meant. */
export interface Lists {
  'rate-table': { column: TableColumn; item: TableRow; meaning: TableMeaning };
  'postal-list': { column: PostalColumn; item: PostalRule; meaning: PostalMeaning };
  'past-orders': { column: PastColumn; item: PastOrder; meaning: PastMeaning };
  texts: { column: TextColumn; item: TextRow; meaning: TextMeaning };
}
export type ListName = keyof Lists;

export type ListFormats = {
  [K in ListName]: ListFormat<Lists[K]['column'], Lists[K]['item'], Lists[K]['meaning']>;
};

export const LISTS: ListFormats = {
  'rate-table': RATE_TABLE,
  'postal-list': POSTAL_LIST,
  'past-orders': PAST_ORDERS,
  texts: SHOP_TEXTS,
};
