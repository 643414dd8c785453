import type { Box } from '../../../core/model/pack.ts';
import type { Workbook } from '../workbook.ts';
import { freeId } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

/** Changes to the boxes. Each changes the workbook it is given, which is a draft of the state. */
export const boxEdits = {
  /** A new box; of the plans of packing into boxes, those of the named accounts use it. */
  addBox: (
    { book }: Workbook,
    { box, accountIds = [] }: { box: Omit<Box, 'id'>; accountIds?: string[] },
  ): void => {
    const id = freeId(box.name, book.boxes);
    book.boxes.push({ ...box, id });
    for (const account of book.carriers)
      if (accountIds.includes(account.id) && account.packing.kind === 'boxes')
        account.packing.boxIds.push(id);
  },

  /** Some fields of a box; a field given as undefined is taken out. */
  setBox: ({ book }: Workbook, { id, changes }: { id: string; changes: Partial<Omit<Box, 'id'>> }): void => {
    setFields(
      book.boxes.find((one) => one.id === id),
      changes,
    );
  },

  /** A box goes, and out of every plan that packs into it. */
  removeBox: ({ book }: Workbook, { id }: { id: string }): void => {
    book.boxes = book.boxes.filter((one) => one.id !== id);
    for (const { packing } of [book.store, ...book.carriers])
      if (packing.kind === 'boxes') packing.boxIds = packing.boxIds.filter((one) => one !== id);
  },
};
