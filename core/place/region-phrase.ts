import { t } from '../translate/translate.ts';
import type { Region } from '../model/place.ts';
import { fault, type Result } from '../model/fault.ts';
import { ANY_CODE, type CodeForm } from './code-shapes.ts';
import { pastedPatterns } from './pasted-patterns.ts';

/**
 * Regions as a line of text and back: 'CA-NS', 'US', 'CA: B3H*, B3J*'. Entries are separated by commas
 * or lines; codes after 'XX:' belong to that country until the next entry that names a country.
 */

/** What a country or a subdivision is called, by its code of ISO 3166. */
export type PlaceNames = (code: string) => string;

/** A few words for a list of regions: 'Nova Scotia, Nunavut', '8 codes in Canada'. */
export const regionsPhrase = (regions: readonly Region[], names: PlaceNames): string => {
  const codes = new Map<string, number>();
  const named: string[] = [];
  for (const { country, subdivision, postal } of regions) {
    if (postal) codes.set(country, (codes.get(country) ?? 0) + postal.length);
    else named.push(names(subdivision ?? country));
  }
  const counted = [...codes].map(([country, count]) =>
    t('{count} {count, plural, one {code} other {codes}} in {name}', { count, name: names(country) }),
  );
  return [...named, ...counted].join(', ');
};

const FEW = 4;

/** A few words for a list of regions of which those past the first few are counted: 'Austria, Belgium and 12 more'. */
export const fewRegionsPhrase = (regions: readonly Region[], names: PlaceNames): string =>
  regions.length <= FEW
    ? regionsPhrase(regions, names)
    : t('{regions} and {count} more', {
        regions: regionsPhrase(regions.slice(0, FEW - 1), names),
        count: regions.length - FEW + 1,
      });

const PLACE_CODE = /^[A-Z]{2}(?:-[A-Z0-9]{1,3})?$/;

/** An entry of a zone or list as it is read: a country or subdivision by its name, a pattern of codes as it is. */
export const entryName = (entry: string, names: PlaceNames): string =>
  PLACE_CODE.test(entry) ? names(entry) : entry;

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
