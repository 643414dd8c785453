import type { Book } from '../../core/model/book.ts';
import type { Catalogue, Good } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { TestOrder } from '../../core/model/test-order.ts';

/** The parts of a book that may have a hundred thousand entries. */
export type LongList = 'rateTables' | 'postalList';

/** The parts of the shop that changed since they were last handed over; a book part by part. */
export interface ShopParts {
  book?: Partial<Book>;
  /** Of lists as long as before, the entries that changed, by their places. */
  entries?: Partial<Record<keyof Book, [at: number, entry: unknown][]>>;
  /** The long lists that changed, as JSON. */
  lists?: Partial<Record<LongList, string>>;
  catalogue?: Catalogue;
  /** Of as many products as before, those that changed, by their places. */
  goods?: [at: number, good: Good][];
  testOrders?: TestOrder[];
  orders?: PastOrder[];
  /** What regions are called, by their codes of ISO 3166-2. */
  regionNames?: Record<string, string>;
}

const withEntries = <T>(list: readonly T[], entries: readonly (readonly [number, T])[]): T[] => {
  const changed = [...list];
  for (const [at, entry] of entries) changed[at] = entry;
  return changed;
};

/** Parts of a book put over those that were there. */
export const withParts = (
  book: Partial<Book>,
  { book: fields, entries = {}, lists = {} }: ShopParts,
): Partial<Book> => ({
  ...book,
  ...fields,
  ...Object.fromEntries(Object.entries(lists).map(([name, text]) => [name, JSON.parse(text)])),
  ...Object.fromEntries(
    Object.entries(entries).map(([name, few]) => [
      name,
      withEntries(book[name as keyof Book] as unknown[], few),
    ]),
  ),
});

/** A catalogue with the products that changed put over those that were there; null where there was none and none came. */
export const withCatalogue = (
  held: Catalogue | null,
  { catalogue = held ?? undefined, goods = [] }: ShopParts,
): Catalogue | null =>
  catalogue && goods.length > 0
    ? { ...catalogue, goods: withEntries(catalogue.goods, goods) }
    : (catalogue ?? null);
