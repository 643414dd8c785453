import type { PlaceNames } from '../../core/place/region-phrase.ts';
import { countryName } from '../../core/words/country-name.ts';
import { subdivisionName, useWorldPlaces } from './places.ts';

const byName: PlaceNames = (code) => (code.includes('-') ? subdivisionName(code) : countryName(code));
const regionsByCode: PlaceNames = (code) => (code.includes('-') ? code : countryName(code));

/** What countries and regions are called: regions by their codes until the world's places are loaded, then by another function, so that what is named is named anew. */
export const usePlaceNames = (): PlaceNames => (useWorldPlaces() ? byName : regionsByCode);
