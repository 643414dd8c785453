import { metresBetween } from '../core/place/distance.ts';
import type { Destination } from '../core/model/place.ts';
import { normaliseCode } from '../core/place/postal.ts';
import areas from './areas.json';

type Areas = Record<string, Record<string, readonly number[] | undefined> | undefined>;

/** The part of a postal code that carriers tell apart: three characters of it. */
export const areaOf = ({ country, postalCode }: Destination): string | null =>
  postalCode === undefined ? null : normaliseCode(country, postalCode).slice(0, 3);

/** Where a postal area lies, out of the open gazetteer; null where it is not known. */
export const areaPoint = ({ country, ...rest }: Destination): NonNullable<Destination['point']> | null => {
  const area = areaOf({ country, ...rest });
  const [lat, lng] = (area === null ? undefined : (areas as Areas)[country]?.[area]) ?? [];
  return lat === undefined || lng === undefined ? null : { lat, lng };
};

/** Whether a country's postal areas are in the gazetteer. */
export const hasAreas = (country: string): boolean => country in areas;

/** Metres between two addresses' postal areas; null where either is not known. */
export const metresApart = (from: Destination, to: Destination): number | null => {
  const [here, there] = [areaPoint(from), areaPoint(to)];
  return here && there ? metresBetween(here, there) : null;
};
