import type { Adjustment, Condition } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';

/** Why an adjustment can never act, whatever the order; its words are in `words/idle-sentence.ts`. */
export type Idle =
  | { why: 'off' }
  | { why: 'names-nothing'; what: 'services' | 'zones' | 'goods' | 'codes' | 'places' | 'days' | 'kinds' }
  | { why: 'no-rate' }
  | { why: 'no-such-kind' }
  | { why: 'range-empty' }
  | { why: 'dates-empty' }
  | { why: 'dates-over'; to: string }
  | { why: 'no-effect' }
  | { why: 'after-last'; name: string }
  | { why: 'excludes'; of: string }
  | { why: 'overruled'; name: string };

const emptyCondition = (condition: Condition, on: string): Idle | null => {
  switch (condition.test) {
    case 'measure': {
      const { min = 0, max } = condition;
      return max !== undefined && min >= max ? { why: 'range-empty' } : null;
    }
    case 'goods': {
      const names = (condition.groupIds?.length ?? 0) + (condition.skus?.length ?? 0);
      return names === 0 && condition.match !== 'none' ? { why: 'names-nothing', what: 'goods' } : null;
    }
    case 'destination':
      return condition.in.length === 0 && !condition.not ? { why: 'names-nothing', what: 'places' } : null;
    case 'dates': {
      const { from, to, everyYear } = condition;
      if (everyYear) return null;
      if (from !== undefined && to !== undefined && from > to) return { why: 'dates-empty' };
      return to !== undefined && to < on ? { why: 'dates-over', to } : null;
    }
    case 'weekday':
      return condition.days.length === 0 ? { why: 'names-nothing', what: 'days' } : null;
    default:
      return condition.in.length === 0 ? { why: 'names-nothing', what: 'codes' } : null;
  }
};

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

const withoutEffect = ({ effect }: Adjustment): boolean =>
  (effect.do === 'add' && effect.amount === 0) ||
  (effect.do === 'add' && effect.goods !== undefined && goodsNamed(effect.goods) === 0) ||
  (effect.do === 'percent' && effect.points === 0) ||
  (effect.do === 'bounds' && effect.min === undefined && effect.max === undefined);

const goodsNamed = ({
  groupIds,
  skus,
}: {
  groupIds?: string[] | undefined;
  skus?: string[] | undefined;
}): number => (groupIds?.length ?? 0) + (skus?.length ?? 0);

const isWider = (wide: readonly string[] | undefined, narrow: readonly string[] | undefined): boolean =>
  wide === undefined || (narrow !== undefined && narrow.every((id) => wide.includes(id)));

const methodIds = ({ to }: Adjustment): string[] | undefined =>
  to.methods?.map(({ areaId, methodId }) => `${areaId}:${methodId}`);

/** Whether an earlier adjustment ends the list for everything that this one is for. */
const ends = (earlier: Adjustment, later: Adjustment): boolean =>
  earlier.active && earlier.last === true && coversAll(earlier, later);

type Of<T extends Condition['test']> = Extract<Condition, { test: T }>;

/** Two conditions that no order meets both of: ranges apart, dates apart, lists without a member in common. */
const exclude = (a: Condition, b: Condition): boolean => {
  if (a.test === 'measure' && b.test === 'measure' && a.of === b.of) {
    const least = Math.max(a.min ?? 0, b.min ?? 0);
    return least >= Math.min(a.max ?? Number.POSITIVE_INFINITY, b.max ?? Number.POSITIVE_INFINITY);
  }
  if (a.test === 'dates' && b.test === 'dates' && !a.everyYear && !b.everyYear) {
    const from = [a.from ?? '', b.from ?? ''].sort().at(-1) ?? '';
    const [to = '9'] = [a.to ?? '9', b.to ?? '9'].sort();
    return from > to;
  }
  if (a.test !== b.test || !(a.test === 'code' || a.test === 'channel')) return false;
  return !a.in.some((one) => (b as Of<'code'>).in.includes(one));
};

const excluded = ({ when }: Adjustment): Idle | null => {
  const found = when.find((one, at) => when.slice(at + 1).some((other) => exclude(one, other)));
  return found ? { why: 'excludes', of: found.test === 'measure' ? found.of : found.test } : null;
};

const FIELDS = ['kinds', 'serviceIds', 'zoneIds', 'areaIds', 'pickupIds', 'carrierCodes'] as const;

/** Whether all that one adjustment acts on, another acts on too. */
const coversAll = (wide: Adjustment, narrow: Adjustment): boolean =>
  FIELDS.every((field) => isWider(wide.to[field], narrow.to[field])) &&
  isWider(methodIds(wide), methodIds(narrow)) &&
  wide.when.every((one) => narrow.when.some((other) => JSON.stringify(one) === JSON.stringify(other)));

const CHARGES: readonly Adjustment['effect']['do'][] = ['add', 'percent', 'set'];

/** A later adjustment that sets the charge, or makes it free, whenever this one has changed it; this one stays without effect. */
const overruledBy = (adjustment: Adjustment, { adjustments }: Book): Adjustment | undefined => {
  if (adjustment.last || !CHARGES.includes(adjustment.effect.do)) return undefined;
  const after = adjustments.slice(adjustments.indexOf(adjustment) + 1);
  // One that ends the list keeps the later ones from acting.
  const ending = after.findIndex(({ active, last }) => active && last === true);
  return after
    .slice(0, ending < 0 ? after.length : ending + 1)
    .find(
      (later) => later.active && ['set', 'free'].includes(later.effect.do) && coversAll(later, adjustment),
    );
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
    const empty = emptyCondition(condition, on);
    if (empty) return empty;
  }
  const apart = excluded(adjustment);
  if (apart) return apart;
  if (withoutEffect(adjustment)) return { why: 'no-effect' };
  const at = book.adjustments.indexOf(adjustment);
  const last = book.adjustments.slice(0, Math.max(at, 0)).find((one) => ends(one, adjustment));
  if (last) return { why: 'after-last', name: last.name };
  const later = overruledBy(adjustment, book);
  return later ? { why: 'overruled', name: later.name } : null;
};
