import { t } from '../../../core/translate/translate.ts';
import type { Region, Zone } from '../../../core/model/place.ts';
import type { Rate } from '../../../core/model/rate.ts';
import type { Workbook } from '../workbook.ts';
import { forget } from './forget.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';

/** Changes to zones. Each changes the workbook it is given, which is a draft of the state. */
export const zoneEdits = {
  /** A new zone goes before the one of everywhere else. */
  addZone: ({ book }: Workbook, { name, includes }: { name: string; includes: Region[] }): void => {
    const zone: Zone = {
      id: freeId(name, book.zones),
      name,
      active: true,
      includes,
      excludes: [],
      remainder: false,
    };
    const last = book.zones.findIndex((one) => one.remainder);
    book.zones.splice(last < 0 ? book.zones.length : last, 0, zone);
  },

  setZone: ({ book }: Workbook, { id, changes }: { id: string; changes: Partial<Zone> }): void => {
    const zone = book.zones.find((one) => one.id === id);
    if (!zone) return;
    if (changes.remainder) for (const other of book.zones) other.remainder = false;
    Object.assign(zone, changes);
  },

  moveZone: ({ book }: Workbook, { id, by }: { id: string; by: number }): void =>
    moveItem(book.zones, id, by),

  /** A zone with all its rates once more, below it, switched off and without places, so that it takes nothing yet. */
  copyZone: ({ book }: Workbook, { id }: { id: string }): void => {
    const at = book.zones.findIndex((zone) => zone.id === id);
    const source = book.zones[at];
    if (!source) return;
    const name = t('{source}, copy', { source: source.name }).slice(0, 120);
    const copy: Zone = {
      ...source,
      id: freeId(name, book.zones),
      name,
      active: false,
      includes: [],
      excludes: [],
      remainder: false,
    };
    const rates = book.rates
      .filter((rate) => rate.zoneId === id)
      .map((rate) => JSON.parse(JSON.stringify(rate)) as Rate);
    book.zones.splice(at + 1, 0, copy);
    for (const rate of rates) {
      book.rates.push({ ...rate, zoneId: copy.id, id: freeId(`${rate.serviceId}-${copy.id}`, book.rates) });
    }
  },

  /** A zone goes with its rates, and out of every rule that names it. */
  removeZone: ({ book }: Workbook, { id }: { id: string }): void => {
    book.zones = book.zones.filter((zone) => zone.id !== id);
    book.rates = book.rates.filter((rate) => rate.zoneId !== id);
    forget(book, 'zones', id);
  },
};
