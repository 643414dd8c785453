import type { Adjustment, ChoiceKind, Effect } from '../model/adjustment.ts';
import type { Source } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import type { Refusal } from '../basket/limits.ts';
import { NO_ENTRIES, oneEntry, refused } from '../price/entries.ts';
import { countOf } from '../price/measure-order.ts';
import type { Entries, Entry } from '../price/price-kind.ts';
import { pointsOf } from '../price/rounding.ts';
import { allHold, compileCondition, namesGood, type Test } from './conditions.ts';
import type { OrderContext } from './order-context.ts';

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
const countAdded = ({ per, goods }: Add, { basket, parcels }: OrderContext): number | Refusal => {
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

/** What an effect does to the charge so far: a change in minor units with its line, nothing, or why it cannot be said. */
const effectOn = (
  running: number,
  { adjustment: { name, effect, last }, source }: CompiledAdjustment,
  order: OrderContext,
): Entries => {
  const by = (change: number, count = 1, of = 0): Entries =>
    oneEntry(change, source, { code: 'adjusted', name, effect, change, count, of });
  switch (effect.do) {
    case 'withhold':
      return refused({
        code: 'adjustment',
        say: { code: 'adjustment', name, message: effect.message ?? '' },
      });
    case 'free':
      return by(0 - running);
    case 'set':
      return by(effect.amount - running);
    case 'bounds':
      return by(within(running, effect) - running);
    case 'percent': {
      const of = effect.of === 'charge' ? running : order.basket.subtotal;
      return by(pointsOf(of, effect.points), 1, of);
    }
    case 'add': {
      const count = countAdded(effect, order);
      if (typeof count !== 'number') return refused(count);
      return count > 0 || last ? by(effect.amount * count, count) : NO_ENTRIES;
    }
    case 'terms':
      return by(0);
  }
};

const withheldBy = ({ source, adjustment: { effect } }: CompiledAdjustment, refusal: Refusal): Refusal => ({
  ...refusal,
  from: source,
  ...(effect.do === 'withhold' && effect.message ? { message: effect.message } : {}),
});

/**
 * What the adjustments do to a charge: their lines; `isFree` where the last that changed it made it free; `terms`
 * where one says who pays import charges, the last that does.
 */
export type Adjusted =
  | { ok: true; entries: readonly Entry[]; isFree: boolean; terms?: DutyRules['terms'] | undefined }
  | { ok: false; refusal: Refusal };

/**
 * The adjustments in list order, on a charge of so many minor units, a line of the working each; one that adds
 * for goods of which there are none has no line, unless it ends the list. One whose conditions
 * turn on an unknown weight or size, all others holding, withholds the choice: a surcharge that is
 * skipped would be money lost. `last` ends the list for a choice it touched.
 */
export const adjust = (
  charge: number,
  adjustments: readonly CompiledAdjustment[],
  subject: Subject,
  order: OrderContext,
): Adjusted => {
  const entries: Entry[] = [];
  let running = charge;
  let isFree = false;
  let terms: DutyRules['terms'] | undefined;
  for (const one of adjustments) {
    const { adjustment, tests } = one;
    if (!isFor(adjustment, subject)) continue;
    const held = allHold(tests, order);
    if (held === false) continue;
    if (held !== true) return { ok: false, refusal: { ...held, from: one.source } };
    const found = effectOn(running, one, order);
    if (!found.ok) return { ok: false, refusal: withheldBy(one, found.refusal) };
    const before = running;
    for (const entry of found.entries) {
      running += entry.change;
      entries.push(entry);
    }
    const { effect } = adjustment;
    if (effect.do === 'terms') terms = effect.terms;
    if (effect.do === 'free') isFree = true;
    else if (effect.do === 'set' || running !== before) isFree = false;
    if (adjustment.last) break;
  }
  return { ok: true, entries, isFree, terms };
};
