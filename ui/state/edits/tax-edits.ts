import type { TaxRate } from '../../../core/model/tax.ts';
import type { Workbook } from '../workbook.ts';
import { freeId } from '../../../core/model/ids.ts';

/** Changes to the taxes. Each changes the workbook it is given, which is a draft of the state. */
export const taxEdits = {
  addTax: ({ book }: Workbook, { tax }: { tax: Omit<TaxRate, 'id'> }): void => {
    book.taxes.push({ ...tax, id: freeId(`tax-${tax.name}`, book.taxes) });
  },

  setTax: (
    { book }: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<TaxRate, 'id'>> },
  ): void => {
    const tax = book.taxes.find((one) => one.id === id);
    if (tax) Object.assign(tax, changes);
  },

  removeTax: ({ book }: Workbook, { id }: { id: string }): void => {
    book.taxes = book.taxes.filter((one) => one.id !== id);
  },
};
