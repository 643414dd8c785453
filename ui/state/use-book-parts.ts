import { shallowEqual } from 'react-redux';
import type { Book } from '../../core/model/book.ts';
import { selectBook } from './selectors.ts';
import { useAppSelector } from './store.ts';

/** Some parts of the draft's book. Who uses it is drawn again when one of these parts changed, and for no other edit. */
export const useBookParts = <K extends keyof Book>(...keys: readonly K[]): Pick<Book, K> =>
  useAppSelector((state) => {
    const book = selectBook(state);
    return Object.fromEntries(keys.map((key) => [key, book[key]])) as Pick<Book, K>;
  }, shallowEqual);
