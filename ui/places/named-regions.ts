import type { Region } from '../../core/model/place.ts';
import { groupNamed } from './country-groups.ts';
import { countryName } from '../../core/words/country-name.ts';
import { loadedPlaces } from './places.ts';

/** Codes that the platform names although they are no countries. */
const NO_COUNTRIES = new Set(['EU', 'EZ', 'UN', 'QO', 'XA', 'XB', 'ZZ']);

/** Whether a code is the one in use: 'UK' and 'BU' are other names of GB and MM. */
const isInUse = (code: string): boolean =>
  !NO_COUNTRIES.has(code) && new Intl.Locale(`und-${code}`).region === code;

const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

let countries: Map<string, string> | null = null;

/** The codes of countries by their names, as the platform knows them. */
const countriesByName = (): Map<string, string> => {
  countries ??= new Map(
    LETTERS.flatMap((first) => LETTERS.map((second) => first + second))
      .filter(isInUse)
      .map((code) => [countryName(code).toLowerCase(), code] as const)
      .filter(([name, code]) => name !== code.toLowerCase()),
  );
  return countries;
};

/**
 * The regions that a name means: a country before a region of the same name, a continent or the European Union, or
 * a subdivision; continents and subdivisions once the places of the world are loaded. Null where it names none.
 */
export const regionsNamed = (text: string): Region[] | null => {
  const name = text.trim().toLowerCase();
  const country = countriesByName().get(name);
  if (country) return [{ country }];
  const group = groupNamed(name, loadedPlaces()?.groups ?? []);
  if (group) return group.countries.map((code) => ({ country: code }));
  for (const [of, list] of loadedPlaces()?.subdivisions ?? []) {
    const found = list.find((one) => one.name.toLowerCase() === name);
    if (found) return [{ country: of, subdivision: found.code }];
  }
  return null;
};
