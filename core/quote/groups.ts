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

const NO_GROUPS: readonly HandlingGroup[] = [];

/** The groups that goods are in, each once, in the order of the goods. */
export const groupsOf = (index: GroupIndex, lines: readonly BasketLine[]): readonly HandlingGroup[] => {
  let found: HandlingGroup[] | null = null;
  for (const { good } of lines) {
    if (!good.groupIds) continue;
    for (const id of good.groupIds) {
      const group = index.get(id);
      if (group && !found?.includes(group)) (found ??= []).push(group);
    }
  }
  return found ?? NO_GROUPS;
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
  groups: readonly HandlingGroup[],
  lines: readonly BasketLine[],
  service: Service,
  zone: Zone,
): Refusal | null => {
  for (const group of groups) {
    const found = barrier(group, service, zone);
    if (found) return notAllowed(group, lines, found, found === 'service' ? service.name : zone.name);
  }
  return null;
};

/** The refusal for goods of which some handling group may not be delivered in an area, or collected at a point, naming them. */
export const nearbyRefusal = (
  groups: readonly HandlingGroup[],
  lines: readonly BasketLine[],
  by: 'delivery' | 'pickup',
  { id, name }: { id: string; name: string },
): Refusal | null => {
  const barred = groups.find((group) => !lets(group[by], id));
  return barred ? notAllowed(barred, lines, by, barred[by] === 'none' ? '' : name) : null;
};
