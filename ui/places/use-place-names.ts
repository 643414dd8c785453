import { useMemo } from 'react';
import type { PlaceNames } from '../../core/place/region-phrase.ts';
import { countryName, subdivisionName, useWorldPlaces } from './places.ts';

/** What countries and regions are called: regions by their codes until the world's places are loaded. */
export const usePlaceNames = (): PlaceNames => {
  const places = useWorldPlaces();
  return useMemo(
    // Another function once the places are there, so that what is named is named anew.
    () => (code) =>
      code.includes('-') && places ? subdivisionName(code) : code.includes('-') ? code : countryName(code),
    [places],
  );
};
