import type { HandlingGroup } from '../../../core/model/good.ts';
import type { Workbook } from '../workbook.ts';
import { forget } from './forget.ts';
import { freeId } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

/** Changes to the handling groups. Each changes the workbook it is given, which is a draft of the state. */
export const groupEdits = {
  /** A new group travels by anything, anywhere, until it is said otherwise. */
  addGroup: ({ book }: Workbook, { name }: { name: string }): void => {
    book.groups.push({
      id: freeId(name, book.groups),
      name,
      shipping: 'any',
      delivery: 'any',
      pickup: 'any',
    });
  },

  /** Some fields of a group; a field given as undefined is taken out. */
  setGroup: (
    { book }: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<HandlingGroup, 'id'>> },
  ): void => {
    setFields(
      book.groups.find((one) => one.id === id),
      changes,
    );
  },

  /** Puts goods into a group, or takes them out of it. */
  setInGroup: (
    { catalogue }: Workbook,
    { skus, id, isIn }: { skus: string[]; id: string; isIn: boolean },
  ): void => {
    const wanted = new Set(skus);
    for (const good of catalogue.goods) {
      if (!wanted.has(good.sku)) continue;
      const others = (good.groupIds ?? []).filter((one) => one !== id);
      setFields(good, { groupIds: isIn ? [...others, id] : others.length > 0 ? others : undefined });
    }
  },

  /** A group goes; its goods stay, in their other groups. */
  removeGroup: ({ book, catalogue }: Workbook, { id }: { id: string }): void => {
    book.groups = book.groups.filter((one) => one.id !== id);
    forget(book, 'groups', id);
    for (const good of catalogue.goods) {
      if (!good.groupIds?.includes(id)) continue;
      const others = good.groupIds.filter((one) => one !== id);
      setFields(good, { groupIds: others.length > 0 ? others : undefined });
    }
  },
};
