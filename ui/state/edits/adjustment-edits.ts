import type { Adjustment } from '../../../core/model/adjustment.ts';
import type { Workbook } from '../workbook.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';
import { copyItem } from './copy-item.ts';
import { setFields } from './set-fields.ts';

/** Changes to the adjustments. Each changes the workbook it is given, which is a draft of the state. */
export const adjustmentEdits = {
  /** A new adjustment comes last and is switched off, so that nothing is charged otherwise before it is finished. */
  addAdjustment: ({ book }: Workbook, { name }: { name: string }): void => {
    const id = freeId(name, book.adjustments);
    const effect = { do: 'add', amount: 0, per: 'order' } as const;
    book.adjustments.push({ id, name, active: false, when: [], to: {}, effect });
  },

  /** Some fields of an adjustment; a field given as undefined is taken out. */
  setAdjustment: (
    { book }: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<Adjustment, 'id'>> },
  ): void => {
    setFields(
      book.adjustments.find((one) => one.id === id),
      changes,
    );
  },

  moveAdjustment: ({ book }: Workbook, { id, by }: { id: string; by: number }): void =>
    moveItem(book.adjustments, id, by),

  copyAdjustment: ({ book }: Workbook, { id }: { id: string }): void => copyItem(book.adjustments, id),

  removeAdjustment: ({ book }: Workbook, { id }: { id: string }): void => {
    book.adjustments = book.adjustments.filter((one) => one.id !== id);
  },
};
