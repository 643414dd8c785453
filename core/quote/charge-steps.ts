import type { Handling } from '../model/price.ts';
import type { Source } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { Store } from '../model/store.ts';
import { NO_ENTRIES, oneEntry, refused } from '../price/entries.ts';
import { countOf } from '../price/measure-order.ts';
import type { Entry, PriceOf } from '../price/price-kind.ts';
import { pointsOf, toMultiple } from '../price/rounding.ts';
import { adjust, isFor, type CompiledAdjustment, type Subject } from '../adjust/adjust.ts';
import type { ChargeStep } from './charge.ts';

/**
 * The steps that a charge is made of. Each kind of choice has its own list of them (docs/rating.md). A step says that its
 * line is from the rule that is charged, unless another rule adds it.
 */

const STORE: Source = { kind: 'store', id: 'store' };

/** The price itself; 0 where nothing in the basket is charged for. */
export const priceStep = (price: PriceOf): ChargeStep => ({
  step: 'price',
  isPrice: true,
  work: (_, order, from) =>
    order.basket.chargeable.length === 0 ? oneEntry(0, from, { code: 'goes-free' }) : price(order, from),
});

/** The fees of products that have one, once for their line. */
export const goodsFeesStep: ChargeStep = { step: 'goods-fee', work: (_, { goodsFees }) => goodsFees };

const handlingStep = (whose: 'rate' | 'store', handling: Handling, own?: Source): ChargeStep => ({
  step: whose === 'rate' ? 'handling' : 'store-handling',
  work: ({ running: of }, order, rule) => {
    const { points = 0, amount = 0, per } = handling;
    const count = amount === 0 ? 0 : countOf(per, order);
    if (typeof count !== 'number') return refused(count);
    const share = pointsOf(of, points);
    const change = share + amount * count;
    return change === 0
      ? NO_ENTRIES
      : oneEntry(change, own ?? rule, { code: 'handling', whose, points, of, share, amount, count, per });
  },
});

/** A rate's handling: points of the charge so far, and an amount for each of what it counts. */
export const rateHandlingStep = (handling: Handling): ChargeStep => handlingStep('rate', handling);

/** The store's handling, on top of a rate's; none where it has none. */
export const storeHandlingSteps = ({ handling }: Store): readonly ChargeStep[] =>
  handling ? [handlingStep('store', handling, STORE)] : [];

/** The adjustments that are for a choice, in their order; which they are is found once for each compiled book. */
export const adjustmentsStep = (subject: Subject): ChargeStep => {
  let all: readonly CompiledAdjustment[] = [];
  let own = all;
  return {
    step: 'adjustment',
    work: ({ running }, order) => {
      if (all !== order.compiled.adjustments) {
        all = order.compiled.adjustments;
        own = all.filter(({ adjustment }) => isFor(adjustment, subject));
      }
      return own.length === 0 ? NO_ENTRIES : adjust(running, own, order);
    },
  };
};

/** A subtotal that reaches the threshold makes the whole charge 0. */
export const freeFromStep = (freeFrom: number): ChargeStep => ({
  step: 'free-from',
  work: ({ running }, { basket: { subtotal } }, from) =>
    subtotal < freeFrom
      ? NO_ENTRIES
      : oneEntry(0 - running, from, { code: 'free-reached', subtotal, from: freeFrom }),
});

/** A subtotal that reaches the threshold takes what the price itself is off the charge, not below 0. */
export const priceFreeFromStep = (freeFrom: number): ChargeStep => ({
  step: 'free-from',
  work: ({ running, price }, { basket: { subtotal } }, from) => {
    if (subtotal < freeFrom) return NO_ENTRIES;
    const taken = Math.min(price, Math.max(0, running));
    const left = running - taken;
    return oneEntry(-taken, from, { code: 'area-free', subtotal, from: freeFrom, taken, left });
  },
});

const roundingStep: ChargeStep = {
  step: 'rounding',
  work: ({ running }, { compiled }) => {
    const { rounding } = compiled.book.store;
    if (rounding === 'none') return NO_ENTRIES;
    const { to, mode } = rounding;
    const change = toMultiple(running, to, mode) - running;
    return change === 0 ? NO_ENTRIES : oneEntry(change, STORE, { code: 'rounded', to, mode });
  },
};

/** The store's rounding; none where it does not round. */
export const roundingSteps = ({ rounding }: Store): readonly ChargeStep[] =>
  rounding === 'none' ? [] : [roundingStep];

/**
 * The rate's bounds: raised to the least, then cut to the greatest, so that where they contradict the greatest
 * stands. A charge that was made free stays so.
 */
export const boundsStep = ({ min, max }: NonNullable<Rate['bounds']>): ChargeStep => ({
  step: 'bounds',
  work: ({ running, isFree }, _, from) => {
    if (isFree) return NO_ENTRIES;
    const entries: Entry[] = [];
    const raised = min === undefined ? running : Math.max(running, min);
    if (min !== undefined && raised !== running)
      entries.push({ change: raised - running, from, say: { code: 'raised', min } });
    if (max !== undefined && raised > max)
      entries.push({ change: max - raised, from, say: { code: 'cut', max } });
    return { ok: true, entries };
  },
});

/** A charge that went below 0 is 0. */
export const notBelowZeroStep: ChargeStep = {
  step: 'not-below-zero',
  work: ({ running }, _, from) =>
    running < 0 ? oneEntry(-running, from, { code: 'not-below-zero' }) : NO_ENTRIES,
};
