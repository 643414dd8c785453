import type { Destination } from '../model/place.ts';
import { normaliseCode } from './postal.ts';

/** A destination as the place index compares it. */
export interface Place {
  country: string;
  subdivision: string | undefined;
  code: string | undefined;
}

/** A destination's country, subdivision and normalised postal code; a blank code is none. */
export const placeOf = (destination: Destination): Place => {
  const code = destination.postalCode ? normaliseCode(destination.country, destination.postalCode) : '';
  return {
    country: destination.country,
    subdivision: destination.subdivision,
    code: code === '' ? undefined : code,
  };
};
