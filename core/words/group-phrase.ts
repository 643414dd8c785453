import type { Book } from '../model/book.ts';
import type { HandlingGroup } from '../model/good.ts';
import { namesOf } from './names.ts';

/** What may carry a handling group and where it goes, in a few words. */
export const groupPhrase = (
  { shipping, onlyZones, neverZones }: HandlingGroup,
  { services, zones }: Pick<Book, 'services' | 'zones'>,
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
  return [carried, ...only, ...never].join('; ');
};
