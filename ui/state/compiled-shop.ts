import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import { compile, type CompiledBook } from '../../core/quote/compile.ts';
import { makeParts } from '../../core/quote/compiled-parts.ts';
import { subdivisionName } from '../places/places.ts';

/** What the books of this page are made into: the draft, what it was before a change, and the live edition share it. */
const PARTS = makeParts({ regionName: subdivisionName });

/** A shop made ready for quotes, of which only what changed is made anew. */
export const compileShop = (book: Book, catalogue: Pick<Catalogue, 'goods'>): CompiledBook =>
  compile(book, catalogue, null, PARTS);
