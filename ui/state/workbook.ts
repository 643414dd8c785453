import type { Accepted } from '../../core/model/accepted.ts';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { TestOrder } from '../../core/model/test-order.ts';

/** What is edited and undone together: the draft of the book, the goods, and the test orders that check it. */
export interface Workbook {
  book: Book;
  catalogue: Catalogue;
  testOrders: TestOrder[];
  /** The problems that are accepted, with why. */
  accepted?: Accepted[];
}
