/** How zones are told apart on maps and lists: by ink and by letter, never by ink alone. */
export interface ZoneMark {
  ink: string;
  letter: string;
}

/** Eight muted inks of like lightness, on which dark letters can be read; the same serve both themes. */
export const SORT_INKS = [
  '#8FB09A',
  '#D0AE86',
  '#93AACB',
  '#CC9F9A',
  '#AFA1C6',
  '#BFB67F',
  '#84B5B5',
  '#C3A0B8',
];

const letterFor = (name: string, taken: ReadonlySet<string>): string => {
  const words = name.replace(/[^\p{L}\p{N} ]/gu, '').trim();
  const first = words.slice(0, 1).toUpperCase() || '?';
  if (!taken.has(first)) return first;
  for (const next of words.slice(1).replaceAll(' ', '')) if (!taken.has(first + next)) return first + next;
  let number = 2;
  while (taken.has(first + number)) number += 1;
  return first + number;
};

/** The mark of each zone, by its id, in the order of the list. */
export const zoneMarks = (zones: readonly { id: string; name: string }[]): ReadonlyMap<string, ZoneMark> => {
  const taken = new Set<string>();
  return new Map(
    zones.map(({ id, name }, at) => {
      const letter = letterFor(name, taken);
      taken.add(letter);
      return [id, { ink: SORT_INKS[at % SORT_INKS.length] ?? '#999999', letter }];
    }),
  );
};
