/** The places of the program that work, in the order of the navigation; `key` follows `g`. */
export const PLACES = [
  { name: 'Today', path: '/today', key: 't' },
  { name: 'Reach', path: '/reach', key: 'r' },
  { name: 'Charges', path: '/charges', key: 'c' },
  { name: 'Products', path: '/goods', key: 'g' },
  { name: 'Check', path: '/check', key: 'p' },
] as const;

/** What a page is for, where its name is a word of ours and does not say it. */
const ABOUT: Record<string, string> = {
  Reach: 'Where you sell, and what serves each place.',
  Check: 'Try the draft before customers see it.',
};
export const aboutOf = (title: string): string | undefined => ABOUT[title];

export type Place = (typeof PLACES)[number]['path'];
