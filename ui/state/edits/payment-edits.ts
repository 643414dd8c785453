import type { PaymentOption } from '../../../core/model/tax.ts';
import type { Workbook } from '../workbook.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

/** Changes to the payment options. Each changes the workbook it is given, which is a draft of the state. */
export const paymentEdits = {
  addPayment: ({ book }: Workbook, { payment }: { payment: Omit<PaymentOption, 'id'> }): void => {
    book.payments.push({ ...payment, id: freeId(payment.name, book.payments) });
  },

  /** Some fields of a payment option; a field given as undefined is taken out. */
  setPayment: (
    { book }: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<PaymentOption, 'id'>> },
  ): void => {
    setFields(
      book.payments.find((one) => one.id === id),
      changes,
    );
  },

  movePayment: ({ book }: Workbook, { id, by }: { id: string; by: number }): void =>
    moveItem(book.payments, id, by),

  removePayment: ({ book }: Workbook, { id }: { id: string }): void => {
    book.payments = book.payments.filter((one) => one.id !== id);
  },
};
