import { geoPath } from 'd3-geo';
import { feature } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';
import type { Plane } from './map-plane.ts';

type Polygon = number[][][];
type Box = [west: number, south: number, east: number, north: number];

/** Land as polygons with the boxes they lie in (Natural Earth, in the public domain). */
export interface Land {
  polygon: Polygon;
  box: Box;
}

const boxOf = ([outer = []]: Polygon): Box => {
  const box: Box = [180, 90, -180, -90];
  for (const [lng = 0, lat = 0] of outer) {
    box[0] = Math.min(box[0], lng);
    box[1] = Math.min(box[1], lat);
    box[2] = Math.max(box[2], lng);
    box[3] = Math.max(box[3], lat);
  }
  return box;
};

const read = async (): Promise<Land[]> => {
  const { default: data } = await import('world-atlas/land-10m.json');
  const topology = data as unknown as Topology<{ land: GeometryCollection }>;
  return feature(topology, topology.objects.land)
    .features.flatMap(({ geometry }) =>
      geometry.type === 'MultiPolygon'
        ? geometry.coordinates
        : geometry.type === 'Polygon'
          ? [geometry.coordinates]
          : [],
    )
    .map((polygon) => ({ polygon, box: boxOf(polygon) }));
};

let land: Promise<Land[]> | undefined;

/** All land of the earth, read once, when a map of a neighbourhood is first drawn. */
export const readLand = (): Promise<Land[]> => (land ??= read());

/** The land that a plane shows, as one path. */
export const landPath = (lands: readonly Land[], { projection, width, height }: Plane): string => {
  const [west = -180, north = 90] = projection.invert?.([0, 0]) ?? [];
  const [east = 180, south = -90] = projection.invert?.([width, height]) ?? [];
  const seen = lands.filter(
    ({ box }) => box[0] <= east && box[2] >= west && box[1] <= north && box[3] >= south,
  );
  const coordinates = seen.map(({ polygon }) => polygon);
  return geoPath(projection).digits(1)({ type: 'MultiPolygon', coordinates }) ?? '';
};
