import { isDraft, original } from 'immer';
import type { Price } from '../../../core/model/price.ts';
import type { Rate } from '../../../core/model/rate.ts';
import { kindOf } from '../../../core/price/kinds.ts';
import type { Raise } from '../../../core/price/raise.ts';
import type { Workbook } from '../workbook.ts';
import { freeId } from '../../../core/model/ids.ts';

/** One cell of the board. */
export interface Cell {
  serviceId: string;
  zoneId: string;
}

export const rateAt = (rates: readonly Rate[], { serviceId, zoneId }: Cell): Rate | undefined =>
  rates.find((rate) => rate.serviceId === serviceId && rate.zoneId === zoneId);

const offerAgain = ({ book }: Workbook, { serviceId, zoneId }: Cell): void => {
  const zone = book.zones.find((one) => one.id === zoneId);
  if (zone?.without) zone.without = zone.without.filter((id) => id !== serviceId);
};

const dropRate = ({ book }: Workbook, { serviceId, zoneId }: Cell): void => {
  book.rates = book.rates.filter((rate) => rate.serviceId !== serviceId || rate.zoneId !== zoneId);
};

/** Whether both the service and the zone of a cell are there: an edit of a cell that is gone does nothing. */
const isCell = ({ book }: Workbook, { serviceId, zoneId }: Cell): boolean =>
  book.services.some((service) => service.id === serviceId) && book.zones.some((zone) => zone.id === zoneId);

/** Where a rate stands; looked for in the state itself, for a draft makes a stand-in of each rate that is looked at. */
const placeOf = (rates: Rate[], id: string): number =>
  (isDraft(rates) ? (original(rates) ?? rates) : rates).findIndex((one) => one.id === id);

/** Changes to rates. Each changes the workbook it is given, which is a draft of the state. */
export const rateEdits = {
  /** A first rate in an empty cell: it is switched off until its price has been looked at. */
  addRate: (workbook: Workbook, { cell }: { cell: Cell }): void => {
    if (!isCell(workbook, cell) || rateAt(workbook.book.rates, cell)) return;
    offerAgain(workbook, cell);
    const { rates } = workbook.book;
    rates.push({
      ...cell,
      id: freeId(`${cell.serviceId}-${cell.zoneId}`, rates),
      active: false,
      price: { kind: 'flat', amount: 0, per: 'order' },
      whenWithheld: 'hide',
      taxable: true,
    });
  },

  /** A price for a cell, whether it had a rate or not; a new rate is switched on. */
  takePrice: (workbook: Workbook, { cell, price }: { cell: Cell; price: Price }): void => {
    if (!rateAt(workbook.book.rates, cell)) rateEdits.addRate(workbook, { cell });
    const rate = rateAt(workbook.book.rates, cell);
    if (!rate) return;
    if (rate.price.kind === 'flat' && rate.price.amount === 0) rate.active = true;
    rate.price = price;
  },

  /** Some fields of a rate; a field given as undefined is taken out. */
  setRate: ({ book }: Workbook, { id, changes }: { id: string; changes: Partial<Rate> }): void => {
    const rate = book.rates[placeOf(book.rates, id)];
    if (!rate) return;
    for (const [field, value] of Object.entries(changes)) {
      if (value === undefined) delete rate[field as keyof Rate];
      else Object.assign(rate, { [field]: value });
    }
  },

  removeRate: (workbook: Workbook, { cell }: { cell: Cell }): void => dropRate(workbook, cell),

  /** Says that a service is deliberately not offered in a zone; a rate that was there goes. */
  leaveOut: (workbook: Workbook, { cell }: { cell: Cell }): void => {
    if (!isCell(workbook, cell)) return;
    dropRate(workbook, cell);
    const zone = workbook.book.zones.find((one) => one.id === cell.zoneId);
    if (zone && !zone.without?.includes(cell.serviceId))
      zone.without = [...(zone.without ?? []), cell.serviceId];
  },

  /** Takes back that a service is deliberately not offered: the cell is empty again. */
  putBack: (workbook: Workbook, { cell }: { cell: Cell }): void => offerAgain(workbook, cell),

  /** All rates from a list; a cell that has one is offered again, and one whose zone or service is gone stays out. */
  takeRates: (workbook: Workbook, { rates }: { rates: readonly Rate[] }): void => {
    const taken = rates.filter((rate) => isCell(workbook, rate));
    Object.assign(workbook.book, { rates: taken });
    for (const rate of taken) offerAgain(workbook, rate);
  },

  raiseRates: ({ book }: Workbook, { ids, raise }: { ids: string[]; raise: Raise }): void => {
    for (const rate of book.rates)
      if (ids.includes(rate.id)) rate.price = kindOf(rate.price).raised(rate.price, raise);
  },

  switchRates: ({ book }: Workbook, { ids, active }: { ids: string[]; active: boolean }): void => {
    for (const rate of book.rates) if (ids.includes(rate.id)) rate.active = active;
  },

  /** The whole of a rate into other cells, over what is there. */
  copyRate: (workbook: Workbook, { id, cells }: { id: string; cells: Cell[] }): void => {
    const { book } = workbook;
    const source = book.rates.find((rate) => rate.id === id);
    if (!source) return;
    const copied = JSON.stringify(source);
    for (const cell of cells.filter((one) => isCell(workbook, one))) {
      const replaced = rateAt(book.rates, cell);
      offerAgain(workbook, cell);
      const copy = { ...(JSON.parse(copied) as Rate), ...cell };
      if (replaced)
        Object.assign(book, {
          rates: book.rates.map((rate) => (rate === replaced ? { ...copy, id: rate.id } : rate)),
        });
      else book.rates.push({ ...copy, id: freeId(`${cell.serviceId}-${cell.zoneId}`, book.rates) });
    }
  },
};
