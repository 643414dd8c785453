const countries = new Intl.DisplayNames(['en'], { type: 'region' });

/** A country's name in English by Unicode's tables; what is no code of a country stays as it is. */
export const countryName = (code: string): string =>
  /^[A-Z]{2}$/.test(code) ? (countries.of(code) ?? code) : code;
