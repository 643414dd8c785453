/** The places of the program that work, in the order of the navigation; `key` follows `g`. */
export const PLACES = [
  { name: 'Today', path: '/today', key: 't' },
  { name: 'Reach', path: '/reach', key: 'r' },
  { name: 'Charges', path: '/charges', key: 'c' },
  { name: 'Products', path: '/goods', key: 'g' },
  { name: 'Check', path: '/check', key: 'p' },
] as const;
export type Place = (typeof PLACES)[number]['path'];
