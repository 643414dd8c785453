import { rangeText } from './postal.ts';

/**
 * British postal codes as lists of carriers name them: by area (BT), district (IV1) or sector (AB31 5), and by runs of
 * districts (PA20 to PA49). A code is its district and three characters more, 'E1 6AN' and 'E10 7QL', so that without
 * its blank the beginning 'E1' has the codes of E10 too. A district is therefore a pattern of exact length: 'E1???'.
 */

/** Countries whose codes are built so: the United Kingdom, Guernsey, the Isle of Man, Jersey. */
const COUNTRIES = ['GB', 'GG', 'IM', 'JE'];

/** Whether the codes of a country are built so. */
export const hasDistricts = (country: string): boolean => COUNTRIES.includes(country);

/** Whether a text is a whole code of such a country: 'SW1A1AA'. */
export const isBritishCode = (country: string, code: string): boolean =>
  hasDistricts(country) && /^[A-Z]{1,2}\d[A-Z0-9]?\d[A-Z]{2}$/.test(code);

/** Areas of one letter; others begin with the same letter, as EC, EH and EN do with that of E. */
const ONE_LETTER_AREAS = 'BEGLMNSW';

/** Districts of central London whose codes have a letter after the figure, and which letters those are. */
const LETTERED: Readonly<Record<string, string>> = {
  ...{ E1: 'W', N1: 'CP', NW1: 'W', SE1: 'P', SW1: 'AEHPVWXY', W1: 'ABCDFGHJKSTUW' },
  ...{ EC1: 'AMNPRVY', EC2: 'AMNPRVY', EC3: 'AMNPRV', EC4: 'AMNPRVY', WC1: 'ABEHNRVX', WC2: 'ABEHNR' },
};
/** Those of them that are no district without a letter. */
const ONLY_LETTERED = ['SW1', 'W1', 'EC1', 'EC2', 'EC3', 'EC4', 'WC1', 'WC2'];

/** A digit and two letters end every code. */
const INWARD = '???';

const district = (name: string): string[] => [
  ...(ONLY_LETTERED.includes(name) ? [] : [name + INWARD]),
  ...[...(LETTERED[name] ?? '')].map((letter) => name + letter + INWARD),
];

/** The districts of an area of one letter by their first figure. */
const areaOf = (letter: string): string[] => Array.from({ length: 9 }, (_, at) => `${letter}${at + 1}*`);

/** The districts from one to another of an area; null where they are no run of one area. */
const run = (from: string, to: string): string[] | null => {
  const [, area = '', first = ''] = /^([A-Z]{1,2})(\d{1,2})$/.exec(from) ?? [];
  const [, otherArea = area, last = ''] = /^([A-Z]{1,2})?(\d{1,2})$/.exec(to) ?? [];
  const [low, high] = [Number(first), Number(last)];
  if (area === '' || last === '' || otherArea !== area || low > high) return null;
  return Array.from({ length: high - low + 1 }, (_, at) => district(`${area}${low + at}`)).flat();
};

/** What is named by one text: an area of one letter, a district, or a sector of one. */
const single = (text: string): string[] | null => {
  if (text.length === 1 && ONE_LETTER_AREAS.includes(text)) return areaOf(text);
  if (/^[A-Z]{1,2}\d{1,2}$/.test(text)) return district(text);
  const [, outward, sector] = /^([A-Z]{1,2}\d[A-Z0-9]?) (\d)$/.exec(text) ?? [];
  return outward === undefined || sector === undefined ? null : [`${outward}${sector}??`];
};

/**
 * The patterns of an area, district, sector or run of districts, where a country's codes are built so; null for all
 * else. `ends` are the two ends where the text is a run: 'PA20' and 'PA49', or 'KA27' and '28'.
 */
export const districtPatterns = (country: string, ends: readonly string[]): string[] | null => {
  if (!hasDistricts(country)) return null;
  const [from = '', to, ...more] = ends.map((end) => end.trim().toUpperCase().replace(/\s+/g, ' '));
  if (more.length > 0) return null;
  return to === undefined ? single(from) : run(from, to);
};

const DISTRICT = /^([A-Z]{1,2})(\d{1,2})\?\?\?$/;

/** What a pattern of a district or sector is called: 'E1' of 'E1???', 'AB31 5' of 'AB315??'; any other as it is. */
const nameOf = (pattern: string): string =>
  pattern
    .replace(/^([A-Z]{1,2}\d[A-Z0-9]?)\?\?\?$/, '$1')
    .replace(/^([A-Z]{1,2}\d[A-Z0-9]?)(\d)\?\?$/, '$1 $2');

/** How many districts follow each other from a place in a list on. */
const lengthOfRun = (patterns: readonly string[], at: number): number => {
  const [, area, first] = DISTRICT.exec(patterns[at] ?? '') ?? [];
  if (area === undefined) return 1;
  let length = 1;
  while (patterns[at + length] === `${area}${Number(first) + length}${INWARD}`) length += 1;
  return length;
};

/** The area of one letter that is named whole from a place in a list on; null where none is. */
const areaAt = (patterns: readonly string[], at: number): string | null => {
  const letter = (patterns[at] ?? '').slice(0, 1);
  const isWhole =
    letter !== '' && areaOf(letter).every((pattern, further) => patterns[at + further] === pattern);
  return isWhole ? letter : null;
};

/** Three districts in a row and more are named by their ends. */
const LEAST_RUN = 3;

/** What the patterns from a place in a list on are called together, and how many they are. */
const namedAt = (patterns: readonly string[], at: number): { name: string; count: number } => {
  const area = areaAt(patterns, at);
  if (area !== null) return { name: area, count: areaOf(area).length };
  const length = lengthOfRun(patterns, at);
  const first = nameOf(patterns[at] ?? '');
  if (length < LEAST_RUN) return { name: first, count: 1 };
  return { name: rangeText(first, nameOf(patterns[at + length - 1] ?? '')), count: length };
};

/** Patterns of such codes with districts and sectors by their names, a run of districts as 'IV1 to IV28'. */
export const districtNames = (patterns: readonly string[]): string[] => {
  const names: string[] = [];
  for (let at = 0; at < patterns.length;) {
    const { name, count } = namedAt(patterns, at);
    names.push(name);
    at += count;
  }
  return names;
};
