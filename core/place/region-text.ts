import { fault, type Result } from '../model/fault.ts';
import type { Region } from '../model/place.ts';
import { t } from '../translate/translate.ts';
import { ANY_CODE, type CodeForm } from './code-shapes.ts';
import { pastedPatterns } from './pasted-patterns.ts';

/**
 * Regions as a line of text and back: 'CA-NS', 'US', 'CA: B3H*, B3J*'. Entries are separated by commas
 * or lines; codes after 'XX:' belong to that country until the next entry that names a country.
 */

/** Regions as the text a person can edit. */
export const regionsText = (regions: readonly Region[]): string =>
  regions
    .map(({ country, subdivision, postal }) =>
      postal ? `${country}: ${postal.join(', ')}` : (subdivision ?? country),
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

const lineRegions = (line: string, at: number, naming: PlaceNaming): Result<Region[]> => {
  const colon = line.indexOf(':');
  const head = line.slice(0, Math.max(0, colon)).trim();
  if (head !== '') {
    const list = line.slice(colon + 1);
    const [country] = /^[A-Za-z]{2}$/.test(head)
      ? [{ country: head.toUpperCase() }]
      : (naming.named(head) ?? []);
    return country
      ? postalRegions(country.country, list, at, naming)
      : { ok: false, faults: [fault('bad-region', t('line {count}', { count: at + 1 }), { text: head })] };
  }
  const entries = line
    .split(/[,;\t]/)
    .map((entry) => entry.trim())
    .filter(Boolean);
  const regions = entries.map((entry) => {
    const region = entryRegion(entry);
    return naming.named(entry) ?? (region ? [region] : null);
  });
  const bad = regions.indexOf(null);
  if (bad >= 0)
    return {
      ok: false,
      faults: [fault('bad-region', t('line {count}', { count: at + 1 }), { text: entries[bad] ?? '' })],
    };
  return { ok: true, value: regions.flatMap((found) => found ?? []) };
};

/** The regions of a text as `regionsText` writes it, places by name too, or the first entry that is none. */
export const regionsFromText = (text: string, naming: PlaceNaming = CODES_ONLY): Result<Region[]> => {
  const regions: Region[] = [];
  for (const [at, line] of text.split('\n').entries()) {
    const read = lineRegions(line, at, naming);
    if (!read.ok) return read;
    regions.push(...read.value);
  }
  return { ok: true, value: regions };
};
