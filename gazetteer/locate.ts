import type { Destination } from '../core/model/place.ts';
import { normaliseCode } from '../core/place/postal.ts';

type Point = NonNullable<Destination['point']>;

/** Where each postal area of a country lies, by its code: latitude, longitude and what the place is called. */
export type Gazetteer = Readonly<
  Record<string, readonly [lat: number, lng: number, name: string] | undefined>
>;

/** A postal area that the gazetteer knows. */
export interface Located {
  /** The part of the code that it goes by: three characters in Canada, five figures in the United States. */
  code: string;
  name: string;
  point: Point;
}

/** The part of a postal code that the gazetteer goes by. */
export const areaCodeOf = (country: string, postalCode: string): string => {
  const code = normaliseCode(country, postalCode);
  return country === 'CA' ? code.slice(0, 3) : code;
};

/** The middle of an address's postal area, or null where the gazetteer does not know it. */
export const locate = (
  gazetteer: Gazetteer,
  { country, postalCode }: Pick<Destination, 'country' | 'postalCode'>,
): Located | null => {
  if (postalCode === undefined) return null;
  const code = areaCodeOf(country, postalCode);
  const found = gazetteer[code];
  if (!found) return null;
  const [lat, lng, name] = found;
  return { code, name, point: { lat, lng } };
};

/** Every postal area of a gazetteer, in the order of the codes. */
export const allLocated = (gazetteer: Gazetteer): Located[] =>
  Object.entries(gazetteer).flatMap(([code, found]) =>
    found ? [{ code, name: found[2], point: { lat: found[0], lng: found[1] } }] : [],
  );
