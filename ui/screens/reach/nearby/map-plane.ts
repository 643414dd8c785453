import { geoCircle, geoMercator, geoPath, type GeoProjection } from 'd3-geo';
import type { Destination } from '../../../../core/model/place.ts';
import type { MapBook } from './map-book.ts';
import { METRES_A_DEGREE } from '../../../../core/place/ring.ts';

export type Point = NonNullable<Destination['point']>;

/** What part of the neighbourhood is shown: its middle, and metres to a pixel. */
export interface NearView {
  middle: Point;
  metresAPixel: number;
}

export interface Plane {
  width: number;
  height: number;
  view: NearView;
  projection: GeoProjection;
}

const EARTH_RADIUS = METRES_A_DEGREE * (180 / Math.PI);
export const MOST_METRES = 2_000;
const LEAST_METRES = 2;

/** The plane of a view: a map whose middle is to scale. */
export const planeOf = (view: NearView, width: number, height: number): Plane => {
  const { lat, lng } = view.middle;
  const scale = (EARTH_RADIUS * Math.cos((lat * Math.PI) / 180)) / view.metresAPixel;
  const projection = geoMercator()
    .center([lng, lat])
    .scale(scale)
    .translate([width / 2, height / 2])
    .clipExtent([
      [-4, -4],
      [width + 4, height + 4],
    ]);
  return { width, height, view, projection };
};

/** Where a point lies on the plane, in pixels. */
export const at = ({ projection }: Plane, { lat, lng }: Point): [number, number] =>
  projection([lng, lat]) ?? [0, 0];

/** The point under a pixel of the plane, to five decimals. */
export const pointAt = ({ projection }: Plane, x: number, y: number): Point => {
  const [lng, lat] = projection.invert?.([x, y]) ?? [0, 0];
  const round = (degrees: number): number => Math.round(degrees * 100_000) / 100_000;
  return { lat: round(lat), lng: round(lng) };
};

/** A circle of so many metres about a point, as a path on the plane. */
export const circlePath = ({ projection }: Plane, { lat, lng }: Point, metres: number): string =>
  geoPath(projection)(
    geoCircle()
      .center([lng, lat])
      .radius(metres / METRES_A_DEGREE)
      .precision(2)(),
  ) ?? '';

const LEAST_ACROSS = 1_500;
const ROOM = 1.35;

/** The view that holds some points, with room about them. */
export const viewOfPoints = (points: readonly Point[], width: number, height: number): NearView => {
  const lats = points.map(({ lat }) => lat);
  const lngs = points.map(({ lng }) => lng);
  const middle = {
    lat: (Math.min(...lats) + Math.max(...lats)) / 2,
    lng: (Math.min(...lngs) + Math.max(...lngs)) / 2,
  };
  const tall = (Math.max(...lats) - Math.min(...lats)) * METRES_A_DEGREE;
  const wide =
    (Math.max(...lngs) - Math.min(...lngs)) * METRES_A_DEGREE * Math.cos((middle.lat * Math.PI) / 180);
  const scale = Math.max(tall / height, wide / Math.max(width, 1), LEAST_ACROSS / height);
  return { middle, metresAPixel: scale * ROOM };
};

/** The view that holds all that the book draws nearby, with room about it. */
export const wholeView = ({ locations, areas }: MapBook, width: number, height: number): NearView => {
  const points = locations.flatMap(({ address }) => address.point ?? []);
  const rings = areas.flatMap(({ covers }) =>
    covers.kind === 'shape' ? covers.ring.map(([lng, lat]) => ({ lat, lng })) : [],
  );
  const all = [...points, ...rings];
  const first = all[0];
  if (!first) return { middle: { lat: 0, lng: 0 }, metresAPixel: MOST_METRES };
  const lats = all.map(({ lat }) => lat);
  const lngs = all.map(({ lng }) => lng);
  const middle = {
    lat: (Math.min(...lats) + Math.max(...lats)) / 2,
    lng: (Math.min(...lngs) + Math.max(...lngs)) / 2,
  };
  const radii = areas.map(({ covers }) => (covers.kind === 'radius' ? covers.metres : 0));
  const tall = (Math.max(...lats) - Math.min(...lats)) * METRES_A_DEGREE;
  const wide =
    (Math.max(...lngs) - Math.min(...lngs)) * METRES_A_DEGREE * Math.cos((middle.lat * Math.PI) / 180);
  const across = Math.max(4_000, tall, wide, 2 * Math.max(0, ...radii)) * 1.15;
  return { middle, metresAPixel: across / Math.min(width, height) };
};

/** A view so many times larger about its middle. */
export const zoomed = ({ middle, metresAPixel }: NearView, by: number): NearView => ({
  middle,
  metresAPixel: Math.min(MOST_METRES, Math.max(LEAST_METRES, metresAPixel / by)),
});

/** A view whose middle is so many pixels away. */
export const moved = (plane: Plane, dx: number, dy: number): NearView => ({
  ...plane.view,
  middle: pointAt(plane, plane.width / 2 + dx, plane.height / 2 + dy),
});
