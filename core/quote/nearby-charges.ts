import type { DeliveryArea, DeliveryMethod, PickupPoint } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { Source } from '../model/quote.ts';
import type { Store } from '../model/store.ts';
import { NO_ENTRIES, oneEntry, refused } from '../price/entries.ts';
import { kindOf } from '../price/kinds.ts';
import type { PriceOf } from '../price/price-kind.ts';
import type { ChargeStep } from './charge.ts';
import {
  adjustmentsStep,
  goodsFeesStep,
  notBelowZeroStep,
  priceFreeFromStep,
  priceStep,
  roundingSteps,
} from './charge-steps.ts';
import type { Told, Way } from './outcome.ts';

/** What a method of a delivery area, or collecting at a point, is to a customer and what it costs. */

const sourceOf = ({ id }: DeliveryArea): Source => ({ kind: 'area', id });

/** What a method adds to the area's price; an addition that stays is no part of what a free threshold takes off. */
const methodStep = ({ name, add, addStays = false }: DeliveryMethod): ChargeStep => ({
  step: 'method',
  isPrice: !addStays,
  work: (_, _order, from) =>
    add > 0 ? oneEntry(add, from, { code: 'method', method: name, amount: add }) : NO_ENTRIES,
});

const serviceFeeStep = ({ name, amount }: NonNullable<DeliveryArea['serviceFee']>): ChargeStep => ({
  step: 'service-fee',
  work: (_, _order, from) =>
    amount > 0 ? oneEntry(amount, from, { code: 'service-fee', name, amount }) : NO_ENTRIES,
});

const pricedByCarrier =
  ({ name }: DeliveryArea): PriceOf =>
  () =>
    refused({ code: 'carrier-none', say: { code: 'area-by-carrier', area: name } });

/** The steps of what a method of an area costs. */
export const deliverySteps = (store: Store, area: DeliveryArea, method: DeliveryMethod): ChargeStep[] => {
  const { price, freeFrom, serviceFee } = area;
  return [
    priceStep(kindOf(price).prepare?.(price) ?? pricedByCarrier(area)),
    methodStep(method),
    goodsFeesStep,
    adjustmentsStep({ kind: 'delivery', areaId: area.id, methodId: method.id }),
    ...(freeFrom === undefined ? [] : [priceFreeFromStep(freeFrom)]),
    notBelowZeroStep,
    ...(serviceFee ? [serviceFeeStep(serviceFee)] : []),
    ...roundingSteps(store),
  ];
};

const TOLD_OF_AREAS: Told = { which: 'some', codes: ['below-minimum', 'no-time-left'] };

/** The way of a method of an area. */
export const methodWay = (area: DeliveryArea, method: DeliveryMethod): Way => ({
  id: `${area.id}:${method.id}`,
  kind: 'delivery',
  of: { areaId: area.id, methodId: method.id },
  name: method.name,
  note: area.instructions,
  source: sourceOf(area),
  freeFrom: area.freeFrom,
  told: TOLD_OF_AREAS,
});

const TOLD_OF_PICKUPS: Told = {
  which: 'some',
  codes: ['below-minimum', 'too-far', 'distance-unknown', 'no-time-left'],
};

/** The way of a pickup point. */
export const pickupWay = ({ id, name, instructions }: PickupPoint, { address }: Location): Way => ({
  id,
  country: address.country,
  kind: 'pickup',
  of: { pickupId: id },
  name,
  note: instructions,
  source: { kind: 'pickup', id },
  told: TOLD_OF_PICKUPS,
});

const pickupPrice =
  (amount: number): PriceOf =>
  (_, from) =>
    oneEntry(amount, from, { code: 'pickup-charge', amount });

/** The steps of what collecting costs. */
export const pickupSteps = (store: Store, { id, charge }: PickupPoint): ChargeStep[] => [
  priceStep(pickupPrice(charge)),
  adjustmentsStep({ kind: 'pickup', pickupId: id }),
  notBelowZeroStep,
  ...roundingSteps(store),
];
