import type { Handling } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import type { Source } from '../model/quote.ts';
import type { Store } from '../model/store.ts';
import type { Refusal } from '../price/limits.ts';
import { pointsOf, toMultiple } from '../price/rounding.ts';
import { adjust } from './adjust.ts';
import type { Basket } from './basket.ts';
import type { CompiledRate } from './compile.ts';
import type { Circumstances } from './conditions.ts';
import { Ledger } from './ledger.ts';
import { addPrice, countOf } from './pricing.ts';

const STORE: Source = { kind: 'store', id: 'store' };

const addGoodsFees = (ledger: Ledger, basket: Basket): void => {
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
  order: Circumstances,
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
const addFreeFrom = (ledger: Ledger, rate: Rate, subtotal: number, from: Source): boolean => {
  if (rate.freeFrom === undefined || subtotal < rate.freeFrom) return false;
  ledger.add('free-from', 0 - ledger.running, from, { code: 'free-reached', subtotal, from: rate.freeFrom });
  return true;
};

const addRounding = (ledger: Ledger, rounding: Store['rounding']): void => {
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

export type Charged = { ok: true; ledger: Ledger; short?: number } | { ok: false; refusal: Refusal };

const addNotBelowZero = (ledger: Ledger, from: Source): void => {
  if (ledger.running < 0) ledger.add('not-below-zero', -ledger.running, from, { code: 'not-below-zero' });
};

/**
 * A rate's charge for an order in minor units, with its working: price, goods' fees, the rate's and
 * the store's handling, adjustments, free-from, rounding, bounds, in that order, and never below 0. A
 * charge made free beats a minimum. `short` is how much more in the basket would make it free.
 */
export const chargeOf = (compiledRate: CompiledRate, order: Circumstances): Charged => {
  const { basket, compiled } = order;
  const { rate, source: from } = compiledRate;
  const { store } = compiled.book;
  const ledger = new Ledger(compiled.speech);
  const unpriced = addPrice(ledger, compiledRate, order, from);
  if (unpriced) return { ok: false, refusal: unpriced };
  addGoodsFees(ledger, basket);
  const refusal =
    addHandling(ledger, 'rate', rate.handling, order, from) ??
    addHandling(ledger, 'store', store.handling, order, STORE);
  if (refusal) return { ok: false, refusal };
  const { serviceId, zoneId } = rate;
  const adjusted = adjust(ledger, compiled.adjustments, { kind: 'shipping', serviceId, zoneId }, order);
  if (!adjusted.ok) return adjusted;
  const free = addFreeFrom(ledger, rate, basket.subtotal, from) || (adjusted.free && ledger.running === 0);
  addRounding(ledger, store.rounding);
  if (!free) addBounds(ledger, rate.bounds, from);
  addNotBelowZero(ledger, from);
  const short = rate.freeFrom !== undefined && ledger.running > 0 ? rate.freeFrom - basket.subtotal : 0;
  return short > 0 ? { ok: true, ledger, short } : { ok: true, ledger };
};
