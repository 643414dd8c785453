import type { Destination } from '../core/model/place.ts';
import { withSubdivision } from '../core/place/subdivision-of-code.ts';
import { locate } from './locate.ts';
import { readGazetteer } from './read-gazetteer.ts';

/** An address with the subdivision and the point that its postal code gives, where it says none. */
export const completed = async (destination: Destination): Promise<Destination> => {
  const named = withSubdivision(destination);
  if (named.point !== undefined || named.postalCode === undefined) return named;
  const found = locate(await readGazetteer(named.country), named);
  return found ? { ...named, point: found.point } : named;
};
