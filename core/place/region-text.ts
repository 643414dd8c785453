import { fault, type Result } from '../model/fault.ts';
import type { Region } from '../model/place.ts';
import { t } from '../translate/translate.ts';
import { ANY_CODE, type CodeForm } from './code-shapes.ts';
import { pastedPatterns } from './pasted-patterns.ts';
import { withPatterns } from './region-list.ts';
import { patternNames } from './written-code.ts';

/**
 * Regions as a line of text and back: 'CA-NS', 'US', 'CA: B3H*, B3J*'. Entries are separated by commas
 * or lines; codes after 'XX:' belong to that country, codes by themselves to the shop's own.
 */

/** Regions as the text a person can edit. */
export const regionsText = (regions: readonly Region[]): string =>
  regions
    .map(({ country, subdivision, postal }) =>
      postal ? `${country}: ${patternNames(country, postal).join(', ')}` : (subdivision ?? country),
    )
    .join('\n');

const entryRegion = (entry: string): Region | null => {
  const text = entry.toUpperCase();
  if (/^[A-Z]{2}$/.test(text)) return { country: text };
  return /^[A-Z]{2}-[A-Z0-9]{1,3}$/.test(text) ? { country: text.slice(0, 2), subdivision: text } : null;
};

/** How places are named beside their codes, and what is known of a country's postal codes. */
export interface PlaceNaming {
  /** The regions of a name: a country's, a group's of countries; null where it names none. */
  named: (text: string) => Region[] | null;
  codes: (country: string) => CodeForm;
  /** The country of codes that stand without one; left out, they are not read. */
  home?: string | undefined;
}

const CODES_ONLY: PlaceNaming = { named: () => null, codes: () => ANY_CODE };

const postalRegions = (
  country: string,
  list: string,
  at: number,
  { codes }: PlaceNaming,
): Result<Region[]> => {
  const { patterns, unread } = pastedPatterns(country, list, codes(country));
  const [bad] = unread;
  if (bad !== undefined)
    return {
      ok: false,
      faults: [fault('bad-pattern', t('line {count}', { count: at + 1 }), { pattern: bad })],
    };
  return { ok: true, value: patterns.length > 0 ? [{ country, postal: patterns }] : [] };
};

/** Codes that stand without a country, as those of the shop's own; null for a word, and for what is no code there. */
const homeCodes = (entry: string, { home, codes }: PlaceNaming): Region[] | null => {
  if (home === undefined || !/[\d*?]/.test(entry)) return null;
  const { patterns, unread } = pastedPatterns(home, entry, codes(home));
  return unread.length === 0 && patterns.length > 0 ? [{ country: home, postal: patterns }] : null;
};

const bareRegions = (line: string, at: number, naming: PlaceNaming): Result<Region[]> => {
  const entries = line
    .split(/[,;\t]/)
    .map((entry) => entry.trim())
    .filter(Boolean);
  const regions = entries.map((entry) => {
    const region = entryRegion(entry);
    return naming.named(entry) ?? (region ? [region] : homeCodes(entry, naming));
  });
  const bad = regions.indexOf(null);
  if (bad >= 0)
    return {
      ok: false,
      faults: [fault('bad-region', t('line {count}', { count: at + 1 }), { text: entries[bad] ?? '' })],
    };
  return { ok: true, value: regions.flatMap((found) => found ?? []) };
};

/** What stands before the colon of a line whose codes belong to a country. */
const headOf = (line: string): string => line.slice(0, Math.max(0, line.indexOf(':'))).trim();

const headedRegions = (line: string, at: number, naming: PlaceNaming): Result<Region[]> => {
  const head = headOf(line);
  const [country] = /^[A-Za-z]{2}$/.test(head)
    ? [{ country: head.toUpperCase() }]
    : (naming.named(head) ?? []);
  return country
    ? postalRegions(country.country, line.slice(line.indexOf(':') + 1), at, naming)
    : { ok: false, faults: [fault('bad-region', t('line {count}', { count: at + 1 }), { text: head })] };
};

/** Codes without a country join those of it that were read before. */
const joined = (regions: readonly Region[], region: Region): Region[] =>
  region.postal ? withPatterns(regions, region.country, region.postal).regions : [...regions, region];

/** The regions of a text as `regionsText` writes it, places by name too, or the first entry that is none. */
export const regionsFromText = (text: string, naming: PlaceNaming = CODES_ONLY): Result<Region[]> => {
  let regions: Region[] = [];
  for (const [at, line] of text.split('\n').entries()) {
    const isHeaded = headOf(line) !== '';
    const read = isHeaded ? headedRegions(line, at, naming) : bareRegions(line, at, naming);
    if (!read.ok) return read;
    regions = isHeaded ? [...regions, ...read.value] : read.value.reduce(joined, regions);
  }
  return { ok: true, value: regions };
};
