import { geoNaturalEarth1, geoPath, type GeoPath, type GeoProjection } from 'd3-geo';
import { feature } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';
import atlas from 'world-atlas/countries-110m.json';
import { MAP_HEIGHT, MAP_WIDTH } from './map-plane.ts';

/** A country or a subdivision on the map's plane. */
export interface Shape {
  code: string;
  path: string;
  centre: [number, number];
  area: number;
}

const ANTARCTICA = '010';
const topology = atlas as unknown as Topology<{ countries: GeometryCollection }>;
const world = feature(topology, topology.objects.countries);
const drawn = { ...world, features: world.features.filter(({ id }) => id !== ANTARCTICA) };
const projection: GeoProjection = geoNaturalEarth1().fitSize([MAP_WIDTH, MAP_HEIGHT], drawn);

const shapeOf = (path: GeoPath, code: string, one: Parameters<GeoPath>[0]): Shape[] => {
  const text = path(one);
  return text ? [{ code, path: text, centre: path.centroid(one), area: path.area(one) }] : [];
};

/** The outlines of the countries by the map's numbers; drawn when first asked for, since they never change. */
let outlines: Shape[] | null = null;
const outlinesDrawn = (): Shape[] => {
  const path = geoPath(projection).digits(1);
  outlines ??= drawn.features.flatMap((one) => shapeOf(path, String(one.id), one));
  return outlines;
};

/** The outlines of the countries, by the codes that the map's numbers stand for. */
export const worldShapes = (byNumber: Readonly<Record<string, string>>): Shape[] =>
  outlinesDrawn().flatMap((shape) => {
    const code = byNumber[shape.code];
    return code === undefined ? [] : [{ ...shape, code }];
  });

let subdivisions: ReadonlyMap<string, Shape[]> | null = null;

/** The outlines of all subdivisions that the shipped map has (Natural Earth, in the public domain), by country. */
export const subdivisionShapes = async (): Promise<ReadonlyMap<string, Shape[]>> => {
  if (subdivisions) return subdivisions;
  const { default: data } = await import('../../places/subdivisions.json');
  const { objects, ...rest } = data as unknown as Topology<{ subdivisions: GeometryCollection }>;
  const path = geoPath(projection).digits(2);
  const shapes = new Map<string, Shape[]>();
  for (const one of feature({ objects, ...rest }, objects.subdivisions).features) {
    const code = String(one.id);
    const country = code.slice(0, 2);
    shapes.set(country, [...(shapes.get(country) ?? []), ...shapeOf(path, code, one)]);
  }
  subdivisions = shapes;
  return shapes;
};
