import { useEffect, useState } from 'react';
import { spokenLocale } from '../../core/translate/translate.ts';
import { countryName } from '../../core/words/country-name.ts';
import { countryGroups, type CountryGroup } from './country-groups.ts';

export interface NamedPlace {
  code: string;
  name: string;
}

/** The countries and subdivisions of ISO 3166, loaded when first asked for. */
export interface WorldPlaces {
  countries: NamedPlace[];
  subdivisions: Map<string, NamedPlace[]>;
  /** Continents and the European Union. */
  groups: CountryGroup[];
  /** From the numbers that maps call countries by to their codes. */
  byNumber: Record<string, string>;
}

let loading: Promise<WorldPlaces> | null = null;
let loaded: WorldPlaces | null = null;

const load = async (): Promise<WorldPlaces> => {
  const { iso31661, iso31661NumericToAlpha2, iso31662 } = await import('iso-3166');
  const { compare } = new Intl.Collator(spokenLocale());
  const byName = (a: NamedPlace, b: NamedPlace): number => compare(a.name, b.name);
  const subdivisions = new Map<string, NamedPlace[]>();
  for (const { code, name, parent } of iso31662) {
    const country = code.slice(0, 2);
    if (parent !== country) continue;
    const list = subdivisions.get(country);
    if (list) list.push({ code, name });
    else subdivisions.set(country, [{ code, name }]);
  }
  for (const list of subdivisions.values()) list.sort(byName);
  const countries = iso31661
    .filter(({ state }) => state === 'assigned')
    .map(({ alpha2 }) => ({ code: alpha2, name: countryName(alpha2) }))
    .sort(byName);
  const groups = await countryGroups(countries);
  return { countries, subdivisions, groups, byNumber: iso31661NumericToAlpha2 };
};

/** The places of the world as far as they are loaded. */
export const loadedPlaces = (): WorldPlaces | null => loaded;

/** A subdivision's name once the places are loaded; its code until then, or where it has none. */
export const subdivisionName = (code: string): string =>
  loaded?.subdivisions.get(code.slice(0, 2))?.find((one) => one.code === code)?.name ?? code;

/** What each region of the world is called, by its code; null until the places are loaded. */
export const regionNames = (): Record<string, string> | null =>
  loaded &&
  Object.fromEntries([...loaded.subdivisions.values()].flat().map(({ code, name }) => [code, name]));

/** The places of the world, loaded once. */
export const loadWorldPlaces = async (): Promise<WorldPlaces> => {
  loading ??= load();
  loaded = await loading;
  return loaded;
};

/** The places of the world, null until they are loaded. */
export const useWorldPlaces = (): WorldPlaces | null => {
  const [places, setPlaces] = useState<WorldPlaces | null>(loaded);
  useEffect(() => {
    if (loaded) {
      setPlaces(loaded);
      return undefined;
    }
    let wanted = true;
    void loadWorldPlaces().then((found) => {
      if (wanted) setPlaces(found);
    });
    return () => {
      wanted = false;
    };
  }, []);
  return places;
};
