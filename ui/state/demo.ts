import book from '../../demo/data/book.json';
import catalogue from '../../demo/data/catalogue.json';
import trials from '../../demo/data/trials.json';
import { readBook, readCatalogue, readTrials } from '../../core/formats/read.ts';
import type { Book } from '../../core/model/book.ts';
import type { Result } from '../../core/model/fault.ts';
import type { Demo } from './storage/start.ts';

const sound = <T>(result: Result<T>): T => {
  if (!result.ok)
    throw new Error(`the demo shop is not sound: ${result.faults.map((fault) => fault.path).join(', ')}`);
  return result.value;
};

/** The demo shop that ships with the program. */
export const demoShop: Demo = () => ({
  book: sound(readBook(book)),
  catalogue: sound(readCatalogue(catalogue)),
  trials: sound(readTrials(trials)),
});

/** Whether a book is still the demo shop's, changed or not: its made-up orders belong to it and to no other. */
export const isDemoBook = ({ store, locations }: Book): boolean =>
  store.name === book.store.name && locations[0]?.id === book.locations[0]?.id;
