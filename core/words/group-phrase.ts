import type { Book } from '../model/book.ts';
import type { AnyNoneSome, HandlingGroup } from '../model/good.ts';
import { namesOf } from './names.ts';

/** By what nearby: nothing said where all may, 'not delivered', or the names of those that do. */
const nearbyPhrase = (
  allowed: AnyNoneSome,
  words: { none: string; some: string },
  all: readonly { id: string; name: string }[],
): string[] => {
  if (allowed === 'any') return [];
  return allowed === 'none' || allowed.length === 0
    ? [words.none]
    : [`${words.some} ${namesOf(allowed, all).join(', ')}`];
};

/** What may carry a handling group and where it goes, in a few words. */
export const groupPhrase = (
  { shipping, onlyZones, neverZones, delivery, pickup }: HandlingGroup,
  { services, zones, areas, pickups }: Pick<Book, 'services' | 'zones' | 'areas' | 'pickups'>,
): string => {
  const isNone = shipping === 'none' || shipping.length === 0;
  const carried = isNone
    ? 'not shipped'
    : shipping === 'any'
      ? 'by any service'
      : `by ${namesOf(shipping, services).join(', ')}`;
  const only =
    onlyZones === undefined
      ? []
      : [onlyZones.length === 0 ? 'to no zone' : `only to ${namesOf(onlyZones, zones).join(', ')}`];
  const never =
    neverZones === undefined || neverZones.length === 0
      ? []
      : [`never to ${namesOf(neverZones, zones).join(', ')}`];
  const nearby = [
    ...nearbyPhrase(delivery, { none: 'not delivered', some: 'delivered in' }, areas),
    ...nearbyPhrase(pickup, { none: 'not collected', some: 'collected at' }, pickups),
  ];
  return [carried, ...only, ...never, ...nearby].join('; ');
};
