import type { Service } from '../../../core/model/rate.ts';
import type { Workbook } from '../workbook.ts';
import { forget } from './forget.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';

/** Changes to services. Each changes the workbook it is given, which is a draft of the state. */
export const serviceEdits = {
  addService: ({ book }: Workbook, { name }: { name: string }): void => {
    book.services.push({ id: freeId(name, book.services), name });
  },

  setService: ({ book }: Workbook, { id, changes }: { id: string; changes: Partial<Service> }): void => {
    const service = book.services.find((one) => one.id === id);
    if (!service) return;
    Object.assign(service, changes);
    if (!service.note) delete service.note;
  },

  moveService: ({ book }: Workbook, { id, by }: { id: string; by: number }): void =>
    moveItem(book.services, id, by),

  /** A service goes with its rates, and with every word that it is not offered somewhere. */
  removeService: ({ book }: Workbook, { id }: { id: string }): void => {
    book.services = book.services.filter((service) => service.id !== id);
    book.rates = book.rates.filter((rate) => rate.serviceId !== id);
    forget(book, 'services', id);
    for (const zone of book.zones) {
      if (zone.without?.includes(id)) zone.without = zone.without.filter((without) => without !== id);
    }
  },
};
