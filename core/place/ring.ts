import type { Position } from '../model/delivery.ts';
import type { Destination } from '../model/place.ts';

type Point = NonNullable<Destination['point']>;

/** Metres to a degree of latitude on the sphere that distances are measured on. */
export const METRES_A_DEGREE = (Math.PI * 6_371_008.8) / 180;

type Edge = readonly [Position, Position];

/** The edges of a ring; one whose last corner repeats the first has none between them. */
const edgesOf = (ring: readonly Position[]): Edge[] =>
  ring.map((from, at) => [from, ring[(at + 1) % ring.length] as Position]);

/** Which side of an edge a point lies on: above 0 left, below 0 right, 0 on its line. */
const side = ([[ax, ay], [bx, by]]: Edge, { lng, lat }: Point): number =>
  (bx - ax) * (lat - ay) - (by - ay) * (lng - ax);

const isWithinBox = ([[ax, ay], [bx, by]]: Edge, { lng, lat }: Point): boolean =>
  lng >= Math.min(ax, bx) && lng <= Math.max(ax, bx) && lat >= Math.min(ay, by) && lat <= Math.max(ay, by);

/**
 * Whether a ring of longitudes and latitudes holds a point, its edge included: the even-odd rule, edges as
 * straight lines on the plane of degrees. A ring does not run over the 180th meridian.
 */
export const ringHolds = (ring: readonly Position[], point: Point): boolean => {
  let inside = false;
  for (const edge of edgesOf(ring)) {
    const which = side(edge, point);
    if (which === 0 && isWithinBox(edge, point)) return true;
    const [[, from], [, to]] = edge;
    if (from > point.lat !== to > point.lat && which > 0 === to > from) inside = !inside;
  }
  return inside;
};

/** Metres from a point to the nearest of a ring's edges, on a plane that touches the earth at the point. */
export const metresToRing = (ring: readonly Position[], { lat, lng }: Point): number => {
  const across = Math.cos((lat * Math.PI) / 180);
  const flat = ([x, y]: Position): Position => [
    (x - lng) * across * METRES_A_DEGREE,
    (y - lat) * METRES_A_DEGREE,
  ];
  const away = edgesOf(ring).map(([from, to]) => {
    const [ax, ay] = flat(from);
    const [bx, by] = flat(to);
    const length = (bx - ax) ** 2 + (by - ay) ** 2;
    const along = length === 0 ? 0 : Math.min(1, Math.max(0, -(ax * (bx - ax) + ay * (by - ay)) / length));
    return Math.hypot(ax + along * (bx - ax), ay + along * (by - ay));
  });
  return Math.round(Math.min(...away));
};
