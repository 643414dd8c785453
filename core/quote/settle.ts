import type { Refusal } from '../basket/limits.ts';
import type { TaxRate } from '../model/tax.ts';
import { chargeOf, type ChargeStep } from './charge.ts';
import { choiceOf, type ChoiceTimes } from './choice.ts';
import type { OrderContext } from './order-context.ts';
import { offerAs, withhold, type Outcome, type Way } from './outcome.ts';
import { offerByTerms } from './terms.ts';

/** A way with the steps of its charge, and the taxes on it. */
export interface Priceable {
  way: Way;
  steps: readonly ChargeStep[];
  taxes: readonly TaxRate[];
}

/** The times of a way, or why there is none left. */
export type TimesFound = ({ ok: true } & ChoiceTimes) | { ok: false; refusal: Refusal };

/**
 * What becomes of a way that nothing stands against yet: withheld where its charge cannot be said or no time is left
 * for it, else offered, by the terms of import where it crosses a border. What is collected crosses none.
 */
export const settle = (
  order: OrderContext,
  { way, steps, taxes }: Priceable,
  timesOf: () => TimesFound,
): Outcome => {
  const { display } = order.compiled;
  const charged = chargeOf(steps, order, way.source);
  if (!charged.ok) return withhold(way, charged.refusal, display);
  const times = timesOf();
  if (!times.ok) return withhold(way, times.refusal, display);
  const choice = choiceOf(order, way, charged, taxes, times);
  return way.kind === 'pickup' ? offerAs(choice) : offerByTerms(order, way, choice, charged.terms);
};
