import type { Price, TiersPrice } from '../model/price.ts';
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

const raisedTiers = (price: TiersPrice, raise: Raise): TiersPrice => ({
  ...price,
  steps: price.steps.map((step) => ({
    ...step,
    amount: raisedAmount(step.amount, raise),
    ...(step.each && raise.by.kind === 'percent'
      ? { each: { ...step.each, amount: raisedAmount(step.each.amount, { by: raise.by, rounding: null }) } }
      : {}),
  })),
});

/**
 * A price with each of its amounts raised; what `each` adds is raised by a percentage only. A percentage of
 * the subtotal stays as it is, with its least and greatest raised; tables and carriers have no amount here.
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
    case 'tiers':
      return raisedTiers(price, raise);
    case 'percent': {
      const min = raisedIf(price.min, raise);
      const max = raisedIf(price.max, raise);
      return { ...price, ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) };
    }
    case 'by-goods':
      return price.otherwise === null ? price : { ...price, otherwise: raisedAmount(price.otherwise, raise) };
    default:
      return price;
  }
};
