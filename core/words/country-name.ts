import { spokenLocale } from '../translate/translate.ts';

let countries: Intl.DisplayNames | undefined;

/**
 * A country's name in the program's language by Unicode's tables; what is no code of a country stays as it is. The tables are read when
 * the first name is asked for: that takes longer than all names after it.
 */
export const countryName = (code: string): string => {
  if (!/^[A-Z]{2}$/.test(code)) return code;
  countries ??= new Intl.DisplayNames([spokenLocale()], { type: 'region' });
  return countries.of(code) ?? code;
};
