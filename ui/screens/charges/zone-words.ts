import { t } from '../../../core/translate/translate.ts';
import type { Zone } from '../../../core/model/place.ts';
import { fewRegionsPhrase, type PlaceNames } from '../../../core/place/region-phrase.ts';

/** What a zone takes, in a few words, and what keeps it from taking it. */
export const zoneWords = (zone: Zone, closed: boolean, names: PlaceNames): string => {
  const places = fewRegionsPhrase(zone.includes, names);
  const rest =
    places === '' ? t('places in no other zone') : t('{places}, and places in no other zone', { places });
  const takes = zone.remainder ? rest : places === '' ? t('no places yet') : places;
  return [
    ...(closed ? [t('closed: you do not sell there')] : []),
    ...(zone.active ? [] : [t('switched off')]),
    takes,
  ].join(' · ');
};
