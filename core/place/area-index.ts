import Flatbush from 'flatbush';
import type { DeliveryArea } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { Destination } from '../model/place.ts';
import { metresBetween } from './distance.ts';
import { buildPlaceIndex, claimsOn, type PlaceIndex } from './place-index.ts';
import type { Place } from './place.ts';
import { METRES_A_DEGREE, metresToRing, ringHolds } from './ring.ts';

type Point = NonNullable<Destination['point']>;

/** An area that is drawn, and the boxes it lies in. */
interface Drawn {
  area: DeliveryArea;
  /** The location's point, of a radius. */
  centre: Point | undefined;
}

/** The delivery areas, ready to be asked for a destination. */
export interface AreaIndex {
  listed: PlaceIndex<DeliveryArea>;
  drawn: readonly Drawn[];
  boxes: Flatbush | null;
}

/** An area that covers a destination: by an entry of its list, its shape or its radius. */
export interface AreaFound {
  area: DeliveryArea;
  because: string;
}

type Box = [west: number, south: number, east: number, north: number];

const boxOf = ({ area: { covers }, centre }: Drawn): Box | null => {
  if (covers.kind === 'shape') {
    const lngs = covers.ring.map(([lng]) => lng);
    const lats = covers.ring.map(([, lat]) => lat);
    return [Math.min(...lngs), Math.min(...lats), Math.max(...lngs), Math.max(...lats)];
  }
  if (covers.kind !== 'radius' || !centre) return null;
  const tall = ((covers.metres + 1) / METRES_A_DEGREE) * 1.001;
  const shrunk = Math.cos((Math.min(89, Math.abs(centre.lat) + tall) * Math.PI) / 180);
  const wide = Math.min(360, tall / shrunk);
  return [centre.lng - wide, centre.lat - tall, centre.lng + wide, centre.lat + tall];
};

const boxesOf = (drawn: readonly Drawn[]): Flatbush | null => {
  if (drawn.length === 0) return null;
  const boxes = new Flatbush(drawn.length);
  for (const one of drawn) boxes.add(...(boxOf(one) ?? ([999, 999, 999, 999] satisfies Box)));
  boxes.finish();
  return boxes;
};

/** An index of the areas that are switched on. Radii are round their locations' points. */
export const indexAreas = (areas: readonly DeliveryArea[], locations: readonly Location[]): AreaIndex => {
  const active = areas.filter((area) => area.active);
  const points = new Map(locations.map(({ id, address }) => [id, address.point]));
  const drawn = active
    .filter(({ covers }) => covers.kind !== 'postal')
    .map((area) => ({ area, centre: points.get(area.locationId) }));
  const listed = active.map((area) => ({
    owner: area,
    regions:
      area.covers.kind === 'postal' ? [{ country: area.covers.country, postal: area.covers.patterns }] : [],
  }));
  return { listed: buildPlaceIndex(listed), drawn, boxes: boxesOf(drawn) };
};

const holds = ({ area: { covers }, centre }: Drawn, point: Point): boolean => {
  if (covers.kind === 'shape') return ringHolds(covers.ring, point);
  return covers.kind === 'radius' && centre !== undefined && metresBetween(centre, point) <= covers.metres;
};

/** Shapes first, as they are listed, then radii from the smallest. */
const rankOf = ({ area: { covers } }: Drawn): number => (covers.kind === 'radius' ? covers.metres : -1);

const drawnAt = ({ drawn, boxes }: AreaIndex, point: Point): AreaFound[] => {
  if (!boxes) return [];
  return boxes
    .search(point.lng, point.lat, point.lng, point.lat)
    .sort((a, b) => a - b)
    .flatMap((at) => drawn[at] ?? [])
    .filter((one) => holds(one, point))
    .sort((a, b) => rankOf(a) - rankOf(b))
    .map(({ area }) => ({ area, because: area.covers.kind }));
};

/**
 * Every area that covers a destination, the best first: an exact code before a longer pattern before a shape
 * before a smaller radius; equals as they are listed. Without a point, shapes and radii cover nothing.
 */
export const areasAt = (index: AreaIndex, place: Place, point: Point | undefined): AreaFound[] => {
  const listed =
    place.code === undefined
      ? []
      : claimsOn(index.listed, place).map(({ owner, entry }) => ({ area: owner, because: entry }));
  return point ? [...listed, ...drawnAt(index, point)] : listed;
};

/** The area of each location that covers a destination best, by the location's id. */
export const bestAreas = (found: readonly AreaFound[]): ReadonlyMap<string, AreaFound> => {
  const best = new Map<string, AreaFound>();
  for (const one of found) if (!best.has(one.area.locationId)) best.set(one.area.locationId, one);
  return best;
};

/** Metres from a destination to the edge of an area that does not cover it, where that can be known. */
export const metresOutside = (
  { covers }: DeliveryArea,
  centre: Point | undefined,
  point: Point | undefined,
): number | null => {
  if (!point || covers.kind === 'postal') return null;
  if (covers.kind === 'shape') return metresToRing(covers.ring, point);
  return centre ? metresBetween(centre, point) - covers.metres : null;
};
