import type { Zone } from '../../../core/model/place.ts';
import { regionsPhrase } from '../../../core/place/region-phrase.ts';

/** What a zone takes, in a few words, and what keeps it from taking it. */
export const zoneWords = (zone: Zone, closed: boolean): string => {
  const places = regionsPhrase(zone.includes);
  const rest = places === '' ? 'everywhere else' : `${places}, and what no other takes`;
  const takes = zone.remainder ? rest : places === '' ? 'no places yet' : places;
  return [...(closed ? ['closed, not sold to'] : []), ...(zone.active ? [] : ['switched off']), takes].join(
    ' · ',
  );
};
