import { t } from '../../core/translate/translate.ts';
import type { WorldPlaces } from '../places/places.ts';
import type { Entry } from './entry.ts';

/** Countries by name: each leads to whether it is sold to, with its regions. */
export const countryEntries = ({ countries }: WorldPlaces): Entry[] =>
  countries.map(({ code, name }) => ({
    id: `country:${code}`,
    kind: t('Country'),
    name,
    note: code,
    leadsTo: { link: { pathname: '/reach', params: { find: name } } },
  }));

/** A postal code has a figure in it, and is short. */
const looksLikeCode = (text: string): boolean => /^(?=.*\d)[a-z\d][a-z\d\s-]{1,11}$/i.test(text);

/** What is typed, as a postal code: leads to where it would fall. */
export const codeEntry = (typed: string): Entry | null => {
  const code = typed.trim().toUpperCase();
  if (!looksLikeCode(code)) return null;
  return {
    id: `postal-code:${code}`,
    kind: t('Postal code'),
    name: t('Where {code} would fall', { code }),
    note: t('Zone, delivery areas, pickup'),
    leadsTo: { link: { pathname: '/reach', params: { code } } },
  };
};
