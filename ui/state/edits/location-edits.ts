import type { Location } from '../../../core/model/location.ts';
import type { Workbook } from '../workbook.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

/** Changes to the merchant's own places. Each changes the workbook it is given, which is a draft of the state. */
export const locationEdits = {
  /** A new location stands where the last one does until its address is written. */
  addLocation: ({ book }: Workbook, { name, country }: { name: string; country: string }): void => {
    const id = freeId(name, book.locations);
    book.locations.push({ id, name, address: { country }, hours: [], closedDates: [] });
  },

  /** Some fields of a location; a field given as undefined is taken out. */
  setLocation: (
    { book }: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<Location, 'id'>> },
  ): void => {
    setFields(
      book.locations.find((one) => one.id === id),
      changes,
    );
  },

  /** Orders are sent from the first location. */
  sendFrom: ({ book }: Workbook, { id }: { id: string }): void =>
    moveItem(book.locations, id, -book.locations.length),

  /**
   * A location goes; what carriers took, what was delivered and collected there is so at the first of the others.
   * The last one stays while there is any of these.
   */
  removeLocation: ({ book }: Workbook, { id }: { id: string }): void => {
    const others = book.locations.filter((one) => one.id !== id);
    const [first] = others;
    if (!first && [book.carriers, book.areas, book.pickups].some(({ length }) => length > 0)) return;
    book.locations = others;
    for (const one of [...book.carriers, ...book.areas, ...book.pickups])
      if (first && one.locationId === id) one.locationId = first.id;
  },
};
