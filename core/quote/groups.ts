import type { AnyNoneSome, HandlingGroup } from '../model/good.ts';
import type { Zone } from '../model/place.ts';
import type { Service } from '../model/rate.ts';
import type { Refusal } from '../basket/limits.ts';
import type { Message } from '../words/message.ts';
import type { BasketLine } from '../basket/basket.ts';

/** The handling groups by id. */
export type GroupIndex = ReadonlyMap<string, HandlingGroup>;

export const indexGroups = (groups: readonly HandlingGroup[]): GroupIndex =>
  new Map(groups.map((group) => [group.id, group]));

/** Whether all, or this one by name, is allowed. */
export const lets = (allowed: AnyNoneSome, id: string): boolean =>
  allowed === 'any' || (allowed !== 'none' && allowed.includes(id));

/** What keeps a group from travelling by a service into a zone, or null. */
const barrier = (
  { shipping, onlyZones, neverZones }: HandlingGroup,
  service: Service,
  zone: Zone,
): 'service' | 'zone' | null => {
  if (!lets(shipping, service.id)) return 'service';
  const isKept = onlyZones !== undefined && !onlyZones.includes(zone.id);
  return isKept || neverZones?.includes(zone.id) ? 'zone' : null;
};

/** The first group, of the first good that has one, for which something is found to be in its way. */
const firstBarred = <T>(
  groups: GroupIndex,
  lines: readonly BasketLine[],
  inTheWay: (group: HandlingGroup) => T | null,
): { group: HandlingGroup; found: T } | null => {
  for (const { good } of lines) {
    for (const id of good.groupIds ?? []) {
      const group = groups.get(id);
      const found = group ? inTheWay(group) : null;
      if (group && found !== null) return { group, found };
    }
  }
  return null;
};

type NotAllowed = Extract<Message, { code: 'goods-not-allowed' }>;

const notAllowed = (
  group: HandlingGroup,
  lines: readonly BasketLine[],
  by: NotAllowed['by'],
  to: string,
): Refusal => {
  const goods = lines.filter(({ good }) => good.groupIds?.includes(group.id)).map(({ good }) => good.name);
  return {
    code: 'goods-not-allowed',
    say: { code: 'goods-not-allowed', goods, group: group.name, by, to },
    from: { kind: 'group', id: group.id },
  };
};

/**
 * The refusal for goods of which some handling group may not go by this service into this zone, naming them; the
 * first group at fault is the one that is told. Goods without a group travel by anything.
 */
export const groupRefusal = (
  groups: GroupIndex,
  lines: readonly BasketLine[],
  service: Service,
  zone: Zone,
): Refusal | null => {
  if (groups.size === 0) return null;
  const barred = firstBarred(groups, lines, (group) => barrier(group, service, zone));
  if (!barred) return null;
  const { group, found } = barred;
  return notAllowed(group, lines, found, found === 'service' ? service.name : zone.name);
};

/** The refusal for goods of which some handling group may not be delivered in an area, or collected at a point, naming them. */
export const nearbyRefusal = (
  groups: GroupIndex,
  lines: readonly BasketLine[],
  by: 'delivery' | 'pickup',
  { id, name }: { id: string; name: string },
): Refusal | null => {
  if (groups.size === 0) return null;
  const barred = firstBarred(groups, lines, (group) => (lets(group[by], id) ? null : group[by]));
  if (!barred) return null;
  return notAllowed(barred.group, lines, by, barred.found === 'none' ? '' : name);
};
