import Flatbush from 'flatbush';
import type { Destination } from '../model/place.ts';
import { metresBetween } from '../place/distance.ts';
import { METRES_A_DEGREE } from '../place/ring.ts';

/** A postal area as a gazetteer knows it: by its code and its middle. */
export interface PostalArea {
  code: string;
  name: string;
  point: NonNullable<Destination['point']>;
}

/** A list indexed by where its areas lie, and the reaches that are known of it. */
interface Known {
  index: Flatbush;
  reaches: Map<PostalArea, number>;
}

/** Made once for each list, of which a gazetteer has one. */
const known = new WeakMap<readonly PostalArea[], Known>();

const indexed = (all: readonly PostalArea[]): Flatbush => {
  const index = new Flatbush(all.length);
  for (const { point } of all) index.add(point.lng, point.lat, point.lng, point.lat);
  index.finish();
  return index;
};

const knownOf = (all: readonly PostalArea[]): Known => {
  const found = known.get(all) ?? { index: indexed(all), reaches: new Map() };
  known.set(all, found);
  return found;
};

/** So many of the nearest in degrees are looked at first: one of them is about the nearest in metres too. */
const FIRST_LOOK = 4;
/** A distance is rounded to a metre. */
const ROUNDED = 1;

/** Metres from an area to the nearest other one of its list; infinite where there is none. */
const metresToNearest = (
  { code, point }: PostalArea,
  all: readonly PostalArea[],
  index: Flatbush,
): number => {
  const isOther = (at: number): boolean => all[at]?.code !== code;
  const least = (found: readonly number[]): number =>
    Math.min(...found.map((at) => metresBetween(point, (all[at] as PostalArea).point)));
  const about = least(index.neighbors(point.lng, point.lat, FIRST_LOOK, Infinity, isOther));
  if (!Number.isFinite(about)) return about;
  const up = (about + ROUNDED) / METRES_A_DEGREE;
  const narrowest = Math.cos((Math.min(90, Math.abs(point.lat) + up) * Math.PI) / 180);
  const across = Math.min(360, up / Math.max(narrowest, Number.EPSILON));
  const { lat, lng } = point;
  return least(index.search(lng - across, lat - up, lng + across, lat + up, isOther));
};

/**
 * How far a postal area reaches about its middle, in metres: half the way to the nearest other one of the list; 0 where
 * there is none.
 */
export const postalReach = (area: PostalArea, all: readonly PostalArea[]): number => {
  if (all.length === 0) return 0;
  const { index, reaches } = knownOf(all);
  const found = reaches.get(area);
  if (found !== undefined) return found;
  const nearest = metresToNearest(area, all, index);
  const reach = Number.isFinite(nearest) ? nearest / 2 : 0;
  reaches.set(area, reach);
  return reach;
};
