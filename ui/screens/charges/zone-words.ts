import type { Zone } from '../../../core/model/place.ts';
import { fewRegionsPhrase, type PlaceNames } from '../../../core/place/region-phrase.ts';

/** What a zone takes, in a few words, and what keeps it from taking it. */
export const zoneWords = (zone: Zone, closed: boolean, names: PlaceNames): string => {
  const places = fewRegionsPhrase(zone.includes, names);
  const rest = places === '' ? 'places in no other zone' : `${places}, and places in no other zone`;
  const takes = zone.remainder ? rest : places === '' ? 'no places yet' : places;
  return [
    ...(closed ? ['closed: you do not sell there'] : []),
    ...(zone.active ? [] : ['switched off']),
    takes,
  ].join(' · ');
};
