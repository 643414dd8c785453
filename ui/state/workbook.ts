import type { Book } from '../../core/model/book.ts';
import type { Trial } from '../../core/model/trial.ts';

/** What is edited and undone together: the draft of the book, and the trials that prove it. */
export interface Workbook {
  book: Book;
  trials: Trial[];
}
