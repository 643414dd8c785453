import { t } from '../../core/translate/translate.ts';
import type { GuidePage } from './guide-pages.ts';

/** The places of the program that work, in the order of the navigation; `key` follows `g`. */
export const PLACES = [
  { name: t('Today'), path: '/today', key: 't' },
  { name: t('Reach'), path: '/reach', key: 'r' },
  { name: t('Charges'), path: '/charges', key: 'c' },
  { name: t('Products'), path: '/goods', key: 'g' },
  { name: t('Check'), path: '/check', key: 'p' },
] as const;

/** What a page is for, where its name is a word of ours and does not say it. */
const ABOUT: Record<string, { text: string; guide: GuidePage }> = {
  Reach: { text: t('Where you sell, and what serves each place.'), guide: 'reach' },
  Check: { text: t('Try the draft before customers see it.'), guide: 'check' },
};
/** What a page is for, and the page of the guide that says more. */
export const aboutOf = (title: string): { text: string; guide: GuidePage } | undefined => ABOUT[title];

export type Place = (typeof PLACES)[number]['path'];
