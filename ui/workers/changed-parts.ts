import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import { listText } from '../state/lists-text.ts';
import { selectPastOrders } from '../state/selectors.ts';
import type { RootState } from '../state/store.ts';
import type { LongList, ShopParts } from './shop-parts.ts';

/** The shop as it was handed over last. */
export interface Held {
  book: Book | null;
  catalogue: Catalogue | null;
  testOrders: unknown;
  orders: unknown;
}

export const NOTHING_HELD: Held = { book: null, catalogue: null, testOrders: null, orders: null };

const LISTS: readonly LongList[] = ['rateTables', 'postalList'];
const isList = (field: string): field is LongList => LISTS.includes(field as LongList);

/** More changed entries than this part of a list, and the list goes over whole. */
const MOST_OF_A_LIST = 0.25;

/** The entries of a list that are not those of before; null where the list is of another length, or new for the most part. */
const changedEntries = <T>(now: readonly T[], before: readonly T[]): [number, T][] | null => {
  if (now.length !== before.length) return null;
  const changed = now.flatMap((entry, at): [number, T][] => (entry === before[at] ? [] : [[at, entry]]));
  return changed.length > now.length * MOST_OF_A_LIST ? null : changed;
};

/**
 * The fields of a book that are not as they were handed over last: of lists the entries, long lists as text. A
 * rate table is one entry of a hundred thousand rows, so tables always go as text.
 */
const changedFields = (book: Book, held: Book | null): Pick<ShopParts, 'book' | 'entries' | 'lists'> => {
  const whole: Partial<Record<string, unknown>> = {};
  const entries: ShopParts['entries'] = {};
  const lists: ShopParts['lists'] = {};
  // A part that the book no longer has goes over as undefined.
  for (const name of new Set([...Object.keys(book), ...Object.keys(held ?? {})])) {
    const field = name as keyof Book;
    const value: unknown = book[field];
    const before = held?.[field];
    if (value === before) continue;
    const isFew = field !== 'rateTables' && Array.isArray(value) && Array.isArray(before);
    const few = isFew ? changedEntries<unknown>(value, before) : null;
    if (few) entries[field] = few;
    else if (isList(field)) lists[field] = listText(book[field]);
    else whole[field] = value;
  }
  return { book: whole as Partial<Book>, entries, lists };
};

const changedGoods = (
  catalogue: Catalogue,
  held: Catalogue | null,
): Pick<ShopParts, 'catalogue' | 'goods'> => {
  const few = held && changedEntries(catalogue.goods, held.goods);
  return few ? { goods: few } : { catalogue };
};

/** What is to be held once the present state is handed over. */
export const heldOf = (state: RootState): Held => {
  const { book, catalogue, testOrders } = state.draft.workbook;
  return { book, catalogue, testOrders, orders: selectPastOrders(state) };
};

/** What of the shop is not as it was handed over last. */
export const changedParts = (state: RootState, held: Held): ShopParts => {
  const { workbook } = state.draft;
  const orders = selectPastOrders(state);
  return {
    ...(workbook.book === held.book ? {} : changedFields(workbook.book, held.book)),
    ...(workbook.catalogue === held.catalogue ? {} : changedGoods(workbook.catalogue, held.catalogue)),
    ...(workbook.testOrders === held.testOrders ? {} : { testOrders: workbook.testOrders }),
    ...(orders === held.orders ? {} : { orders }),
  };
};

/** What is held, as if past orders were held as they are: for whoever does not need them yet. */
export const butForOrders = (state: RootState, held: Held): Held => ({
  ...held,
  orders: selectPastOrders(state),
});

export const hasChanged = (state: RootState, held: Held): boolean => {
  const now = heldOf(state);
  return (Object.keys(now) as (keyof Held)[]).some((part) => now[part] !== held[part]);
};
