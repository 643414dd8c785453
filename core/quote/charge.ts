import type { Handling } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import type { Source } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import type { Store } from '../model/store.ts';
import type { Refusal } from '../price/limits.ts';
import { pointsOf, toMultiple } from '../price/rounding.ts';
import { adjust, type Subject } from './adjust.ts';
import type { Basket } from '../basket/basket.ts';
import type { CompiledRate } from './compile.ts';
import type { LocatedOrder } from './conditions.ts';
import { Ledger } from './ledger.ts';
import { addPrice, countOf } from './pricing.ts';

const STORE: Source = { kind: 'store', id: 'store' };

/** The fees of goods that have one, once for their line. */
export const addGoodsFees = (ledger: Ledger, basket: Basket): void => {
  for (const { good } of basket.physical) {
    if (!good.onceFee) continue;
    const from: Source = { kind: 'good', id: good.sku };
    ledger.add('goods-fee', good.onceFee, from, { code: 'once-fee', good: good.name, amount: good.onceFee });
  }
};

const addHandling = (
  ledger: Ledger,
  whose: 'rate' | 'store',
  handling: Handling | undefined,
  order: LocatedOrder,
  from: Source,
): Refusal | null => {
  if (!handling) return null;
  const { points = 0, amount = 0, per } = handling;
  const of = ledger.running;
  const count = amount === 0 ? 0 : countOf(per, order);
  if (typeof count !== 'number') return count;
  const share = pointsOf(of, points);
  const change = share + amount * count;
  if (change === 0) return null;
  const step = whose === 'rate' ? 'handling' : 'store-handling';
  ledger.add(step, change, from, { code: 'handling', whose, points, of, share, amount, count, per });
  return null;
};

/** The subtotal reaches the free threshold: the charge becomes 0. */
const addFreeFrom = (
  ledger: Ledger,
  freeFrom: number | undefined,
  subtotal: number,
  from: Source,
): boolean => {
  if (freeFrom === undefined || subtotal < freeFrom) return false;
  ledger.add('free-from', 0 - ledger.running, from, { code: 'free-reached', subtotal, from: freeFrom });
  return true;
};

/** The store's rounding. */
export const addRounding = (ledger: Ledger, rounding: Store['rounding']): void => {
  if (rounding === 'none') return;
  const change = toMultiple(ledger.running, rounding.to, rounding.mode) - ledger.running;
  if (change !== 0)
    ledger.add('rounding', change, STORE, { code: 'rounded', to: rounding.to, mode: rounding.mode });
};

/** The rate's bounds: raised to the least, then cut to the greatest, so that where they contradict the greatest stands. */
const addBounds = (ledger: Ledger, bounds: Rate['bounds'], from: Source): void => {
  const { min, max } = bounds ?? {};
  if (min !== undefined && ledger.running < min) {
    ledger.add('bounds', min - ledger.running, from, { code: 'raised', min });
  }
  if (max !== undefined && ledger.running > max) {
    ledger.add('bounds', max - ledger.running, from, { code: 'cut', max });
  }
};

/** A charge with its working; `terms` where an adjustment says who pays import charges. */
export type Charged =
  { ok: true; ledger: Ledger; short?: number; terms?: DutyRules['terms'] } | { ok: false; refusal: Refusal };

/** Writes the price itself into the ledger; a refusal where it cannot be known. */
export type PriceStep = (ledger: Ledger) => Refusal | null;

/** What one of a carrier's services brings of its own. */
export interface OwnTerms {
  code?: string;
  freeFrom?: number | undefined;
}

/** A charge that went below 0 is 0. */
export const addNotBelowZero = (ledger: Ledger, from: Source): void => {
  if (ledger.running < 0) ledger.add('not-below-zero', -ledger.running, from, { code: 'not-below-zero' });
};

/** The lower of two thresholds, where there is one. */
const lower = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined || b === undefined ? (a ?? b) : Math.min(a, b);

/**
 * A charge for an order in minor units, with its working: the price that a step writes, goods' fees, the rate's
 * and the store's handling, adjustments, free-from, rounding, bounds, in that order, and never below 0. A
 * charge made free beats a minimum. `short` is how much more in the basket would make it free.
 */
export const chargeBy = (
  { rate, source: from }: CompiledRate,
  order: LocatedOrder,
  price: PriceStep,
  own: OwnTerms = {},
): Charged => {
  const { basket, compiled } = order;
  const { store } = compiled.book;
  const ledger = new Ledger(compiled.display);
  const unpriced = price(ledger);
  if (unpriced) return { ok: false, refusal: unpriced };
  addGoodsFees(ledger, basket);
  const refusal =
    addHandling(ledger, 'rate', rate.handling, order, from) ??
    addHandling(ledger, 'store', store.handling, order, STORE);
  if (refusal) return { ok: false, refusal };
  const adjusted = adjust(ledger, compiled.adjustments, subjectOf(rate, own), order);
  if (!adjusted.ok) return adjusted;
  const freeFrom = lower(rate.freeFrom, own.freeFrom);
  const free =
    addFreeFrom(ledger, freeFrom, basket.subtotal, from) || (adjusted.free && ledger.running === 0);
  addRounding(ledger, store.rounding);
  if (!free) addBounds(ledger, rate.bounds, from);
  addNotBelowZero(ledger, from);
  const charged: Charged = { ok: true, ledger };
  const short = freeFrom !== undefined && ledger.running > 0 ? freeFrom - basket.subtotal : 0;
  if (short > 0) charged.short = short;
  if (adjusted.terms) charged.terms = adjusted.terms;
  return charged;
};

const subjectOf = ({ serviceId, zoneId }: Rate, { code }: OwnTerms): Subject =>
  code === undefined
    ? { kind: 'shipping', serviceId, zoneId }
    : { kind: 'shipping', serviceId, zoneId, carrierCode: code };

/** The charge of a rate that prices by itself. */
export const chargeOf = (rate: CompiledRate, order: LocatedOrder): Charged =>
  chargeBy(rate, order, (ledger) => addPrice(ledger, rate, order, rate.source));
