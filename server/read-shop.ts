import { readBook, readCatalogue, readJson } from '../core/formats/read.ts';
import type { Book } from '../core/model/book.ts';
import type { Fault } from '../core/model/fault.ts';
import type { Catalogue } from '../core/model/good.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';
import type { RefusalCode } from './refusals.ts';

/** A book and its catalogue out of what was sent, or what is wrong with them in sentences. */
export type ReadShop =
  { ok: true; book: Book; catalogue: Catalogue } | { ok: false; code: RefusalCode; detail: string };

const wrong = (faults: readonly Fault[]): ReadShop => ({
  ok: false,
  code: 'invalid',
  detail: faults.map(locatedSentence).join(' '),
});

/** Reads the text of a JSON object with `book` and `catalogue`; both are validated whole. */
export const readShop = (text: string): ReadShop => {
  const json = readJson(text);
  if (!json.ok) return { ok: false, code: 'not-json', detail: '' };
  const { book: rawBook, catalogue: rawCatalogue } = (json.value ?? {}) as Record<string, unknown>;
  const book = readBook(rawBook);
  if (!book.ok) return wrong(book.faults);
  const catalogue = readCatalogue(rawCatalogue, book.value);
  return catalogue.ok ? { ok: true, book: book.value, catalogue: catalogue.value } : wrong(catalogue.faults);
};
