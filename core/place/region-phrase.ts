import type { Region } from '../model/place.ts';
import { fault, type Result } from '../model/fault.ts';
import { parsePattern, writtenPattern } from './postal.ts';

/**
 * Regions as a line of text and back: 'CA-NS', 'US', 'CA: B3H*, B3J*'. Entries are parted by commas
 * or lines; codes after 'XX:' belong to that country until the next entry that names a country.
 */

/** A few words for a list of regions: 'NS, NB, PE', 'US', '8 codes in CA'. */
export const regionsPhrase = (regions: readonly Region[]): string => {
  const codes = new Map<string, number>();
  const names: string[] = [];
  for (const { country, subdivision, postal } of regions) {
    if (postal) codes.set(country, (codes.get(country) ?? 0) + postal.length);
    else names.push(subdivision ? subdivision.slice(3) : country);
  }
  const counted = [...codes].map(
    ([country, count]) => `${count} ${count === 1 ? 'code' : 'codes'} in ${country}`,
  );
  return [...names, ...counted].join(', ');
};

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

const lineRegions = (line: string, at: number): Result<Region[]> => {
  const [, country, list] = /^\s*([A-Za-z]{2})\s*:(.*)$/.exec(line) ?? [];
  const entries = (list ?? line)
    .split(/[,;]/)
    .map((entry) => entry.trim())
    .filter(Boolean);
  if (country !== undefined) {
    const postal = entries.map(writtenPattern);
    const bad = postal.find((pattern) => !parsePattern(country.toUpperCase(), pattern));
    if (bad !== undefined)
      return { ok: false, faults: [fault('bad-pattern', `line ${at + 1}`, { pattern: bad })] };
    return { ok: true, value: postal.length > 0 ? [{ country: country.toUpperCase(), postal }] : [] };
  }
  const regions = entries.map((entry) => entryRegion(entry));
  const bad = regions.indexOf(null);
  if (bad >= 0)
    return { ok: false, faults: [fault('bad-region', `line ${at + 1}`, { text: entries[bad] ?? '' })] };
  return { ok: true, value: regions as Region[] };
};

/** The regions of a text as `regionsText` writes it, or the first entry that is none. */
export const regionsFromText = (text: string): Result<Region[]> => {
  const regions: Region[] = [];
  for (const [at, line] of text.split('\n').entries()) {
    const read = lineRegions(line, at);
    if (!read.ok) return read;
    regions.push(...read.value);
  }
  return { ok: true, value: regions };
};
