import type { Good, HandlingGroup } from '../model/good.ts';
import type { Zone } from '../model/place.ts';
import type { Service } from '../model/rate.ts';
import type { Refusal } from '../price/limits.ts';
import type { BasketLine } from './basket.ts';

/** The handling groups by id. */
export type GroupIndex = ReadonlyMap<string, HandlingGroup>;

export const indexGroups = (groups: readonly HandlingGroup[]): GroupIndex =>
  new Map(groups.map((group) => [group.id, group]));

/** What keeps a group from travelling by a service into a zone, or null. */
const barrier = (
  { shipping, onlyZones, neverZones }: HandlingGroup,
  service: Service,
  zone: Zone,
): 'service' | 'zone' | null => {
  if (shipping === 'none' || (shipping !== 'any' && !shipping.includes(service.id))) return 'service';
  const isKept = onlyZones !== undefined && !onlyZones.includes(zone.id);
  return isKept || neverZones?.includes(zone.id) ? 'zone' : null;
};

const barrierOf = (
  groups: GroupIndex,
  { groupId }: Good,
  service: Service,
  zone: Zone,
): 'service' | 'zone' | null => {
  const group = groupId === undefined ? undefined : groups.get(groupId);
  return group ? barrier(group, service, zone) : null;
};

/**
 * The refusal for goods whose handling group this service may not carry into this zone, naming them; the
 * first group at fault is the one that is told. Goods without a group travel by anything.
 */
export const groupRefusal = (
  groups: GroupIndex,
  lines: readonly BasketLine[],
  service: Service,
  zone: Zone,
): Refusal | null => {
  if (groups.size === 0) return null;
  const first = lines.find(({ good }) => barrierOf(groups, good, service, zone) !== null);
  const group = first?.good.groupId === undefined ? undefined : groups.get(first.good.groupId);
  const by = group && barrier(group, service, zone);
  if (!group || !by) return null;
  const goods = lines.filter(({ good }) => good.groupId === group.id).map(({ good }) => good.name);
  const to = by === 'service' ? service.name : zone.name;
  return {
    code: 'goods-not-allowed',
    say: { code: 'goods-not-allowed', goods, group: group.name, by, to },
    from: { kind: 'group', id: group.id },
  };
};

/** The refusal for goods whose handling group may not go out by local delivery, or be collected, naming them. */
export const nearbyRefusal = (
  groups: GroupIndex,
  lines: readonly BasketLine[],
  by: 'delivery' | 'pickup',
): Refusal | null => {
  for (const { good } of lines) {
    const group = good.groupId === undefined ? undefined : groups.get(good.groupId);
    if (!group || group[by]) continue;
    const goods = lines.filter((line) => line.good.groupId === group.id).map((line) => line.good.name);
    return {
      code: 'goods-not-allowed',
      say: { code: 'goods-not-allowed', goods, group: group.name, by, to: '' },
      from: { kind: 'group', id: group.id },
    };
  }
  return null;
};
