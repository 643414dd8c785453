import type { CustomerWords } from '../../../core/words/customer/customer-words.ts';
import type { NamedPlace } from '../../places/places.ts';

/** Countries to choose from, by their names in the customer's language and in its order. */
export const countryOptions = (
  { country, language }: CustomerWords,
  countries: readonly NamedPlace[],
  isOpen: (code: string) => boolean,
): { id: string; name: string; note: string }[] =>
  countries
    .filter(({ code }) => isOpen(code))
    .map(({ code }) => ({ id: code, name: country(code), note: '' }))
    .sort((a, b) => a.name.localeCompare(b.name, language));
