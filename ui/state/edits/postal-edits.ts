import type { PostalRule } from '../../../core/model/delivery.ts';
import type { Workbook } from '../workbook.ts';

/** Changes to the postal list. Each changes the workbook it is given, which is a draft of the state. */
export const postalEdits = {
  /** A line more at the end, served. */
  addPostalLine: ({ book }: Workbook, { country, pattern }: { country: string; pattern: string }): void => {
    book.postalList.push({ country, pattern, served: true, cashOnDelivery: false });
  },

  /** Some fields of a line; a field given as undefined is taken out. */
  setPostalLine: (
    { book }: Workbook,
    { at, changes }: { at: number; changes: Partial<PostalRule> },
  ): void => {
    const line = book.postalList[at];
    if (!line) return;
    const next: Partial<PostalRule> = { ...line, ...changes };
    if (next.days === undefined) delete next.days;
    book.postalList[at] = next as PostalRule;
  },

  removePostalLine: ({ book }: Workbook, { at }: { at: number }): void => {
    book.postalList.splice(at, 1);
  },

  /** Lines of a file beside those that are there; one of the same codes takes the place of the former. */
  mergePostalLines: ({ book }: Workbook, { lines }: { lines: readonly PostalRule[] }): void => {
    const keyOf = ({ country, pattern }: PostalRule): string => `${country} ${pattern}`;
    const coming = new Map(lines.map((line) => [keyOf(line), line]));
    const kept = book.postalList.map((line) => {
      const other = coming.get(keyOf(line));
      coming.delete(keyOf(line));
      return other ?? line;
    });
    book.postalList = [...kept, ...coming.values()];
  },

  /** All lines at once, as they come out of a file. */
  replacePostalList: ({ book }: Workbook, { lines }: { lines: readonly PostalRule[] }): void => {
    book.postalList = lines as PostalRule[];
  },
};
