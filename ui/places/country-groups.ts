import { t } from '../../core/translate/translate.ts';
import type { NamedPlace } from './places.ts';

/** Countries under one name: a continent, or a union. */
export interface CountryGroup {
  id: string;
  name: string;
  countries: string[];
}

/** The member states of the European Union. */
const EUROPEAN_UNION =
  'AT BE BG HR CY CZ DK EE FI FR DE GR HU IE IT LV LT LU MT NL PL PT RO SK SI ES SE'.split(' ');

const UNION: CountryGroup = { id: 'group:EU', name: t('European Union'), countries: EUROPEAN_UNION };

/** Whether a name is that of a group: its own, or for the union its letters. */
const isNamed = ({ name }: CountryGroup, wanted: string): boolean =>
  name.toLowerCase() === wanted || (name === UNION.name && wanted === 'eu');

/** The group of a name, of those that are known; null where none has it. */
export const groupNamed = (text: string, groups: readonly CountryGroup[]): CountryGroup | null => {
  const wanted = text.trim().toLowerCase();
  return [UNION, ...groups].find((group) => isNamed(group, wanted)) ?? null;
};

/** The continents with their countries, and the European Union. */
export const countryGroups = async (known: readonly NamedPlace[]): Promise<CountryGroup[]> => {
  const { continents, countries } = await import('countries-list');
  const isKnown = new Set(known.map(({ code }) => code));
  const all = Object.entries(continents).map(([code, name]) => ({
    id: `group:continent-${code}`,
    name,
    countries: Object.entries(countries)
      .filter(([country, { continent }]) => continent === code && isKnown.has(country))
      .map(([country]) => country),
  }));
  return [UNION, ...all.filter((group) => group.countries.length > 1)];
};
