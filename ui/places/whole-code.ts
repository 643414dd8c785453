import { postcodeValidator, postcodeValidatorExistsForCountry } from 'postcode-validator';
import { memoizeByText } from '../../core/memo/memoize-by-text.ts';
import { ANY_CODE, codeFormOf, type CodeForm } from '../../core/place/code-shapes.ts';

/** Whether the form of a country's postal codes is known. */
export const hasCodeForm = (country: string): boolean => postcodeValidatorExistsForCountry(country);

/** No code is written with more characters. */
const LONGEST = 20;

/** Countries whose known form asks for a dash, and after how many characters. */
const DASH_AFTER: Readonly<Record<string, number>> = { JP: 3, NI: 3, PL: 2, PT: 4 };

/** A code as the known form of its country has it: nothing between its characters but that dash. */
const asKnown = (country: string, code: string): string => {
  const bare = code.replace(/[\s-]/g, '');
  const at = DASH_AFTER[country];
  return at === undefined || bare.length <= at ? bare : `${bare.slice(0, at)}-${bare.slice(at)}`;
};

/** Whether a text is a whole postal code of a country, however it is parted; where no form is known, any text is. */
export const isWholeCode =
  (country: string) =>
  (code: string): boolean => {
    if (!hasCodeForm(country)) return true;
    const text = code.trim();
    if (text.length > LONGEST) return false;
    return postcodeValidator(text, country) || postcodeValidator(asKnown(country, text), country);
  };

/** What is known of the postal codes of a country; where no form is known, any text is one. */
export const codeForm = memoizeByText((country): CodeForm =>
  hasCodeForm(country) ? codeFormOf(isWholeCode(country)) : ANY_CODE,
);
