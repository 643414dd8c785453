import { t } from '../translate/translate.ts';
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
    ? t('not shipped')
    : shipping === 'any'
      ? t('by any service')
      : t('by {list}', { list: namesOf(shipping, services).join(', ') });
  const only =
    onlyZones === undefined
      ? []
      : [
          onlyZones.length === 0
            ? t('to no zone')
            : t('only to {list}', { list: namesOf(onlyZones, zones).join(', ') }),
        ];
  const never =
    neverZones === undefined || neverZones.length === 0
      ? []
      : [t('never to {list}', { list: namesOf(neverZones, zones).join(', ') })];
  const nearby = [
    ...nearbyPhrase(delivery, { none: t('not delivered'), some: t('delivered in') }, areas),
    ...nearbyPhrase(pickup, { none: t('not collected'), some: t('collected at') }, pickups),
  ];
  return [carried, ...only, ...never, ...nearby].join('; ');
};
