import { z } from 'zod';
import { editionsUpToDate } from './version-1.ts';
import { bookFaults, catalogueFaults } from '../faults/book-fault.ts';
import { bookSchema, type Book } from '../model/book.ts';
import type { Result } from '../model/fault.ts';
import { catalogueSchema, type Catalogue } from '../model/good.ts';
import { parseWith } from '../model/schema-fault.ts';
import { instantSchema, noteSchema } from '../model/unit.ts';

/** A published, numbered, unchangeable state of the book and the goods. */
export const editionSchema = z.strictObject({
  number: z.int().min(1).max(1_000_000),
  publishedAt: instantSchema,
  note: noteSchema.min(1),
  /** Why it was published although a test order was broken or an order had no choice. */
  despite: noteSchema.optional(),
  book: bookSchema,
  catalogue: catalogueSchema,
});
export type Edition = z.infer<typeof editionSchema>;

const editionsSchema = z.array(editionSchema).max(10_000);

/** Sound editions, whose books name nothing they lack and whose goods go with their books. */
export const readEditions = (value: unknown): Result<Edition[]> => {
  const editions = parseWith(editionsSchema, editionsUpToDate(value));
  if (!editions.ok) return editions;
  const faults = editions.value.flatMap(({ book, catalogue }, at) => [
    ...bookFaults(book).map((found) => ({ ...found, path: `[${at}].book.${found.path}` })),
    ...catalogueFaults(catalogue, book).map((found) => ({
      ...found,
      path: `[${at}].catalogue.${found.path}`,
    })),
  ]);
  return faults.length > 0 ? { ok: false, faults } : editions;
};

/** The edition that customers are served by: the newest. */
export const liveOf = (editions: readonly Edition[]): Edition | null =>
  editions.reduce<Edition | null>((live, one) => (live && live.number >= one.number ? live : one), null);

/** The draft as the next edition. */
export const nextEdition = (
  editions: readonly Edition[],
  book: Book,
  catalogue: Catalogue,
  { publishedAt, note, despite }: Pick<Edition, 'publishedAt' | 'note' | 'despite'>,
): Edition => ({
  number: (liveOf(editions)?.number ?? 0) + 1,
  publishedAt,
  note,
  ...(despite === undefined ? {} : { despite }),
  book,
  catalogue,
});

/** Two lists of editions as one, by number; an edition is never changed, so the first list's stands. */
export const mergeEditions = (first: Edition[], second: readonly Edition[]): Edition[] => {
  const known = new Set(first.map(({ number }) => number));
  const added = second.filter(({ number }) => !known.has(number));
  return added.length === 0 ? first : [...first, ...added].sort((a, b) => a.number - b.number);
};
