import { matchSorter, rankings } from 'match-sorter';
import type { Entry } from './entry.ts';
import { codeEntry } from './place-entries.ts';

export const MOST_MATCHES = 30;

const KEYS = [
  'name',
  'words',
  { key: 'note', maxRanking: rankings.CONTAINS, threshold: rankings.CONTAINS },
  { key: 'kind', maxRanking: rankings.CONTAINS, threshold: rankings.STARTS_WITH },
];

/** Of two that match alike, the one that is listed first. */
const baseSort = (a: { index: number }, b: { index: number }): number => a.index - b.index;

const OPTIONS = { keys: KEYS, threshold: rankings.CONTAINS, baseSort };

/** Every word of what is typed has to be found; what matches the last word best comes first. */
const byWords = (entries: readonly Entry[], words: readonly string[]): Entry[] =>
  words.reduceRight<Entry[]>((left, word) => matchSorter(left, word, OPTIONS), [...entries]);

/** An entry found by another word for it says which. */
const withReason = (entry: Entry, wanted: string): Entry => {
  const isIn = (text: string): boolean => text.toLowerCase().includes(wanted.toLowerCase());
  const word = isIn(entry.name) ? undefined : entry.words?.find(isIn);
  return word === undefined ? entry : { ...entry, note: [entry.note, word].filter(Boolean).join(' · ') };
};

/**
 * The entries that what is typed may mean, the likeliest first: those that contain it as it is, then those that contain
 * each of its words; a postal code before all. Case and accents do not count.
 */
export const matchesOf = (entries: readonly Entry[], typed: string): Entry[] => {
  const wanted = typed.trim();
  if (wanted === '') return [];
  const whole = matchSorter([...entries], wanted, OPTIONS).map((entry) => withReason(entry, wanted));
  const words = wanted.split(/\s+/);
  const code = codeEntry(wanted);
  const all = [...(code ? [code] : []), ...whole, ...(words.length > 1 ? byWords(entries, words) : [])];
  return [...new Map(all.map((entry) => [entry.id, entry])).values()].slice(0, MOST_MATCHES);
};

/** The entries that were opened last, the newest first, as far as they are still there. */
export const recentOf = (entries: readonly Entry[], ids: readonly string[]): Entry[] => {
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  return ids.flatMap((id) => byId.get(id) ?? codeEntry(id.replace(/^postal-code:/, '')) ?? []);
};
