import type { Book } from '../model/book.ts';
import type { Adjustment, Condition } from '../model/adjustment.ts';
import type { Rate } from '../model/rate.ts';
import { kindOf } from '../price/kinds.ts';
import { fallbackAmount, withFallback } from '../price/kinds/carrier.ts';
import { withCharge, withFreeFrom, withSubtotal } from '../price/rate-edges.ts';
import type { Raise } from '../price/raise.ts';

/**
 * One figure of the book, or of what carriers ask, that is moved to see what it would do:
 * `free-from` the subtotal from which a rate is free; `adjustment-from` the subtotal from which an adjustment makes
 * free; `step` the charge of one step; `least-charge` the minimum of a rate's charge; `minimum-order` the subtotal
 * below which it is not offered; `fallback` the charge where a carrier gives no price; `raise-percent` and
 * `raise-amount` a change of several rates at once; `carrier-increase` what carriers ask more, of one account or all.
 */
export type Lever =
  | { kind: 'free-from'; rateId: string }
  | { kind: 'adjustment-from'; adjustmentId: string }
  | { kind: 'step'; rateId: string; at: number }
  | { kind: 'least-charge'; rateId: string }
  | { kind: 'minimum-order'; rateId: string }
  | { kind: 'fallback'; rateId: string }
  | { kind: 'raise-percent'; rateIds: readonly string[] }
  | { kind: 'raise-amount'; rateIds: readonly string[] }
  | { kind: 'carrier-increase'; accountId: string | null };

/** A lever that moves a figure of one rate. */
type RateLever = Extract<Lever, { rateId: string }>;
/** Minor units, or hundredths of a percent where the lever moves a percentage; null is no such figure. */
export type LeverValue = number | null;

const rateOf = ({ rates }: Book, id: string): Rate | undefined => rates.find((rate) => rate.id === id);

const replaced = (book: Book, ids: readonly string[], change: (rate: Rate) => Rate): Book => ({
  ...book,
  rates: book.rates.map((rate) => (ids.includes(rate.id) ? change(rate) : rate)),
});

const stepAmount = ({ price }: Rate, at: number): LeverValue =>
  price.kind === 'steps' ? (price.steps[at]?.amount ?? null) : null;

const withStep = (rate: Rate, at: number, amount: number): Rate => {
  const { price } = rate;
  if (price.kind !== 'steps') return rate;
  const steps = price.steps.map((step, index) => (index === at ? { ...step, amount } : step));
  return { ...rate, price: { ...price, steps } };
};

const isSubtotal = (condition: Condition): condition is Extract<Condition, { test: 'measure' }> =>
  condition.test === 'measure' && condition.of === 'subtotal';

/** The subtotal from which an adjustment makes a charge free; null where it does not, or asks for none. */
export const adjustmentFrom = ({ effect, when }: Adjustment): LeverValue =>
  effect.do === 'free' ? (when.find(isSubtotal)?.min ?? null) : null;

const withAdjustmentFrom = (one: Adjustment, min: number): Adjustment => ({
  ...one,
  when: one.when.map((condition) => (isSubtotal(condition) ? { ...condition, min } : condition)),
});

const raisedRates = (book: Book, rateIds: readonly string[], by: Raise['by']): Book =>
  replaced(book, rateIds, (rate) => ({
    ...rate,
    price: kindOf(rate.price).raised(rate.price, { by, rounding: null }),
  }));

const rateValue = (rate: Rate, lever: RateLever): LeverValue => {
  switch (lever.kind) {
    case 'free-from':
      return rate.freeFrom ?? null;
    case 'step':
      return stepAmount(rate, lever.at);
    case 'least-charge':
      return rate.bounds?.min ?? null;
    case 'minimum-order':
      return rate.limits?.subtotal?.min ?? null;
    case 'fallback':
      return rate.price.kind === 'carrier' ? fallbackAmount(rate.price) : null;
  }
};

const withRateValue = (rate: Rate, lever: RateLever, value: LeverValue): Rate => {
  switch (lever.kind) {
    case 'free-from':
      return withFreeFrom(rate, value);
    case 'step':
      return value === null ? rate : withStep(rate, lever.at, value);
    case 'least-charge':
      return withCharge(rate, 'min', value);
    case 'minimum-order':
      return withSubtotal(rate, 'min', value);
    case 'fallback':
      return value === null || rate.price.kind !== 'carrier'
        ? rate
        : { ...rate, price: withFallback(rate.price, value) };
  }
};

/** Where a lever stands in a book: null where the book has no such figure, 0 for a change that is not made yet. */
export const leverValue = (book: Book, lever: Lever): LeverValue => {
  if ('rateId' in lever) {
    const rate = rateOf(book, lever.rateId);
    return rate ? rateValue(rate, lever) : null;
  }
  if (lever.kind !== 'adjustment-from') return 0;
  const adjustment = book.adjustments.find(({ id }) => id === lever.adjustmentId);
  return adjustment ? adjustmentFrom(adjustment) : null;
};

/**
 * The book with a lever moved to a value. What is not the book's, as what a carrier asks more, leaves it as it is;
 * so does null for a figure that cannot be left out.
 */
export const withLever = (book: Book, lever: Lever, value: LeverValue): Book => {
  if ('rateId' in lever) return replaced(book, [lever.rateId], (rate) => withRateValue(rate, lever, value));
  switch (lever.kind) {
    case 'adjustment-from':
      return {
        ...book,
        adjustments: book.adjustments.map((one) =>
          one.id === lever.adjustmentId && value !== null ? withAdjustmentFrom(one, value) : one,
        ),
      };
    case 'raise-percent':
      return value ? raisedRates(book, lever.rateIds, { kind: 'percent', points: value }) : book;
    case 'raise-amount':
      return value ? raisedRates(book, lever.rateIds, { kind: 'amount', amount: value }) : book;
    case 'carrier-increase':
      return book;
  }
};

/** Whether a lever moves hundredths of a percent; else it moves minor units. */
export const isInPercent = ({ kind }: Lever): boolean =>
  kind === 'raise-percent' || kind === 'carrier-increase';
