import { postcodeValidator, postcodeValidatorExistsForCountry } from 'postcode-validator';

/** Whether the form of a country's postal codes is known. */
export const hasCodeForm = (country: string): boolean => postcodeValidatorExistsForCountry(country);

/** Whether a text is a whole postal code of a country; where no form is known, any text is. */
export const isWholeCode =
  (country: string) =>
  (code: string): boolean =>
    !hasCodeForm(country) || postcodeValidator(code.trim(), country);
