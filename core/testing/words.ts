import { customerWords } from '../words/customer/customer-words.ts';

const format = { decimals: 2, units: 'metric', currency: 'CAD' } as const;

/** How a shop of the tests speaks to its customers. */
export const ENGLISH_WORDS = customerWords('en', format);
export const FRENCH_WORDS = customerWords('fr', format);
