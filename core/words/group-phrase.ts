import type { Book } from '../model/book.ts';
import type { HandlingGroup } from '../model/good.ts';

const named = (ids: readonly string[], all: readonly { id: string; name: string }[]): string =>
  ids.map((id) => all.find((one) => one.id === id)?.name ?? id).join(', ');

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
      : `by ${named(shipping, services)}`;
  const only =
    onlyZones === undefined
      ? []
      : [onlyZones.length === 0 ? 'to no zone' : `only to ${named(onlyZones, zones)}`];
  const never =
    neverZones === undefined || neverZones.length === 0 ? [] : [`never to ${named(neverZones, zones)}`];
  return [carried, ...only, ...never].join('; ');
};
