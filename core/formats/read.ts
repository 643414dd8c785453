import { bookSchema, type Book } from '../model/book.ts';
import { bookFaults, catalogueFaults } from '../faults/book-fault.ts';
import { fault, type Fault, type Result } from '../model/fault.ts';
import { catalogueSchema, type Catalogue } from '../model/good.ts';
import { quoteRequestSchema, type QuoteRequest } from '../model/request.ts';
import { parseWith } from '../model/schema-fault.ts';
import { testOrdersSchema, type TestOrder } from '../model/test-order.ts';
import { bookUpToDate, catalogueUpToDate, requestUpToDate, testOrdersUpToDate } from './version-1.ts';

/** The value of a JSON text, or where it stops being JSON. */
export const readJson = (text: string): Result<unknown> => {
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown };
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return { ok: false, faults: [fault('not-json', '', { reason })] };
  }
};

const checked = <T>(parsed: Result<T>, faultsOf: (value: T) => Fault[]): Result<T> => {
  if (!parsed.ok) return parsed;
  const faults = faultsOf(parsed.value);
  return faults.length === 0 ? parsed : { ok: false, faults };
};

/** A whole, sound book out of untrusted data, of version 1 or 2, or every fault with its path. */
export const readBook = (value: unknown): Result<Book> =>
  checked(parseWith(bookSchema, bookUpToDate(value)), bookFaults);

/** A sound catalogue out of untrusted data; with a book, its references into that book too. */
export const readCatalogue = (value: unknown, book?: Book): Result<Catalogue> =>
  checked(parseWith(catalogueSchema, catalogueUpToDate(value)), (catalogue) =>
    catalogueFaults(catalogue, book),
  );

/** A request of the right shape. Whether its goods are known is for `requestFaults` of the compiled book. */
export const readRequest = (value: unknown): Result<QuoteRequest> =>
  parseWith(quoteRequestSchema, requestUpToDate(value));

/** A list of test orders of the right shape. */
export const readTestOrders = (value: unknown): Result<TestOrder[]> =>
  parseWith(testOrdersSchema, testOrdersUpToDate(value));
