import { normaliseCode, parsePattern, rangeText } from './postal.ts';

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

/** '90200-90299' and 'B3H to B3K' are ranges, for both ends have one shape; 'B3H-4R2' is a code. */
const rangeEnds = (text: string): [string, string] | null => {
  const [from = '', to = '', ...more] = text.split(/\s*(?:\.\.+|–|—|\bto\b|-)\s*/i).map((end) => end.trim());
  const ends: [string, string] = [from.replace(/\s/g, ''), to.replace(/\s/g, '')];
  return more.length === 0 && isAlike(ends) ? ends : null;
};

/** Four letters and more without a figure are a word, not a code. */
const isWord = (pattern: string): boolean => /^[A-Z]{4,}\*?$/.test(pattern);

const patternOf = (country: string, text: string): string | null => {
  const ends = rangeEnds(text);
  const pattern = ends
    ? rangeText(normaliseCode(country, ends[0]), normaliseCode(country, ends[1]))
    : normaliseCode(country, text.replace(/[%…*]+$/, '*'));
  return parsePattern(country, pattern) && !isWord(pattern) ? pattern : null;
};

/** 'B3H B3J' is two beginnings and 'B3H 4R2 B3J 1S9' two codes: blanks part what has one shape. */
const partsOf = (entry: string): string[] => {
  const words = entry.split(/\s+/);
  if (words.length === 1 || rangeEnds(entry)) return [entry];
  if (isAlike(words)) return words;
  const pairs = words.flatMap((word, at) => (at % 2 === 0 ? [`${word}${words[at + 1] ?? ''}`] : []));
  return words.length > 2 && words.length % 2 === 0 && isAlike(pairs) ? pairs : [entry];
};

/**
 * Postal codes pasted in any shape: parted by commas, semicolons, tabs, lines or blanks; with ranges,
 * wildcards, quotes and bullets. `isWhole` tells a country's whole code: a shorter one is taken as the
 * beginning of codes. Nothing is dropped silently: what cannot be read is listed.
 */
export const pastedPatterns = (
  country: string,
  text: string,
  isWhole: (code: string) => boolean,
): PastedPatterns => {
  const found = new Set<string>();
  const unread: string[] = [];
  let repeated = 0;
  let beginnings = 0;
  const entries = text
    .split(/[\n\r,;\t|]+/)
    .map((entry) => entry.replace(/^[\s"'•·>]+|^-\s+|[\s"'.]+$/g, ''))
    .filter(Boolean);
  for (const part of entries.flatMap(partsOf)) {
    const pattern = patternOf(country, part);
    if (pattern === null) {
      unread.push(part);
      continue;
    }
    const isBeginning = /^[A-Z0-9]+$/.test(pattern) && !isWhole(pattern);
    const taken = isBeginning ? `${pattern}*` : pattern;
    if (found.has(taken)) repeated += 1;
    else if (isBeginning) beginnings += 1;
    found.add(taken);
  }
  return { patterns: [...found], repeated, beginnings, unread };
};
