import type { Store } from '../../../core/model/store.ts';
import type { Workbook } from '../workbook.ts';
import { setFields } from './set-fields.ts';

/** Changes to what holds for the whole shop. Each changes the workbook it is given, which is a draft of the state. */
export const storeEdits = {
  /** Some fields of the store; a field given as undefined is taken out. */
  setStore: ({ book }: Workbook, { changes }: { changes: Partial<Store> }): void => {
    setFields(book.store, changes);
  },

  /** Another shop in place of this one: its book, its goods, its test orders, and what is accepted. */
  replaceShop: (workbook: Workbook, { book, catalogue, testOrders, accepted }: Workbook): void => {
    Object.assign(workbook, { book, catalogue, testOrders });
    if (accepted) workbook.accepted = accepted;
    else delete workbook.accepted;
  },
};
