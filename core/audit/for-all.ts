import { lets } from '../quote/groups.ts';
import type { Adjustment } from '../model/adjustment.ts';
import type { Price } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { isFor, type Subject } from '../adjust/adjust.ts';
import { conditionKind } from '../adjust/condition-kinds.ts';
import { effectKind } from '../adjust/effect-kinds.ts';
import type { CompiledArea, CompiledPickup } from '../quote/nearby.ts';
import { kindOf } from '../price/kinds.ts';
import type { CompiledBook } from '../quote/compile.ts';
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

const isPricedForAll = (compiled: CompiledBook, price: Price, { place }: PlaceClass): boolean =>
  kindOf(price).isForAll(price, {
    isSingleParcel: compiled.book.store.packing.kind === 'single',
    allKnown: (measure) => allKnown(compiled, measure),
    place,
    tables: compiled.tables,
  });

/** Whether an adjustment may withhold what it is for. */
const withholds = ({ book }: CompiledBook, { effect, when }: Adjustment): boolean =>
  effectKind(effect).mayWithhold(effect, { isSingleParcel: book.store.packing.kind === 'single' }) ||
  when.some((one) => {
    const of = conditionKind(one).basis(one)?.of;
    return of === 'weight' || of === 'volume';
  });

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

/** Whether collecting at a point is offered for every order: no limit, no minimum order, goods of all groups, at any time. */
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
