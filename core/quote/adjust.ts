import type { Adjustment, ChoiceKind, Effect } from '../model/adjustment.ts';
import type { Source } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import type { Refusal } from '../price/limits.ts';
import { pointsOf } from '../price/rounding.ts';
import { allHold, compileCondition, namesGood, type LocatedOrder, type Test } from './conditions.ts';
import type { Ledger } from './ledger.ts';
import { countOf } from './pricing.ts';

/** The choice that an adjustment may touch. */
export interface Subject {
  kind: ChoiceKind;
  serviceId?: string;
  zoneId?: string;
  areaId?: string;
  methodId?: string;
  pickupId?: string;
  carrierCode?: string;
}

/** An adjustment made ready for many orders. */
export interface CompiledAdjustment {
  adjustment: Adjustment;
  source: Source;
  tests: readonly Test[];
}

/** An adjustment with its conditions made ready. */
export const compileAdjustment = (adjustment: Adjustment): CompiledAdjustment => ({
  adjustment,
  source: { kind: 'adjustment', id: adjustment.id },
  tests: adjustment.when.map(compileCondition),
});

const isAmong = (list: readonly string[] | undefined, value: string | undefined): boolean =>
  list === undefined || (value !== undefined && list.includes(value));

/** Whether a choice is one an adjustment is for: every field that is present holds; one that does not apply does not. */
export const isFor = ({ to }: Adjustment, subject: Subject): boolean =>
  isAmong(to.kinds, subject.kind) &&
  isAmong(to.serviceIds, subject.serviceId) &&
  isAmong(to.zoneIds, subject.zoneId) &&
  isAmong(to.areaIds, subject.areaId) &&
  isAmong(to.pickupIds, subject.pickupId) &&
  isAmong(to.carrierCodes, subject.carrierCode) &&
  (to.methods === undefined ||
    to.methods.some(({ areaId, methodId }) => areaId === subject.areaId && methodId === subject.methodId));

type Add = Extract<Effect, { do: 'add' }>;

/** How many times an amount is added: of the goods that are named, those charged for. */
const countAdded = ({ per, goods }: Add, { basket, parcels }: LocatedOrder): number | Refusal => {
  if (!goods) return countOf(per, { basket, parcels });
  const named = basket.chargeable.map(({ good }) => namesGood(goods, good));
  const lines = basket.chargeable.filter((_, at) => named[at]);
  if (per === 'line') return lines.length;
  if (per === 'unit') return lines.reduce((sum, { quantity }) => sum + quantity, 0);
  if (per === 'order' || lines.length === 0) return Math.min(1, lines.length);
  const packed = parcels.all();
  if (!packed.ok) return packed.refusal;
  return packed.runs
    .filter(({ contents }) => contents.some(({ line }) => named[line]))
    .reduce((sum, { count }) => sum + count, 0);
};

const within = (
  amount: number,
  { min, max }: { min?: number | undefined; max?: number | undefined },
): number => Math.min(Math.max(amount, min ?? amount), max ?? Number.POSITIVE_INFINITY);

/** What an effect does to the charge so far, written into the ledger; a refusal where it cannot be said, or withholds. */
const apply = (
  ledger: Ledger,
  { adjustment: { name, effect, last }, source }: CompiledAdjustment,
  order: LocatedOrder,
): Refusal | null => {
  const { running } = ledger;
  const add = (change: number, count = 1, of = 0): void =>
    ledger.add('adjustment', change, source, { code: 'adjusted', name, effect, change, count, of });
  switch (effect.do) {
    case 'withhold':
      return { code: 'adjustment', say: { code: 'adjustment', name, message: effect.message ?? '' } };
    case 'free':
      add(0 - running);
      return null;
    case 'set':
      add(effect.amount - running);
      return null;
    case 'bounds':
      add(within(running, effect) - running);
      return null;
    case 'percent': {
      const of = effect.of === 'charge' ? running : order.basket.subtotal;
      add(pointsOf(of, effect.points), 1, of);
      return null;
    }
    case 'add': {
      const count = countAdded(effect, order);
      if (typeof count !== 'number') return count;
      if (count > 0 || last) add(effect.amount * count, count);
      return null;
    }
    case 'terms':
      add(0);
      return null;
  }
};

const withheldBy = ({ source, adjustment: { effect } }: CompiledAdjustment, refusal: Refusal): Refusal => ({
  ...refusal,
  from: source,
  ...(effect.do === 'withhold' && effect.message ? { message: effect.message } : {}),
});

/**
 * What the adjustments did to a charge: `free` where the last that changed it made it free; `terms` where one
 * says who pays import charges, the last that does.
 */
export type Adjusted =
  { ok: true; free: boolean; terms?: DutyRules['terms'] | undefined } | { ok: false; refusal: Refusal };

/**
 * The adjustments in list order, on the charge so far, a line of the working each; one that adds for
 * goods of which there are none has no line, unless it ends the list. One whose conditions
 * turn on an unknown weight or size, all others holding, withholds the choice: a surcharge that is
 * skipped would be money lost. `last` ends the list for a choice it touched.
 */
export const adjust = (
  ledger: Ledger,
  adjustments: readonly CompiledAdjustment[],
  subject: Subject,
  order: LocatedOrder,
): Adjusted => {
  let free = false;
  let terms: DutyRules['terms'] | undefined;
  for (const one of adjustments) {
    const { adjustment, tests } = one;
    if (!isFor(adjustment, subject)) continue;
    const held = allHold(tests, order);
    if (held === false) continue;
    if (held !== true) return { ok: false, refusal: { ...held, from: one.source } };
    const before = ledger.running;
    const refusal = apply(ledger, one, order);
    if (refusal) return { ok: false, refusal: withheldBy(one, refusal) };
    const { effect } = adjustment;
    if (effect.do === 'terms') terms = effect.terms;
    if (effect.do === 'free') free = true;
    else if (effect.do === 'set' || ledger.running !== before) free = false;
    if (adjustment.last) break;
  }
  return { ok: true, free, terms };
};
