import type { ReadingContext } from '../../core/formats/list-format.ts';
import type { Mark } from '../../core/formats/typed.ts';
import { regionsNamed } from './named-regions.ts';
import { codeForm } from './whole-code.ts';

/** What readers of lists are told of places: countries by code or name, and the forms of postal codes. */
export const readingContext = (mark: Mark): ReadingContext => ({
  mark,
  countryOf: (text) =>
    /^[a-z]{2}$/i.test(text) ? text.toUpperCase() : (regionsNamed(text)?.[0]?.country ?? null),
  codes: codeForm,
});
