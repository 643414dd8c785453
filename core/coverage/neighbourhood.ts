import type { Coverage, DeliveryArea } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { Destination } from '../model/place.ts';
import { areasAt, bestAreas, metresOutside, type AreaIndex } from '../place/area-index.ts';
import { metresBetween } from '../place/distance.ts';
import { placeOf } from '../place/place.ts';
import { ringHolds } from '../place/ring.ts';
import { postalReach, type PostalArea } from './postal-reach.ts';

type Point = NonNullable<Destination['point']>;

/** How a shape or a radius stands to the postal areas around it. */
export interface Covered {
  /** Areas that lie in it as a whole, as far as their middles and their neighbours tell. */
  whole: PostalArea[];
  /** Areas that its edge cuts through. */
  cut: PostalArea[];
}

/**
 * The postal areas that a coverage drawn on the map holds as a whole, and those that its edge cuts through. A
 * gazetteer knows the middle of an area, not its border: an area is taken to reach half the way to the next.
 */
export const postalAreasIn = (
  area: Pick<DeliveryArea, 'covers'>,
  centre: Point | undefined,
  postal: readonly PostalArea[],
): Covered => {
  const covered: Covered = { whole: [], cut: [] };
  for (const one of postal) {
    const beyond = metresOutside(area as DeliveryArea, centre, one.point);
    if (beyond === null) continue;
    const isInside = isHeld(area.covers, beyond, centre, one.point);
    if (Math.abs(beyond) < postalReach(one, postal)) covered.cut.push(one);
    else if (isInside) covered.whole.push(one);
  }
  return covered;
};

const isHeld = (covers: Coverage, beyond: number, centre: Point | undefined, point: Point): boolean =>
  covers.kind === 'shape' ? ringHolds(covers.ring, point) : centre !== undefined && beyond <= 0;

type Named = Pick<DeliveryArea, 'id' | 'name'>;

/** A postal area near a location, and the delivery areas that cover it, by id and name. */
export interface NearbyCode {
  postal: PostalArea;
  /** The areas that take it, one a location. */
  takes: Named[];
  /** Others that cover it too. */
  also: Named[];
}

const named = ({ id, name }: Named): Named => ({ id, name });

/** Every postal area with what covers it: those that are covered twice, and those that nothing covers. */
export const nearbyCodes = (index: AreaIndex, country: string, postal: readonly PostalArea[]): NearbyCode[] =>
  postal.map((one) => {
    const found = areasAt(index, placeOf({ country, postalCode: wholeCode(country, one.code) }), one.point);
    const best = [...bestAreas(found).values()].map(({ area }) => area);
    const also = found.map(({ area }) => area).filter((area) => !best.includes(area));
    return { postal: one, takes: best.map(named), also: [...new Set(also)].map(named) };
  });

/** A code of a postal area that stands for its codes: a Canadian one is filled up. */
const wholeCode = (country: string, code: string): string => (country === 'CA' ? `${code}1A1` : code);

/** The postal areas within so many metres of any location's point, nearest first. */
export const postalAreasNear = (
  locations: readonly Location[],
  postal: readonly PostalArea[],
  metres: number,
): PostalArea[] => {
  const points = locations.flatMap(({ address }) => address.point ?? []);
  return postal
    .map((one) => ({ one, away: Math.min(...points.map((point) => metresBetween(point, one.point))) }))
    .filter(({ away }) => away <= metres)
    .sort((a, b) => a.away - b.away)
    .map(({ one }) => one);
};
