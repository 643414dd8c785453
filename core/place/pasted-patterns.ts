import { withSingleBlanks } from '../model/blanks.ts';
import { memoizeByText } from '../memo/memoize-by-text.ts';
import { districtPatterns } from './british-districts.ts';
import { canTakeCodes, isBeginningOnly, type CodeForm } from './code-shapes.ts';
import { normaliseCode, parsePattern, rangeText } from './postal.ts';
import { blankSplit } from './written-code.ts';

/** What a pasted list of codes gave: sound patterns, each once, and what was not understood. */
export interface PastedPatterns {
  patterns: string[];
  /** How often a pattern was there again. */
  repeated: number;
  /** How many were shorter than a whole code and are taken as beginnings. */
  beginnings: number;
  unread: string[];
}

/** Letters as L, digits as D: codes of one country have few shapes. */
const shapeOf = (text: string): string => text.replace(/[a-z]/gi, 'L').replace(/\d/g, 'D');

const isAlike = (parts: readonly string[]): boolean =>
  parts.every((part) => part !== '' && shapeOf(part) === shapeOf(parts[0] ?? ''));

/** What stands between the ends of a range and in no code: dots, a long dash, a word or a dash between blanks. */
const BETWEEN = String.raw`\s*(?:\.\.+|–|—)\s*|\s(?:to|à|a|bis|-)\s`;
const BETWEEN_ENDS = new RegExp(BETWEEN, 'i');
const BETWEEN_WORDS = new RegExp(String.raw`(?<=\S)(?:${BETWEEN})(?=\S)`, 'gi');

const pairOf = (parts: readonly string[]): [string, string] | null => {
  const [from = '', to = '', ...more] = parts.map((end) => end.replace(/[\s-]/g, ''));
  return more.length === 0 && isAlike([from, to]) ? [from, to] : null;
};

/**
 * '90200-90299', 'B3H to B3K' and '01311-000 to 01319-999' are ranges, for both ends have one shape; 'B3H-4R2' is a
 * code.
 */
const rangeEnds = (text: string): [string, string] | null =>
  pairOf(text.split(BETWEEN_ENDS)) ?? pairOf(text.split('-'));

/** A longer word is no code and no range. */
const LONGEST_WORD = 80;

/** The patterns of a British district, or of what is named like one; null for all else. */
export const namedDistricts = (country: string, text: string): string[] | null => {
  if (text.length > LONGEST_WORD) return null;
  const ends = text.split(BETWEEN_ENDS);
  return districtPatterns(country, ends.length > 1 ? ends : text.split('-'));
};

/** Four letters and more without a figure are a word, not a code. */
const isWord = (pattern: string): boolean => /^[A-Z]{4,}\*?$/.test(pattern);

const patternOf = (country: string, text: string): string | null => {
  if (text.length > LONGEST_WORD) return null;
  const ends = rangeEnds(text);
  const pattern = ends
    ? rangeText(normaliseCode(country, ends[0]), normaliseCode(country, ends[1]))
    : normaliseCode(country, text.replace(/[–—]/g, '-').replace(/[%…*]+$/, '*'));
  return parsePattern(country, pattern) && !isWord(pattern) ? pattern : null;
};

const isName = (word: string): boolean => /^[a-z]{4,}$/i.test(word);

const isPlain = (word: string): boolean => /^[a-z0-9]+$/i.test(word);

/** Two words that are one pattern of a country whose codes have a blank: 'B3H 4*', '111 2*', 'B3? 1*'. */
const isSplitPattern = (country: string, word: string, next: string, form: CodeForm): boolean => {
  const split = blankSplit(country);
  if (!split || word.length !== split.at || form.isWhole(word)) return false;
  const body = next.replace(/\*$/, '');
  if (body === '' || body.length > split.rest || !/[*?]/.test(word + next) || /[*]/.test(word + body))
    return false;
  return canTakeCodes(country, normaliseCode(country, word + next), form.isBeginning);
};

/** A part of a pasted entry, and whether it may be read at all. */
interface Part {
  text: string;
  readable: boolean;
}

/** A range without the blanks and the word between its ends, so that it is one word. */
const withRangesJoined = (entry: string): string => entry.replace(BETWEEN_WORDS, '–');

