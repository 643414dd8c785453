import type { Accepted } from '../../core/audit/accepted.ts';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { Trial } from '../../core/model/trial.ts';

/** What is edited and undone together: the draft of the book, the goods, and the trials that prove it. */
export interface Workbook {
  book: Book;
  catalogue: Catalogue;
  trials: Trial[];
  /** The problems that are accepted, with why. */
  accepted?: Accepted[];
}
