import type { Refusal } from '../basket/limits.ts';
import type { Source, WorkingLine } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import { NO_ENTRIES } from '../price/entries.ts';
import type { Entries } from '../price/price-kind.ts';
import { LedgerLine } from './ledger-line.ts';
import type { OrderContext } from './order-context.ts';

/** What a charge has come to so far. */
export interface ChargeSoFar {
  /** Minor units. */
  readonly running: number;
  /** What of it the price itself is, which a free threshold takes off; minor units. */
  readonly price: number;
  /** Whether the last thing that changed it made it free. */
  readonly isFree: boolean;
  /** Who pays import charges, where an adjustment says so. */
  readonly terms: DutyRules['terms'] | undefined;
}

/** What the adjustments say beside their lines. */
export type StepResult = Entries & Partial<Pick<ChargeSoFar, 'isFree' | 'terms'>>;

/** One step of working out a charge. */
export interface ChargeStep {
  step: WorkingLine['step'];
  /** Its lines are part of the price itself. */
  isPrice?: boolean;
  /** What it adds to the charge so far; or why there is no charge. `from` is the rule that is charged. */
  work: (soFar: ChargeSoFar, order: OrderContext, from: Source) => StepResult;
}

/** A charge in minor units, or why there is none. */
type Amount = { ok: true; charge: number; terms: ChargeSoFar['terms'] } | { ok: false; refusal: Refusal };

/** A charge in minor units with its working, or why there is none. */
export type Charged =
  | { ok: true; charge: number; working: LedgerLine[]; terms: ChargeSoFar['terms'] }
  | { ok: false; refusal: Refusal };

/** Works through the steps, each on what those before it came to, and adds their lines to the working that is asked for. */
const workThrough = (
  steps: readonly ChargeStep[],
  order: OrderContext,
  rule: Source,
  working: LedgerLine[] | null,
): Amount => {
  const { display } = order.compiled;
  const soFar = { running: 0, price: 0, isFree: false, terms: undefined as ChargeSoFar['terms'] };
  for (const { step, isPrice, work } of steps) {
    const found = work(soFar, order, rule);
    // Most steps add nothing to most charges.
    if (found === NO_ENTRIES && !isPrice) continue;
    if (!found.ok) return found;
    for (const { change, from, say } of found.entries) {
      soFar.running += change;
      working?.push(new LedgerLine(step, change, soFar.running, from, say, display));
    }
    if (isPrice) soFar.price = soFar.running;
    if (step === 'adjustment') {
      soFar.isFree = found.isFree ?? false;
      soFar.terms = found.terms;
    }
    if (step === 'free-from' && found.entries.length > 0) soFar.isFree = true;
  }
  return { ok: true, charge: soFar.running, terms: soFar.terms };
};

/** The charge of an order by some steps of a rule in their order. */
export const chargeOf = (steps: readonly ChargeStep[], order: OrderContext, rule: Source): Charged => {
  const working: LedgerLine[] = [];
  const found = workThrough(steps, order, rule, working);
  return found.ok ? { ok: true, charge: found.charge, working, terms: found.terms } : found;
};

/** The same charge without its working, in minor units; null where there is none. */
export const amountOf = (steps: readonly ChargeStep[], order: OrderContext, rule: Source): number | null => {
  const found = workThrough(steps, order, rule, null);
  return found.ok ? found.charge : null;
};
