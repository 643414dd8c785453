import type { EmptyCondition } from '../adjust/adjustment-kind.ts';
import { conditionKind, exclude } from '../adjust/condition-kinds.ts';
import { effectKind } from '../adjust/effect-kinds.ts';
import type { Adjustment } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';

/** Why an adjustment can never act, whatever the order; its words are in `words/idle-sentence.ts`. */
export type Idle =
  | { why: 'off' }
  | EmptyCondition
  | { why: 'names-nothing'; what: 'services' | 'zones' | 'kinds' }
  | { why: 'no-rate' }
  | { why: 'no-such-kind' }
  | { why: 'no-effect' }
  | { why: 'after-last'; name: string }
  | { why: 'excludes'; of: string }
  | { why: 'overruled'; name: string };

/** Whether the board has a rate, switched on in a zone that is, for what the adjustment is for. */
const hasRate = ({ to }: Adjustment, { rates, zones }: Book): boolean => {
  const active = new Set(zones.filter((zone) => zone.active).map((zone) => zone.id));
  return rates.some(
    ({ active: isOn, serviceId, zoneId }) =>
      isOn &&
      active.has(zoneId) &&
      (to.serviceIds?.includes(serviceId) ?? true) &&
      (to.zoneIds?.includes(zoneId) ?? true),
  );
};

const emptySubject = (adjustment: Adjustment, book: Book): Idle | null => {
  const { to } = adjustment;
  if (to.kinds?.length === 0) return { why: 'names-nothing', what: 'kinds' };
  if (to.serviceIds?.length === 0) return { why: 'names-nothing', what: 'services' };
  if (to.zoneIds?.length === 0) return { why: 'names-nothing', what: 'zones' };
  const ships = (to.kinds?.includes('shipping') ?? true) && !to.areaIds && !to.pickupIds && !to.methods;
  const isShippingOnly = to.serviceIds !== undefined || to.zoneIds !== undefined;
  const elsewhere =
    !isShippingOnly &&
    ((book.areas.length > 0 && (to.kinds?.includes('delivery') ?? true)) ||
      (book.pickups.length > 0 && (to.kinds?.includes('pickup') ?? true)));
  if (ships && hasRate(adjustment, book)) return null;
  if (elsewhere) return null;
  return { why: ships ? 'no-rate' : 'no-such-kind' };
};

const isWider = (wide: readonly string[] | undefined, narrow: readonly string[] | undefined): boolean =>
  wide === undefined || (narrow !== undefined && narrow.every((id) => wide.includes(id)));

const methodIds = ({ to }: Adjustment): string[] | undefined =>
  to.methods?.map(({ areaId, methodId }) => `${areaId}:${methodId}`);

/** Whether an earlier adjustment ends the list for everything that this one is for. */
const ends = (earlier: Adjustment, later: Adjustment): boolean =>
  earlier.active && earlier.last === true && coversAll(earlier, later);

const excluded = ({ when }: Adjustment): Idle | null => {
  const found = when.find((one, at) => when.slice(at + 1).some((other) => exclude(one, other)));
  return found ? { why: 'excludes', of: conditionKind(found).about(found) } : null;
};

const FIELDS = ['kinds', 'serviceIds', 'zoneIds', 'areaIds', 'pickupIds', 'carrierCodes'] as const;

/** Whether all that one adjustment acts on, another acts on too. */
const coversAll = (wide: Adjustment, narrow: Adjustment): boolean =>
  FIELDS.every((field) => isWider(wide.to[field], narrow.to[field])) &&
  isWider(methodIds(wide), methodIds(narrow)) &&
  wide.when.every((one) => narrow.when.some((other) => JSON.stringify(one) === JSON.stringify(other)));

/** A later adjustment that sets the charge, or makes it free, whenever this one has changed it; this one stays without effect. */
const overruledBy = (adjustment: Adjustment, { adjustments }: Book): Adjustment | undefined => {
  if (adjustment.last || !effectKind(adjustment.effect).isOverruled) return undefined;
  const after = adjustments.slice(adjustments.indexOf(adjustment) + 1);
  // One that ends the list keeps the later ones from acting.
  const ending = after.findIndex(({ active, last }) => active && last === true);
  return after
    .slice(0, ending < 0 ? after.length : ending + 1)
    .find((later) => later.active && effectKind(later.effect).replaces && coversAll(later, adjustment));
};

/**
 * Why an adjustment can never act on an order placed on or after a day, or null where it may: it is
 * switched off, names nothing, its conditions contradict themselves, its dates are over, it changes
 * nothing, a later one overrules it, or an earlier one ends the list for all that it is for.
 */
export const neverActs = (adjustment: Adjustment, book: Book, on: string): Idle | null => {
  if (!adjustment.active) return { why: 'off' };
  const subject = emptySubject(adjustment, book);
  if (subject) return subject;
  for (const condition of adjustment.when) {
    const empty = conditionKind(condition).empty(condition, on);
    if (empty) return empty;
  }
  const apart = excluded(adjustment);
  if (apart) return apart;
  if (effectKind(adjustment.effect).isIdle(adjustment.effect)) return { why: 'no-effect' };
  const at = book.adjustments.indexOf(adjustment);
  const last = book.adjustments.slice(0, Math.max(at, 0)).find((one) => ends(one, adjustment));
  if (last) return { why: 'after-last', name: last.name };
  const later = overruledBy(adjustment, book);
  return later ? { why: 'overruled', name: later.name } : null;
};
