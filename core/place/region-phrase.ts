import { t } from '../translate/translate.ts';
import type { Region } from '../model/place.ts';
import { patternName } from './written-code.ts';

/** What a country or a subdivision is called, by its code of ISO 3166. */
export type PlaceNames = (code: string) => string;

/** A few words for a list of regions: 'Nova Scotia, Nunavut', '8 codes in Canada'. */
export const regionsPhrase = (regions: readonly Region[], names: PlaceNames): string => {
  const codes = new Map<string, number>();
  const named: string[] = [];
  for (const { country, subdivision, postal } of regions) {
    if (postal) codes.set(country, (codes.get(country) ?? 0) + postal.length);
    else named.push(names(subdivision ?? country));
  }
  const counted = [...codes].map(([country, count]) =>
    t('{count} {count, plural, one {code} other {codes}} in {name}', { count, name: names(country) }),
  );
  return [...named, ...counted].join(', ');
};

const FEW = 4;

/** A few words for a list of regions of which those past the first few are counted: 'Austria, Belgium and 12 more'. */
export const fewRegionsPhrase = (regions: readonly Region[], names: PlaceNames): string =>
  regions.length <= FEW
    ? regionsPhrase(regions, names)
    : t('{regions} and {count} more', {
        regions: regionsPhrase(regions.slice(0, FEW - 1), names),
        count: regions.length - FEW + 1,
      });

const PLACE_CODE = /^[A-Z]{2}(?:-[A-Z0-9]{1,3})?$/;

/** The country of a pattern of codes that stands in a list of regions; null where none of them has it. */
export const countryOfPattern = (regions: readonly Region[], pattern: string): string | null =>
  regions.find(({ postal }) => postal?.includes(pattern))?.country ?? null;

/**
 * An entry of a zone or list as it is read: a country or subdivision by its name, a pattern of codes of a country as its
 * people write it.
 */
export const entryName = (entry: string, names: PlaceNames, country: string | null): string => {
  if (PLACE_CODE.test(entry)) return names(entry);
  return country === null ? entry : patternName(country, entry);
};
