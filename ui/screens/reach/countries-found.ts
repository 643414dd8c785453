import type { Region } from '../../../core/model/place.ts';
import type { NamedPlace } from '../../places/places.ts';

/** The regions of a name: a country's, a group's of countries; null where it names none. */
type Named = (text: string) => readonly Region[] | null;

export interface CountriesFound {
  countries: readonly NamedPlace[];
  /** What was typed between two commas and is no country, part of a name or group. */
  unknown: readonly string[];
}

const codesOf = (countries: readonly NamedPlace[], typed: string, named: Named): readonly string[] => {
  const wanted = typed.toLowerCase();
  const whole = named(typed)?.filter(({ subdivision }) => subdivision === undefined) ?? [];
  if (whole.length > 1) return whole.map(({ country }) => country);
  return countries
    .filter(({ code, name }) => name.toLowerCase().includes(wanted) || code.toLowerCase() === wanted)
    .map(({ code }) => code);
};

/**
 * The countries that a typed text stands for: by a part of a name, a code of two letters, or a group as "EU"; several
 * separated by commas, each by its exact name where there is one. All where nothing is typed.
 */
export const countriesFound = (
  countries: readonly NamedPlace[],
  typed: string,
  named: Named,
): CountriesFound => {
  const parts = typed
    .split(/[,;\n]/)
    .map((part) => part.trim())
    .filter(Boolean);
  if (parts.length === 0) return { countries, unknown: [] };
  const each = parts.map((part) => {
    const exact = parts.length > 1 && countries.find(({ name }) => name.toLowerCase() === part.toLowerCase());
    return exact ? [exact.code] : codesOf(countries, part, named);
  });
  const codes = new Set(each.flat());
  return {
    countries: countries.filter(({ code }) => codes.has(code)),
    unknown: parts.filter((_, at) => each[at]?.length === 0),
  };
};
