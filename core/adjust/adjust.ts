import type { Refusal } from '../basket/limits.ts';
import type { Adjustment, ChoiceKind } from '../model/adjustment.ts';
import type { Source } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import type { Entry } from '../price/price-kind.ts';
import type { AdjustedOrder, Test } from './adjustment-kind.ts';
import { allHold, conditionKind } from './condition-kinds.ts';
import { effectKind } from './effect-kinds.ts';

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
  tests: adjustment.when.map((condition) => conditionKind(condition).prepare(condition)),
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

/**
 * What the adjustments do to a charge: their lines; `isFree` where the last that changed it made it free; `terms`
 * where one says who pays import charges, the last that does.
 */
export type Adjusted =
  | { ok: true; entries: readonly Entry[]; isFree: boolean; terms?: DutyRules['terms'] | undefined }
  | { ok: false; refusal: Refusal };

/**
 * The adjustments of a choice in list order, on a charge of so many minor units, a line of the working each; one that
 * adds for goods of which there are none has no line, unless it ends the list. One whose conditions turn on an unknown
 * weight or size, all others holding, withholds the choice: a surcharge that is skipped would be money lost. `last` ends
 * the list for a choice it touched.
 */
export const adjust = (
  charge: number,
  adjustments: readonly CompiledAdjustment[],
  order: AdjustedOrder,
): Adjusted => {
  const entries: Entry[] = [];
  let running = charge;
  let isFree = false;
  let terms: DutyRules['terms'] | undefined;
  for (const one of adjustments) {
    const { adjustment, tests } = one;
    const held = allHold(tests, order);
    if (held === false) continue;
    if (held !== true) return { ok: false, refusal: { ...held, from: one.source } };
    const { effect, name, last = false } = adjustment;
    const kind = effectKind(effect);
    const found = kind.change(effect, running, order, { name, source: one.source, last });
    if (!found.ok) return { ok: false, refusal: { ...found.refusal, from: one.source } };
    const before = running;
    for (const entry of found.entries) {
      running += entry.change;
      entries.push(entry);
    }
    if (effect.do === 'terms') terms = effect.terms;
    if (effect.do === 'free') isFree = true;
    else if (kind.replaces || running !== before) isFree = false;
    if (last) break;
  }
  return { ok: true, entries, isFree, terms };
};
