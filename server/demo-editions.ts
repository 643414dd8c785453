import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { heldEditions } from './held-editions.ts';
import type { EditionSource } from './served-edition.ts';

const PUBLISHED_AT = '2026-11-23T09:00:00-04:00';

/** The demo's shop as the one edition there is, for a server without a folder of editions. */
export const demoEditions = (): EditionSource =>
  heldEditions({
    demo: [
      { number: 1, publishedAt: PUBLISHED_AT, note: 'The demo', book: demoBook, catalogue: demoCatalogue },
    ],
  });
