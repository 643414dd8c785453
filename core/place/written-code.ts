import { districtNames, hasDistricts, isBritishCode } from './british-districts.ts';
import { t } from '../translate/translate.ts';
import { rangeEndsOf } from './postal.ts';

/**
 * Postal codes as people of a country write them. Patterns are kept and compared without blanks and dashes: 'B2G2L2',
 * '00001 to 00099'; people write 'B2G 2L2', '00-001 to 00-099'.
 */

/** After how many characters codes are split, how many follow, and what stands between. */
interface Split {
  at: number;
  rest: number;
  mark: ' ' | '-';
}

const THREE_TWO: Split = { at: 3, rest: 2, mark: ' ' };

/** The countries whose codes are split at one place, as the Universal Postal Union lists their addresses. */
const SPLITS: Readonly<Record<string, Split>> = {
  ...{ CZ: THREE_TWO, GR: THREE_TWO, SE: THREE_TWO, SK: THREE_TWO },
  BR: { at: 5, rest: 3, mark: '-' },
  CA: { at: 3, rest: 3, mark: ' ' },
  IE: { at: 3, rest: 4, mark: ' ' },
  JP: { at: 3, rest: 4, mark: '-' },
  MT: { at: 3, rest: 4, mark: ' ' },
  NL: { at: 4, rest: 2, mark: ' ' },
  PL: { at: 2, rest: 3, mark: '-' },
  PT: { at: 4, rest: 3, mark: '-' },
};

/** A British code ends in a figure and two letters, before which it is split. */
const INWARD = -3;

/** How the codes of a country are split, where they are at one place and by a blank; else null. */
export const blankSplit = (country: string): Split | null => {
  const split = SPLITS[country];
  return split?.mark === ' ' ? split : null;
};

/** A postal code, or the beginning of one, as people of its country write it: 'B2G2L2' is 'B2G 2L2'. */
export const writtenCode = (country: string, code: string): string => {
  const bare = code.replace(/[\s-]/g, '');
  if (isBritishCode(country, bare)) return `${bare.slice(0, INWARD)} ${bare.slice(INWARD)}`;
  const split = SPLITS[country];
  if (!split) return code;
  const [front, back] = [bare.slice(0, split.at), bare.slice(split.at)];
  return back === '' || back === '*' ? bare : `${front}${split.mark}${back}`;
};

/** What stands between the two ends of a range. */
export type RangeName = (from: string, to: string) => string;

const spokenRange: RangeName = (from, to) => t('{from} to {to}', { from, to }, 'codes');

/**
 * What the patterns of a country are called in a list: each as its codes are written, British districts by their names
 * and a run of them as 'IV1 to IV28', in the program's language unless `rangeName` says otherwise. Read again by
 * `pastedPatterns` they are the same patterns.
 */
export const patternNames = (
  country: string,
  patterns: readonly string[],
  rangeName: RangeName = spokenRange,
): string[] => {
  const names = hasDistricts(country) ? districtNames(patterns) : patterns;
  return names.map((name) => {
    const ends = rangeEndsOf(name);
    if (!ends) return writtenCode(country, name);
    return rangeName(writtenCode(country, ends[0]), writtenCode(country, ends[1]));
  });
};

/** What one pattern of a country is called. */
export const patternName = (country: string, pattern: string): string =>
  patternNames(country, [pattern]).join(', ');
