import type { Destination } from '../core/model/place.ts';
import ca from '../gazetteer/ca.json';
import { locate, type Gazetteer } from '../gazetteer/locate.ts';
import us from '../gazetteer/us.json';

const GAZETTEERS: Record<string, Gazetteer> = {
  CA: ca as unknown as Gazetteer,
  US: us as unknown as Gazetteer,
};

/** An address of the made-up shop's customers, with the point of its postal area. */
export const to = (
  country: string,
  subdivision: string | null,
  postalCode: string,
  city: string,
): Destination => {
  const point = locate(GAZETTEERS[country] ?? {}, { country, postalCode })?.point;
  return {
    country,
    ...(subdivision ? { subdivision } : {}),
    postalCode,
    city,
    ...(point ? { point } : {}),
  };
};
