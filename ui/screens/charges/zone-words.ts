import type { Zone } from '../../../core/model/place.ts';
import { regionsPhrase } from '../../../core/place/region-phrase.ts';

/** What a zone takes, in a few words, and what keeps it from taking it. */
export const zoneWords = (zone: Zone, closed: boolean): string => {
  const places = regionsPhrase(zone.includes);
  const rest = places === '' ? 'places in no other zone' : `${places}, and places in no other zone`;
  const takes = zone.remainder ? rest : places === '' ? 'no places yet' : places;
  return [...(closed ? ['closed, not sold to'] : []), ...(zone.active ? [] : ['switched off']), takes].join(
    ' · ',
  );
};
