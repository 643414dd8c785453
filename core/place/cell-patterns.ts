import { canTakeCodes, isBeginningOnly, type CodeForm } from './code-shapes.ts';
import { namedDistricts, pastedPatterns } from './pasted-patterns.ts';
import { parsePattern, writtenPattern } from './postal.ts';

const LONGEST = 40;

/** A cell as the one pattern that it is written as; what is shorter than a code is the beginning of codes. */
const onePattern = (country: string, text: string, form: CodeForm): string | null => {
  const written = writtenPattern(text);
  if (written.length > LONGEST || !parsePattern(country, written)) return null;
  if (!canTakeCodes(country, written, form.isBeginning)) return null;
  return isBeginningOnly(written, form) ? `${written}*` : written;
};

/**
 * The patterns that one cell of a file or one field stands for: a code or a pattern, a range in any form, a British
 * district, or several of them. Null where it is none, or no code of the country begins so.
 */
export const cellPatterns = (country: string, text: string, form: CodeForm): string[] | null => {
  const districts = namedDistricts(country, text);
  if (districts) return districts;
  // Neither '90200-90299' nor '90210 10001' is one code of ten figures.
  const isOne = /[*?]/.test(text) || form.isWhole(writtenPattern(text));
  const one = isOne ? onePattern(country, text, form) : null;
  if (one !== null) return [one];
  const { patterns, unread } = pastedPatterns(country, text, form);
  return unread.length === 0 && patterns.length > 0 ? patterns : null;
};