/**
 * The codes of an entry whose words are parted by blanks: two words that make a whole code are one, 'B3H 4R2'; each
 * other word is a code of its own, 'B3H B3J B3K*'. An entry with a word that is no code is not read at all.
 */
const partsOf = (
  country: string,
  entry: string,
  form: CodeForm,
  isPattern: (text: string) => boolean,
): Part[] => {
  const { isWhole } = form;
  const words = withRangesJoined(entry).split(/\s+/);
  if (words.length === 1 || rangeEnds(entry)) return [{ text: entry, readable: true }];
  const isOneCode =
    words.length === 2 &&
    words.every(isPlain) &&
    !isAlike(words) &&
    !words.some(isWhole) &&
    !words.some(isName) &&
    (form.isBeginning(words.join('')) || !words.some(form.isBeginning));
  if (isOneCode) return [{ text: words.join(''), readable: true }];
  const parts: string[] = [];
  for (let at = 0; at < words.length; at += 1) {
    const word = words[at] as string;
    const next = words[at + 1];
    // As it stands: cut to five figures, '041' and '042' would be one American code.
    const joined = `${word}${next ?? ''}`;
    const isCode = !isWhole(word) && [word, next ?? ''].every(isPlain) && isWhole(joined);
    const isOne = next !== undefined && (isCode || isSplitPattern(country, word, next, form));
    parts.push(isOne ? joined : word);
    if (isOne) at += 1;
  }
  return parts.every(isPattern)
    ? parts.map((text) => ({ text, readable: true }))
    : [{ text: entry, readable: false }];
};

const AFTER = ` "'.`;

/** An entry without the bullets, quotes and Japan's mark of codes before it, and the quotes and dots after it. */
const withoutEnds = (entry: string): string => {
  const bare = entry.replace(/^[\s"'•·>〒]+|^-\s+/, '');
  let end = bare.length;
  while (end > 0 && AFTER.includes(bare.charAt(end - 1))) end -= 1;
  return bare.slice(0, end);
};

/** What a part of what was pasted stands for: its patterns, and whether it is shorter than a code. */
interface Meaning {
  patterns: readonly string[];
  isShort: boolean;
}

/** What parts stand for in a country; null for what is no code there. */
const meaningIn = (country: string, form: CodeForm): ((part: string) => Meaning | null) =>
  memoizeByText((part) => {
    const districts = namedDistricts(country, part);
    if (districts) return { patterns: districts, isShort: true };
    const pattern = patternOf(country, part);
    if (pattern === null || !canTakeCodes(country, pattern, form.isBeginning)) return null;
    const isShort = isBeginningOnly(pattern, form);
    return { patterns: [isShort ? `${pattern}*` : pattern], isShort };
  });

/** The parts of entries. */
const splitIn = (country: string, form: CodeForm): ((entry: string) => Part[]) => {
  const isPattern = memoizeByText((part) => patternOf(country, part) !== null);
  return memoizeByText((entry) =>
    namedDistricts(country, entry)
      ? [{ text: entry, readable: true }]
      : partsOf(country, entry, form, isPattern),
  );
};

/**
 * Postal codes pasted in any shape: separated by commas, semicolons, tabs, lines or blanks; with ranges,
 * wildcards, quotes and bullets. Nothing is dropped silently: what cannot be read, or no code of the country begins
 * with, is listed.
 */
export const pastedPatterns = (country: string, text: string, form: CodeForm): PastedPatterns => {
  const found = new Set<string>();
  const unread: string[] = [];
  const [meaningOf, split] = [meaningIn(country, form), splitIn(country, form)];
  let repeated = 0;
  let beginnings = 0;
  const entries = text
    .split(/[\n\r,;\t|]+/)
    .map((entry) => withoutEnds(withSingleBlanks(entry)))
    .filter(Boolean);
  for (const { text: part, readable } of entries.flatMap(split)) {
    const meaning = readable ? meaningOf(part) : null;
    if (!meaning) {
      unread.push(part);
      continue;
    }
    const fresh = meaning.patterns.filter((pattern) => !found.has(pattern));
    repeated += meaning.patterns.length - fresh.length;
    if (meaning.isShort && fresh.length > 0) beginnings += 1;
    for (const pattern of fresh) found.add(pattern);
  }
  return { patterns: [...found], repeated, beginnings, unread };
};
