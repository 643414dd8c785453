import { t } from '../translate/translate.ts';
import type { Region } from '../model/place.ts';
import type { PlaceNames } from '../place/region-phrase.ts';
import { patternNames, writtenCode } from '../place/written-code.ts';
import { countryName } from './country-name.ts';
import type { DisplayFormat } from './figure.ts';

/** Countries whose names are said with an article. */
const THE = new Set(['AE', 'BS', 'CF', 'DO', 'GB', 'GM', 'KM', 'MH', 'MV', 'NL', 'PH', 'SB', 'SC', 'US']);

/** A country as it stands in a sentence: 'Canada', 'the United States'. */
const inSentence = (country: string): string =>
  THE.has(country) ? t('the {country}', { country: countryName(country) }) : countryName(country);

/** What countries and regions are called where figures are shown so: a region by its code where names are not at hand. */
export const placeNames =
  ({ regionName = (code) => code }: DisplayFormat): PlaceNames =>
  (code) =>
    code.includes('-') ? regionName(code) : countryName(code);

/** The same as they stand in a sentence: 'the United States'. */
export const namesInSentence =
  (display: DisplayFormat): PlaceNames =>
  (code) =>
    code.includes('-') ? placeNames(display)(code) : inSentence(code);

/** A place of a message in words: 'CA-NS, B2G2L2' is 'B2G 2L2 in Canada', 'CA-NS' is 'Nova Scotia in Canada', 'US' is 'the United States'. */
export const placePhrase = (place: string, display: DisplayFormat): string => {
  const [area = '', code] = place.split(', ');
  const [country = ''] = area.split('-');
  const name = inSentence(country);
  if (code !== undefined)
    return t('{writtenCode} in {name}', { writtenCode: writtenCode(country, code), name });
  return area === country
    ? name
    : t('{place} in {country}', { place: placeNames(display)(area), country: name });
};

/** Places of a list by name, patterns of codes as people write them: 'Nova Scotia', 'B3H*, B3J*'. */
export const placesListed = (regions: readonly Region[], display: DisplayFormat): string[] => {
  const names = placeNames(display);
  return regions.flatMap(({ country, subdivision, postal }): string[] =>
    postal ? patternNames(country, postal) : [names(subdivision ?? country)],
  );
};
