import type { CarrierAccount } from '../../../core/model/carrier.ts';
import type { Workbook } from '../workbook.ts';
import { freeId } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

/** Changes to the carrier accounts. Each changes the workbook it is given, which is a draft of the state. */
export const carrierEdits = {
  /** A new account tries things out first: it is a sandbox, and ships from the first location. */
  addAccount: ({ book }: Workbook, { name, carrier }: { name: string; carrier: string }): void => {
    const [location] = book.locations;
    if (!location) return;
    book.carriers.push({
      id: freeId(name, book.carriers),
      name,
      carrier,
      mode: 'sandbox',
      credentials: { kind: 'shared' },
      locationId: location.id,
      handover: 'dropped-off',
      address: 'as-given',
      packing: { kind: 'single' },
      books: false,
      timeoutMs: 3_000,
    });
  },

  /** Some fields of an account; a field given as undefined is taken out. */
  setAccount: (
    { book }: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<CarrierAccount, 'id'>> },
  ): void => {
    setFields(
      book.carriers.find((one) => one.id === id),
      changes,
    );
  },

  /** An account goes, unless some rate is priced by it. */
  removeAccount: ({ book }: Workbook, { id }: { id: string }): void => {
    if (book.rates.some(({ price }) => price.kind === 'carrier' && price.accountId === id)) return;
    book.carriers = book.carriers.filter((one) => one.id !== id);
  },
};
