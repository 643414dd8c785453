import type { Book } from '../model/book.ts';
import type { HandlingGroup } from '../model/good.ts';
import { namesOf } from './names.ts';

const NEARBY: Record<string, string> = {
  'true-false': 'not collected',
  'false-true': 'collected, not delivered',
  'false-false': 'neither delivered nor collected',
};

/** What may carry a handling group and where it goes, in a few words. */
export const groupPhrase = (
  { shipping, onlyZones, neverZones, delivery, pickup }: HandlingGroup,
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
  const nearby = delivery && pickup ? [] : [NEARBY[`${delivery}-${pickup}`] ?? ''];
  return [carried, ...only, ...never, ...nearby].join('; ');
};
