import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { Trial } from '../../core/model/trial.ts';
import { listText } from '../state/lists-text.ts';
import { selectPastOrders } from '../state/selectors.ts';
import type { RootState } from '../state/store.ts';

/** The parts of a book that may have a hundred thousand entries. */
type LongList = 'rateTables' | 'postalList';

/** The parts of the shop that changed since they were last handed over; a book part by part. */
export interface ShopParts {
  book?: Partial<Book>;
  /** The long lists that changed, as JSON. */
  lists?: Partial<Record<LongList, string>>;
  catalogue?: Catalogue;
  trials?: Trial[];
  orders?: PastOrder[];
}

/** The shop as it was handed over last. */
export interface Held {
  book: Book | null;
  catalogue: unknown;
  trials: unknown;
  orders: unknown;
}

export const NOTHING_HELD: Held = { book: null, catalogue: null, trials: null, orders: null };

const LISTS: readonly LongList[] = ['rateTables', 'postalList'];
const isList = (field: string): field is LongList => LISTS.includes(field as LongList);

/** The fields of a book that are not as they were handed over last; long lists as text. */
const changedFields = (book: Book, before: Book | null): Pick<ShopParts, 'book' | 'lists'> => {
  const changed = Object.entries(book).filter(([field, value]) => value !== before?.[field as keyof Book]);
  const lists = LISTS.filter((list) => book[list] !== before?.[list]);
  return {
    book: Object.fromEntries(changed.filter(([field]) => !isList(field))),
    lists: Object.fromEntries(lists.map((list) => [list, listText(book[list])])),
  };
};

/** What is to be held once the present state is handed over. */
export const heldOf = (state: RootState): Held => {
  const { book, catalogue, trials } = state.draft.workbook;
  return { book, catalogue, trials, orders: selectPastOrders(state) };
};

/** What of the shop is not as it was handed over last. */
export const changedParts = (state: RootState, held: Held): ShopParts => {
  const { workbook } = state.draft;
  const orders = selectPastOrders(state);
  return {
    ...(workbook.book === held.book ? {} : changedFields(workbook.book, held.book)),
    ...(workbook.catalogue === held.catalogue ? {} : { catalogue: workbook.catalogue }),
    ...(workbook.trials === held.trials ? {} : { trials: workbook.trials }),
    ...(orders === held.orders ? {} : { orders }),
  };
};

export const hasChanged = (state: RootState, held: Held): boolean => {
  const now = heldOf(state);
  return (Object.keys(now) as (keyof Held)[]).some((part) => now[part] !== held[part]);
};

/** Parts of a book put over those that were there. */
export const withParts = (book: Partial<Book>, { book: fields, lists = {} }: ShopParts): Partial<Book> => ({
  ...book,
  ...fields,
  ...Object.fromEntries(Object.entries(lists).map(([name, text]) => [name, JSON.parse(text)])),
});
