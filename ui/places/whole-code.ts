import { postcodeValidator, postcodeValidatorExistsForCountry } from 'postcode-validator';
import { beginningsOf } from '../../core/place/code-shapes.ts';
import type { CodeForm } from '../../core/place/pasted-patterns.ts';

/** Whether the form of a country's postal codes is known. */
export const hasCodeForm = (country: string): boolean => postcodeValidatorExistsForCountry(country);

/** Whether a text is a whole postal code of a country; where no form is known, any text is. */
export const isWholeCode =
  (country: string) =>
  (code: string): boolean =>
    !hasCodeForm(country) || postcodeValidator(code.trim(), country);

const beginnings = new Map<string, (text: string) => boolean>();

/** Whether some postal code of a country begins as a text does; where no form is known, any text may. */
const isCodeBeginning = (country: string): ((text: string) => boolean) => {
  const known = beginnings.get(country) ?? beginningsOf(isWholeCode(country));
  beginnings.set(country, known);
  return known;
};

/** What is known of the postal codes of a country. */
export const codeForm = (country: string): CodeForm => ({
  isWhole: isWholeCode(country),
  isBeginning: isCodeBeginning(country),
});

/** The same for every country. */
export const KNOWN_CODES = { isWhole: isWholeCode, isBeginning: isCodeBeginning };
