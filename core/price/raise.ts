import type { CarrierPrice, CarrierService, Fallback, Price, StepsPrice } from '../model/price.ts';
import { GREATEST_MONEY } from '../model/unit.ts';
import { pointsOf, toMultiple } from './rounding.ts';

/** A change to many charges at once: a percentage or an amount, either may be negative, then a rounding. */
export interface Raise {
  by: { kind: 'percent'; points: number } | { kind: 'amount'; amount: number };
  rounding: { to: number; mode: 'nearest' | 'up' } | null;
}

/**
 * An amount in minor units after a raise. A price of 0 stays 0, since a percentage of nothing is
 * nothing and a free step is meant; no other falls below one minor unit, so that nothing becomes free.
 */
export const raisedAmount = (amount: number, { by, rounding }: Raise): number => {
  if (amount === 0) return 0;
  const changed = by.kind === 'percent' ? amount + pointsOf(amount, by.points) : amount + by.amount;
  const rounded = rounding ? toMultiple(Math.max(changed, 0), rounding.to, rounding.mode) : changed;
  return Math.min(Math.max(rounded, 1), GREATEST_MONEY);
};

const raisedIf = (amount: number | undefined, raise: Raise): number | undefined =>
  amount === undefined ? undefined : raisedAmount(amount, raise);

const raisedTiers = (price: StepsPrice, raise: Raise): StepsPrice => ({
  ...price,
  steps: price.steps.map((step) => ({
    ...step,
    amount: raisedAmount(step.amount, raise),
    ...(step.each && raise.by.kind === 'percent'
      ? { each: { ...step.each, amount: raisedAmount(step.each.amount, { by: raise.by, rounding: null }) } }
      : {}),
  })),
});

const GREATEST_POINTS = 100_000;
const WHOLE = 10_000;

const within = (value: number, most: number): number => Math.min(most, Math.max(-most, value));

/** The change to a carrier's price with a raise on top: what the carrier asks is not known here, so it is not rounded. */
const raisedChange = ({ points = 0, amount = 0 }: NonNullable<CarrierService['change']>, { by }: Raise) =>
  by.kind === 'amount'
    ? { points, amount: within(amount + by.amount, GREATEST_MONEY) }
    : {
        points: within(pointsOf(WHOLE + points, WHOLE + by.points) - WHOLE, GREATEST_POINTS),
        amount: within(amount + pointsOf(amount, by.points), GREATEST_MONEY),
      };

const raisedService = (service: CarrierService, raise: Raise): CarrierService => {
  if (service.override !== undefined) return { ...service, override: raisedAmount(service.override, raise) };
  const { points, amount } = raisedChange(service.change ?? {}, raise);
  return {
    ...service,
    change: { ...(points === 0 ? {} : { points }), ...(amount === 0 ? {} : { amount }) },
  };
};

const raisedFallback = (fallback: Fallback | 'withhold', raise: Raise): Fallback | 'withhold' =>
  fallback === 'withhold' ? fallback : { ...fallback, amount: raisedAmount(fallback.amount, raise) };

const raisedCarrier = (price: CarrierPrice, raise: Raise): CarrierPrice => ({
  ...price,
  services: price.services.map((service) => raisedService(service, raise)),
  onError: raisedFallback(price.onError, raise),
  onNone: raisedFallback(price.onNone, raise),
});

/**
 * A price with each of its amounts raised; what `each` adds is raised by a percentage only. A percentage of
 * the subtotal stays as it is, with its least and greatest raised; of a carrier's price the merchant's changes and
 * fallbacks are raised; a table has no amount here.
 */
export const raisedPrice = (price: Price, raise: Raise): Price => {
  switch (price.kind) {
    case 'flat': {
      const first = raisedIf(price.first, raise);
      return {
        ...price,
        amount: raisedAmount(price.amount, raise),
        ...(first === undefined ? {} : { first }),
      };
    }
    case 'steps':
      return raisedTiers(price, raise);
    case 'percent': {
      const min = raisedIf(price.min, raise);
      const max = raisedIf(price.max, raise);
      return { ...price, ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) };
    }
    case 'per-product':
      return price.otherwise === null ? price : { ...price, otherwise: raisedAmount(price.otherwise, raise) };
    case 'carrier':
      return raisedCarrier(price, raise);
    default:
      return price;
  }
};
