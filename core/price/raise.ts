import { GREATEST_MONEY } from '../model/bounds.ts';
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

/** The same for an amount that may be left out. */
export const raisedIf = (amount: number | undefined, raise: Raise): number | undefined =>
  amount === undefined ? undefined : raisedAmount(amount, raise);
