import { entryKey, type Change } from '../../../core/repair/change.ts';
import type { Workbook } from '../workbook.ts';

/** Puts an entry in the place of the one that is known by `at`: null takes that out, a new one goes to the end. */
const put = (list: object[], at: string, entry: object | null): void => {
  const place = list.findIndex((one) => entryKey(one) === at);
  if (place < 0) {
    if (entry) list.push(entry);
  } else if (entry) list[place] = entry;
  else list.splice(place, 1);
};

/** Changes that mend what the audit found. */
export const repairEdits = {
  /** The entries that a repair changes, as it has them. */
  repair: ({ book, catalogue }: Workbook, { changes }: { changes: readonly Change[] }): void => {
    for (const change of changes) {
      if (change.list === 'store') book.store = change.entry;
      else if (change.list === 'goods') put(catalogue.goods, change.at, change.entry);
      else put(book[change.list], change.at, change.entry);
    }
  },
};
