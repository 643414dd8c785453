import type { Book } from './book.ts';
import { fault, type Fault } from './fault.ts';

/**
 * What a book may hold by its schema and the core does not yet work out. It is refused by name when
 * the book is read: a rule that is ignored would charge too little and say nothing.
 */

const COLLECTIONS: Partial<Record<keyof Book, string>> = {
  areas: 'delivery areas',
  pickups: 'pickup points',
};

/** Each part of a book that this version would have to ignore; empty values pass. */
export const scopeFaults = (book: Book): Fault[] =>
  Object.entries(COLLECTIONS).flatMap(([name, what]) =>
    (book[name as keyof Book] as readonly unknown[]).length > 0
      ? [fault('not-worked-out', name, { what })]
      : [],
  );
