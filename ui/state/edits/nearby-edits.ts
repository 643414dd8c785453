import { t } from '../../../core/translate/translate.ts';
import type { DeliveryArea, DeliveryMethod, PickupPoint } from '../../../core/model/delivery.ts';
import type { Timing } from '../../../core/model/time.ts';
import type { Workbook } from '../workbook.ts';
import { copyItem } from './copy-item.ts';
import { forget, forgetMethod } from './forget.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

const FIRST_TIMING: Timing = { kind: 'days', min: 0, max: 1 };

const areaOf = ({ book }: Workbook, id: string): DeliveryArea | undefined =>
  book.areas.find((one) => one.id === id);

type NewArea = Pick<DeliveryArea, 'name' | 'locationId' | 'covers'>;

const addArea = (book: Workbook['book'], { name, locationId, covers }: NewArea): void => {
  book.areas.push({
    id: freeId(name, book.areas),
    name,
    active: false,
    locationId,
    covers,
    price: { kind: 'flat', amount: 0, per: 'order' },
    methods: [{ id: 'van', name: t('Van'), add: 0, timing: FIRST_TIMING }],
    preparation: { kind: 'working-days', days: 1 },
    taxable: true,
  });
};

/** Changes to local delivery and collection. Each changes the workbook it is given, which is a draft of the state. */
export const nearbyEdits = {
  /**
   * A new area, switched off until it is looked at: it covers nothing by its list, or a radius of three kilometres,
   * and charges nothing yet.
   */
  addArea: ({ book }: Workbook, area: NewArea): void => addArea(book, area),

  /** Areas out of a file, each as a new one. */
  addAreas: ({ book }: Workbook, { areas }: { areas: readonly NewArea[] }): void => {
    for (const area of areas) addArea(book, area);
  },

  /** Some fields of an area; a field given as undefined is taken out. */
  setArea: (
    workbook: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<DeliveryArea, 'id'>> },
  ): void => setFields(areaOf(workbook, id), changes),

  moveArea: ({ book }: Workbook, { id, by }: { id: string; by: number }): void =>
    moveItem(book.areas, id, by),

  copyArea: ({ book }: Workbook, { id }: { id: string }): void => copyItem(book.areas, id),

  /** An area goes, out of the adjustments that name it too. */
  removeArea: ({ book }: Workbook, { id }: { id: string }): void => {
    book.areas = book.areas.filter((one) => one.id !== id);
    forget(book, 'areas', id);
  },

  addMethod: (workbook: Workbook, { areaId, name }: { areaId: string; name: string }): void => {
    const area = areaOf(workbook, areaId);
    area?.methods.push({ id: freeId(name, area.methods), name, add: 0, timing: FIRST_TIMING });
  },

  /** Some fields of a way; a field given as undefined is taken out. */
  setMethod: (
    workbook: Workbook,
    { areaId, id, changes }: { areaId: string; id: string; changes: Partial<Omit<DeliveryMethod, 'id'>> },
  ): void =>
    setFields(
      areaOf(workbook, areaId)?.methods.find((one) => one.id === id),
      changes,
    ),

  /** A way goes, unless it is the area's last. */
  removeMethod: (workbook: Workbook, { areaId, id }: { areaId: string; id: string }): void => {
    const area = areaOf(workbook, areaId);
    if (!area || area.methods.length < 2) return;
    area.methods = area.methods.filter((one) => one.id !== id);
    forgetMethod(workbook.book, areaId, id);
  },

  /** A new pickup point, free of charge and switched off until it is looked at. */
  addPickup: ({ book }: Workbook, { name, locationId }: { name: string; locationId: string }): void => {
    book.pickups.push({
      id: freeId(name, book.pickups),
      name,
      active: false,
      locationId,
      charge: 0,
      preparation: { kind: 'open-minutes', minutes: 60 },
      timing: { kind: 'words', text: t('We write as soon as it is ready.') },
      kerbside: false,
      taxable: true,
    });
  },

  /** Some fields of a pickup point; a field given as undefined is taken out. */
  setPickup: (
    { book }: Workbook,
    { id, changes }: { id: string; changes: Partial<Omit<PickupPoint, 'id'>> },
  ): void =>
    setFields(
      book.pickups.find((one) => one.id === id),
      changes,
    ),

  movePickup: ({ book }: Workbook, { id, by }: { id: string; by: number }): void =>
    moveItem(book.pickups, id, by),

  /** A pickup point goes, out of the adjustments that name it too. */
  copyPickup: ({ book }: Workbook, { id }: { id: string }): void => copyItem(book.pickups, id),

  removePickup: ({ book }: Workbook, { id }: { id: string }): void => {
    book.pickups = book.pickups.filter((one) => one.id !== id);
    forget(book, 'pickups', id);
  },
};
