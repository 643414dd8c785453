import type { Destination } from '../model/place.ts';

/** The mean radius of the earth in metres (IUGG). */
const EARTH_RADIUS = 6_371_008.8;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Great-circle metres between two points, rounded to a metre (the haversine formula). */
export const metresBetween = (
  a: NonNullable<Destination['point']>,
  b: NonNullable<Destination['point']>,
): number => {
  const acrossLat = Math.sin(radians(b.lat - a.lat) / 2) ** 2;
  const acrossLng = Math.sin(radians(b.lng - a.lng) / 2) ** 2;
  const share = acrossLat + Math.cos(radians(a.lat)) * Math.cos(radians(b.lat)) * acrossLng;
  return Math.round(2 * EARTH_RADIUS * Math.asin(Math.min(1, Math.sqrt(share))));
};
