import type { Rate } from '../model/rate.ts';
import type { CompiledBook } from '../quote/compile.ts';

/** Whether every good is one of which a figure is known. */
const allKnown = (compiled: CompiledBook, measure: 'weight' | 'volume'): boolean =>
  [...compiled.goods.values()].every(
    ({ fulfilment, weight, size }) =>
      fulfilment !== 'physical' ||
      (measure === 'weight'
        ? (weight ?? compiled.book.store.defaultWeight) !== undefined
        : size !== undefined),
  );

const isPricedForAll = (compiled: CompiledBook, { price }: Rate): boolean => {
  const isSingle = compiled.book.store.packing.kind === 'single';
  switch (price.kind) {
    case 'percent':
      return true;
    case 'flat':
      return price.per !== 'parcel' || isSingle;
    case 'by-goods':
      return price.otherwise !== null;
    case 'tiers': {
      const { basis, steps, until, per } = price;
      if (basis === 'distance' || per === 'parcel' || until !== undefined) return false;
      if ((basis === 'weight' || basis === 'volume') && !allKnown(compiled, basis)) return false;
      return steps.some(({ from }) => from === 0);
    }
    default:
      return false;
  }
};

const mayWithhold = ({ adjustments, book }: CompiledBook, { serviceId, zoneId }: Rate): boolean =>
  adjustments.some(
    ({ adjustment: { to, effect, when } }) =>
      (to.serviceIds?.includes(serviceId) ?? true) &&
      (to.zoneIds?.includes(zoneId) ?? true) &&
      (to.kinds?.includes('shipping') ?? true) &&
      (effect.do === 'withhold' ||
        (effect.do === 'add' && effect.per === 'parcel' && book.store.packing.kind !== 'single') ||
        when.some((one) => one.test === 'measure' && (one.of === 'weight' || one.of === 'volume'))),
  );

const handlesParcels = ({ book }: CompiledBook, { handling }: Rate): boolean =>
  book.store.packing.kind !== 'single' &&
  [handling, book.store.handling].some((one) => one?.per === 'parcel');

/**
 * Whether a rate is offered for every order to its zone whatever is in it, which proves that none of them is
 * left without a choice: no limit, no channel, a price for every measure, goods of no group kept from it,
 * and nothing that may withhold it.
 */
export const isForAll = (compiled: CompiledBook, rate: Rate): boolean =>
  !rate.limits &&
  !rate.channels &&
  isPricedForAll(compiled, rate) &&
  !mayWithhold(compiled, rate) &&
  !handlesParcels(compiled, rate) &&
  compiled.book.groups.every(
    ({ shipping, onlyZones, neverZones }) =>
      (shipping === 'any' || (shipping !== 'none' && shipping.includes(rate.serviceId))) &&
      (onlyZones?.includes(rate.zoneId) ?? true) &&
      !neverZones?.includes(rate.zoneId),
  );
