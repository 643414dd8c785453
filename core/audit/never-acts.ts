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
  | { why: 'after-last'; name: string };

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
  earlier.active &&
  earlier.last === true &&
  (['kinds', 'serviceIds', 'zoneIds', 'areaIds', 'pickupIds', 'carrierCodes'] as const).every((field) =>
    isWider(earlier.to[field], later.to[field]),
  ) &&
  isWider(methodIds(earlier), methodIds(later)) &&
  earlier.when.every((one) => later.when.some((other) => JSON.stringify(one) === JSON.stringify(other)));

/**
 * Why an adjustment can never act on an order placed on or after a day, or null where it may: it is
 * switched off, names nothing, its conditions contradict themselves, its dates are over, it changes
 * nothing, or an earlier one ends the list for all that it is for.
 */
export const neverActs = (adjustment: Adjustment, book: Book, on: string): Idle | null => {
  if (!adjustment.active) return { why: 'off' };
  const subject = emptySubject(adjustment, book);
  if (subject) return subject;
  for (const condition of adjustment.when) {
    const empty = emptyCondition(condition, on);
    if (empty) return empty;
  }
  if (withoutEffect(adjustment)) return { why: 'no-effect' };
  const at = book.adjustments.indexOf(adjustment);
  const last = book.adjustments.slice(0, Math.max(at, 0)).find((one) => ends(one, adjustment));
  return last ? { why: 'after-last', name: last.name } : null;
};
