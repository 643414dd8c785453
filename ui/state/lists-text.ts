import type { Book } from '../../core/model/book.ts';
import { memoizeByObject } from '../../core/memo/memoize-by-object.ts';

/**
 * A long list of the book as JSON, made once for each state of the list: a text goes to the device and to a
 * worker in no time, while a hundred thousand rows would keep the page from answering.
 */
export const listText: (list: Book['rateTables'] | Book['postalList']) => string = memoizeByObject((list) =>
  JSON.stringify(list),
);
