let countries: Intl.DisplayNames | undefined;

/** The tables are read when the first name is asked for: that takes longer than all names after it. */
const nameOf = (code: string): string | undefined =>
  (countries ??= new Intl.DisplayNames(['en'], { type: 'region' })).of(code);

/** A country's name in English by Unicode's tables; what is no code of a country stays as it is. */
export const countryName = (code: string): string =>
  /^[A-Z]{2}$/.test(code) ? (nameOf(code) ?? code) : code;
