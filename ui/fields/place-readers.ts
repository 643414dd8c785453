import { countrySchema, subdivisionSchema, type Region } from '../../core/model/place.ts';
import { patternNames } from '../../core/place/written-code.ts';
import { cellPatterns } from '../../core/place/cell-patterns.ts';
import { regionsFromText } from '../../core/place/region-text.ts';
import { t } from '../../core/translate/translate.ts';
import { faultSentence } from '../../core/words/fault-sentence.ts';
import { codeExamplesText } from '../places/code-examples.ts';
import { regionsNamed } from '../places/named-regions.ts';
import { codeForm } from '../places/whole-code.ts';
import type { Read } from './draft-field.tsx';
import { readTokens } from './readers.ts';

/** How fields read places by their names and codes. */

/** The countries that a text names: one by its name or its two letters, several by the name of a group; else none. */
const countriesOf = (text: string): string[] => {
  const named = regionsNamed(text)?.filter(({ subdivision }) => subdivision === undefined) ?? [];
  if (named.length > 0) return named.map(({ country }) => country);
  const code = text.trim().toUpperCase();
  return countrySchema.safeParse(code).success ? [code] : [];
};

const noCountry = (text: string): Read<never> => ({
  ok: false,
  text: t('“{text}” is not a country: write its name, or two letters as CA.', { text: text.trim() }),
});

/** A country by its name or its two letters. */
export const readCountry = (text: string): Read<string> => {
  const [country, ...more] = countriesOf(text);
  return country === undefined || more.length > 0 ? noCountry(text) : { ok: true, value: country };
};

/** A subdivision by its name or its code. */
export const readSubdivision = (text: string): Read<string> => {
  const [named, ...more] = regionsNamed(text) ?? [];
  const code = (more.length === 0 ? named?.subdivision : undefined) ?? text.trim().toUpperCase();
  return subdivisionSchema.safeParse(code).success
    ? { ok: true, value: code }
    : { ok: false, text: t('Write a region by its name or code, such as Nova Scotia or CA-NS.') };
};

const noPattern = (country: string): Read<string> => {
  const examples = codeExamplesText(country);
  return {
    ok: false,
    text:
      examples === ''
        ? t('Write a postal code, or the beginning of one, such as 12*.')
        : t('Write a postal code, a beginning or a range: {examples}.', { examples }),
  };
};

/**
 * A postal code or a pattern of codes of a country; '' stands for any country. What is shorter than a code is the
 * beginning of codes, as wherever codes are read.
 */
export const readPattern =
  (country: string) =>
  (text: string): Read<string> => {
    const [pattern, ...more] = cellPatterns(country, text, codeForm(country)) ?? [];
    if (pattern === undefined) return noPattern(country);
    return more.length === 0
      ? { ok: true, value: pattern }
      : {
          ok: false,
          text: t('These are {count} ({list}): one fits here.', {
            count: more.length + 1,
            list: patternNames(country, [pattern, ...more])
              .slice(0, 3)
              .join(', '),
          }),
        };
  };

/** Countries by name or by their two letters, in any order. */
export const readCountries = (text: string): Read<string[]> => {
  const tokens = readTokens(text);
  if (!tokens.ok) return tokens;
  const each = tokens.value.map(countriesOf);
  const unknown = tokens.value.find((_, at) => each[at]?.length === 0);
  if (unknown !== undefined) return noCountry(unknown);
  return { ok: true, value: [...new Set(each.flat())] };
};

/**
 * Regions as a line of text: 'CA-NS', 'US', 'Nova Scotia', 'Luxembourg', 'EU', 'CA: B3H* B3J'. `home` is the country of
 * codes that stand without one.
 */
export const readRegions = (text: string, home?: string): Read<Region[]> => {
  const read = regionsFromText(text, { named: regionsNamed, codes: codeForm, home });
  const [fault] = read.ok ? [] : read.faults;
  return read.ok ? read : { ok: false, text: fault ? faultSentence(fault) : '' };
};
