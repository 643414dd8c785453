import type { PostalRule } from '../model/delivery.ts';
import type { Place } from './place.ts';
import { buildPlaceIndex, decidingClaim, type PlaceIndex } from './place-index.ts';

/** The postal list, ready to be asked for a place. */
export type PostalIndex = PlaceIndex<PostalRule>;

/** An index of the postal list. */
export const indexPostalList = (rules: readonly PostalRule[]): PostalIndex =>
  buildPlaceIndex(
    rules.map((rule) => ({ owner: rule, regions: [{ country: rule.country, postal: [rule.pattern] }] })),
  );

/** What the postal list says of a place: whether it is served, and the line that says so, if any does. */
export interface PostalAnswer {
  served: boolean;
  rule: PostalRule | null;
  /** Whether the list has lines for the country at all. */
  isListed: boolean;
}

/**
 * The most specific line that holds the place decides; where none does, or no code is known, in a country
 * that has lines, what holds for codes that are not listed.
 */
export const askPostalList = (
  index: PostalIndex,
  place: Place,
  unlisted: 'served' | 'not-served',
): PostalAnswer => {
  const isListed = index.countries.has(place.country);
  const rule = isListed ? (decidingClaim(index, place, () => true)?.owner ?? null) : null;
  const served = rule ? rule.served : !isListed || unlisted === 'served';
  return { served, rule, isListed };
};
