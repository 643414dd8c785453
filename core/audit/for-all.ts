import { lets } from '../quote/groups.ts';
import type { Adjustment } from '../model/adjustment.ts';
import type { Price, TableRow } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { isFor, type Subject } from '../quote/adjust.ts';
import type { CompiledArea, CompiledPickup } from '../quote/nearby.ts';
import { tableRowsAt } from '../price/table.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { tableIndexOf } from '../quote/pricing.ts';
import type { PlaceClass } from './place-classes.ts';

/** Whether every good is one of which a figure is known. */
const allKnown = (compiled: CompiledBook, measure: 'weight' | 'volume'): boolean =>
  [...compiled.goods.values()].every(
    ({ fulfilment, weight, size }) =>
      fulfilment !== 'physical' ||
      (measure === 'weight'
        ? (weight ?? compiled.book.store.defaultWeight) !== undefined
        : size !== undefined),
  );

/** Whether the rows of a place hold every value from 0 on. */
const holdsAll = (rows: readonly TableRow[]): boolean => {
  let reached = 0;
  for (const { from, to = Number.POSITIVE_INFINITY } of rows) {
    if (from > reached) return false;
    reached = Math.max(reached, to);
  }
  return reached === Number.POSITIVE_INFINITY;
};

/** Whether a table has a row for every order to a class of places. */
const isTabledForAll = (compiled: CompiledBook, tableId: string, { place }: PlaceClass): boolean => {
  const table = compiled.tables.get(tableId);
  if (!table || table.basis === 'distance') return false;
  const rows = tableRowsAt(tableIndexOf(table), place);
  const isKnown =
    table.basis === 'weight' || table.basis === 'volume' ? allKnown(compiled, table.basis) : true;
  return isKnown && rows !== null && holdsAll(rows);
};

const isPricedForAll = (compiled: CompiledBook, price: Price, place: PlaceClass): boolean => {
  const isSingle = compiled.book.store.packing.kind === 'single';
  switch (price.kind) {
    case 'percent':
      return true;
    case 'flat':
      return price.per !== 'parcel' || isSingle;
    case 'per-product':
      return price.otherwise !== null;
    case 'steps': {
      const { basis, steps, until, per } = price;
      if (basis === 'distance' || per === 'parcel' || until !== undefined) return false;
      if ((basis === 'weight' || basis === 'volume') && !allKnown(compiled, basis)) return false;
      return steps.some(({ from }) => from === 0);
    }
    case 'table':
      return isTabledForAll(compiled, price.tableId, place);
    default:
      return false;
  }
};

/** Whether an adjustment may withhold what it is for. */
const withholds = ({ book }: CompiledBook, { effect, when }: Adjustment): boolean =>
  effect.do === 'withhold' ||
  (effect.do === 'add' && effect.per === 'parcel' && book.store.packing.kind !== 'single') ||
  when.some((one) => one.test === 'measure' && (one.of === 'weight' || one.of === 'volume'));

const mayWithhold = (compiled: CompiledBook, subject: Subject): boolean =>
  compiled.adjustments.some(
    ({ adjustment }) => isFor(adjustment, subject) && withholds(compiled, adjustment),
  );

const handlesParcels = ({ book }: CompiledBook, { handling }: Rate): boolean =>
  book.store.packing.kind !== 'single' &&
  [handling, book.store.handling].some((one) => one?.per === 'parcel');

/**
 * Whether a rate is offered for every order to its zone whatever is in it, which proves that none of them is
 * left without a choice: no limit, no channel, a price for every measure, goods of no group kept from it,
 * and nothing that may withhold it.
 */
export const isForAll = (compiled: CompiledBook, rate: Rate, place: PlaceClass): boolean =>
  !rate.limits &&
  !rate.channels &&
  isPricedForAll(compiled, rate.price, place) &&
  !mayWithhold(compiled, { kind: 'shipping', serviceId: rate.serviceId, zoneId: rate.zoneId }) &&
  !handlesParcels(compiled, rate) &&
  compiled.book.groups.every(
    ({ shipping, onlyZones, neverZones }) =>
      (shipping === 'any' || (shipping !== 'none' && shipping.includes(rate.serviceId))) &&
      (onlyZones?.includes(rate.zoneId) ?? true) &&
      !neverZones?.includes(rate.zoneId),
  );

/** Whether collecting at a point is offered for every order: no limit, no least order, goods of all groups, at any time. */
export const isPickupForAll = (
  compiled: CompiledBook,
  { point }: CompiledPickup,
  steady: ReadonlySet<string>,
): boolean =>
  point.active &&
  point.minSubtotal === undefined &&
  !point.limits &&
  steady.has(point.id) &&
  compiled.book.groups.every(({ pickup }) => lets(pickup, point.id)) &&
  !mayWithhold(compiled, { kind: 'pickup', pickupId: point.id });

/** Whether some method of an area is offered for every order to where it covers. */
export const isAreaForAll = (
  compiled: CompiledBook,
  { area, methods }: CompiledArea,
  steady: ReadonlySet<string>,
  place: PlaceClass,
): boolean =>
  area.minSubtotal === undefined &&
  !area.limits &&
  methods.some(
    ({ limits, id, method }) =>
      limits.length === 0 &&
      steady.has(id) &&
      !mayWithhold(compiled, { kind: 'delivery', areaId: area.id, methodId: method.id }),
  ) &&
  isPricedForAll(compiled, area.price, place) &&
  compiled.book.groups.every(({ delivery }) => lets(delivery, area.id));
