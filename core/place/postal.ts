import { withSingleBlanks } from '../model/blanks.ts';
import { LONGEST_CODE } from './code-table.ts';

/**
 * Postal codes and the patterns over them.
 *
 * A pattern is one of four forms: 'B3H4R2' exact; 'B3H*' any ending; 'B3?1*' where ? is one
 * character; '90200 to 90299' a range whose ends have one length, compared on a code's first
 * characters of that length.
 */

export type PostalPattern =
  | { kind: 'exact'; code: string; fixed: number }
  | { kind: 'shape'; text: string; wild: readonly number[]; open: boolean; fixed: number }
  | { kind: 'range'; from: string; to: string; fixed: number };

const squeeze = (text: string): string =>
  /^[A-Z0-9]*$/.test(text) ? text : text.toUpperCase().replace(/[\s-]+/g, '');

/** A code in the form patterns are compared with: upper case, no blanks or hyphens; a US code has five digits. */
export const normaliseCode = (country: string, code: string): string => {
  const squeezed = squeeze(code);
  return country === 'US' ? squeezed.slice(0, 5) : squeezed;
};

/** Two whole codes with what may stand between and about them. */
const LONGEST_PATTERN = 80;

const commonLength = (a: string, b: string): number => {
  let length = 0;
  while (length < a.length && a[length] === b[length]) length += 1;
  return length;
};

const TO = /\sto\s+/i;

/** The ends of a range as they are compared, or null for a pattern that is none. */
const rangeEnds = (pattern: string): string[] | null =>
  TO.test(pattern) ? pattern.split(TO).map(squeeze) : null;

/** The two ends of a range, or null for a pattern that is none. */
export const rangeEndsOf = (pattern: string): [string, string] | null => {
  const [from = '', to, ...more] = rangeEnds(pattern) ?? [];
  return to === undefined || more.length > 0 ? null : [from, to];
};

/** A pattern as it is written everywhere: upper case, the ends of a range joined by 'to'. */
export const writtenPattern = (text: string): string =>
  withSingleBlanks(text).toUpperCase().replace(TO, ' to ');

/** A range of codes as it is written everywhere: '04101 to 04199'. */
export const rangeText = (from: string, to: string): string => `${from} to ${to}`;

const parseRange = (ends: readonly string[]): PostalPattern | null => {
  const [from = '', to = '', ...rest] = ends;
  if (rest.length > 0 || from.length !== to.length || from > to || from.length > LONGEST_CODE) return null;
  if (!/^[A-Z0-9]+$/.test(from) || !/^[A-Z0-9]+$/.test(to)) return null;
  return { kind: 'range', from, to, fixed: commonLength(from, to) };
};

/**
 * A pattern's meaning, or null where it is none of the four forms. `fixed` is the length of the
 * beginning that every code it takes has in common: the longer, the more specific.
 */
export const parsePattern = (country: string, pattern: string): PostalPattern | null => {
  if (pattern.length > LONGEST_PATTERN) return null;
  const ends = rangeEnds(pattern);
  if (ends) return parseRange(ends);
  const text = squeeze(pattern);
  const match = /^([A-Z0-9?]*)(\*?)$/.exec(text);
  const body = match?.[1] ?? '';
  if (!match || text === '' || body.length > LONGEST_CODE) return null;
  const open = match[2] === '*';
  const wild = [...body].flatMap((character, at) => (character === '?' ? [at] : []));
  if (!open && wild.length === 0) {
    const code = normaliseCode(country, body);
    return { kind: 'exact', code, fixed: code.length };
  }
  return { kind: 'shape', text: body, wild, open, fixed: wild[0] ?? body.length };
};

/** The first characters of a code with those at the wild positions blanked, as a shape is filed. */
export const maskedKey = (code: string, length: number, wild: readonly number[]): string => {
  let key = '';
  let start = 0;
  for (const at of wild) {
    key += `${code.slice(start, at)}?`;
    start = at + 1;
  }
  return key + code.slice(start, length);
};

/** Whether a pattern takes a normalised code. */
export const patternTakes = (pattern: PostalPattern, code: string): boolean => {
  if (pattern.kind === 'exact') return code === pattern.code;
  if (pattern.kind === 'range') {
    const start = code.slice(0, pattern.from.length);
    return start.length === pattern.from.length && pattern.from <= start && start <= pattern.to;
  }
  const { length } = pattern.text;
  if (pattern.open ? code.length < length : code.length !== length) return false;
  return maskedKey(code, length, pattern.wild) === pattern.text;
};
