import { z } from 'zod';
import { fault, type Result } from '../model/fault.ts';
import type { DeliveryArea, Position } from '../model/delivery.ts';
import { parseWith } from '../model/schema-fault.ts';

/** Shapes of areas in and out of GeoJSON (RFC 7946). */

const positionSchema = z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)]).rest(z.number());
/** The most corners of a shape; in a file the first stands again at the end. */
const MOST_CORNERS = 10_000;
const ringSchema = z
  .array(positionSchema)
  .min(4)
  .max(MOST_CORNERS + 1);
const polygonSchema = z.object({ type: z.literal('Polygon'), coordinates: z.array(ringSchema).min(1) });
const multiSchema = z.object({
  type: z.literal('MultiPolygon'),
  coordinates: z.array(z.array(ringSchema).min(1)),
});
const otherSchema = z.object({
  type: z.enum(['Point', 'MultiPoint', 'LineString', 'MultiLineString', 'GeometryCollection']),
});
const geometrySchema = z.discriminatedUnion('type', [polygonSchema, multiSchema, otherSchema]);
const featureSchema = z.object({
  type: z.literal('Feature'),
  geometry: geometrySchema.nullable(),
  properties: z.record(z.string(), z.unknown()).nullish(),
});
const fileSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('FeatureCollection'), features: z.array(featureSchema).max(1_000) }),
  featureSchema,
  polygonSchema,
  multiSchema,
]);

type Feature = z.infer<typeof featureSchema>;

/** A shape read from a file, with the name that it has there. */
export interface ReadShape {
  name: string | null;
  ring: Position[];
  /** Whether the file has holes in it, which a delivery area has not. */
  hasHoles: boolean;
}

const sameEnds = (ring: readonly Position[]): boolean => {
  const [first, last] = [ring[0], ring.at(-1)];
  return first !== undefined && last !== undefined && first[0] === last[0] && first[1] === last[1];
};

const shapeOf = (name: string | null, rings: z.infer<typeof ringSchema>[]): ReadShape[] => {
  const [outer, ...holes] = rings;
  if (!outer) return [];
  const ring = outer.map(([lng, lat]): Position => [lng, lat]);
  return [{ name, ring: sameEnds(ring) ? ring.slice(0, -1) : ring, hasHoles: holes.length > 0 }];
};

const featuresOf = (file: z.infer<typeof fileSchema>): Feature[] => {
  if (file.type === 'FeatureCollection') return file.features;
  if (file.type === 'Feature') return [file];
  return [{ type: 'Feature', geometry: file }];
};

/**
 * The polygons of a GeoJSON file, each with its name. Faults: it is no GeoJSON, or holds no polygon. Points and lines
 * are passed over; of a polygon with holes the outer edge is taken.
 */
export const readShapes = (value: unknown): Result<ReadShape[]> => {
  const file = parseWith(fileSchema, value);
  if (!file.ok) return file;
  const shapes = featuresOf(file.value).flatMap(({ geometry, properties }) => {
    const name = typeof properties?.name === 'string' ? properties.name.trim().slice(0, 120) || null : null;
    if (geometry?.type === 'Polygon') return shapeOf(name, geometry.coordinates);
    return geometry?.type === 'MultiPolygon'
      ? geometry.coordinates.flatMap((rings) => shapeOf(name, rings))
      : [];
  });
  const isTooLong = shapes.some(({ ring }) => ring.length > MOST_CORNERS);
  if (isTooLong) return { ok: false, faults: [fault('too-long', '', { limit: MOST_CORNERS, of: 'array' })] };
  return shapes.length > 0 ? { ok: true, value: shapes } : { ok: false, faults: [fault('no-shape', '')] };
};

/** Whether a ring runs against the clock, as the outer edge of a polygon does in GeoJSON. */
const runsAgainstClock = (ring: readonly Position[]): boolean =>
  ring.reduce((sum, [x, y], at) => {
    const [nextX, nextY] = ring[(at + 1) % ring.length] as Position;
    return sum + (x * nextY - nextX * y);
  }, 0) > 0;

/** The areas that are shapes as a GeoJSON file, each a polygon with its name. */
export const shapesText = (areas: readonly Pick<DeliveryArea, 'name' | 'covers'>[]): string => {
  const features = areas.flatMap(({ name, covers }) => {
    if (covers.kind !== 'shape') return [];
    const ring = runsAgainstClock(covers.ring) ? covers.ring : [...covers.ring].reverse();
    const closed = sameEnds(ring) ? ring : [...ring, ring[0]];
    const geometry = { type: 'Polygon', coordinates: [closed] };
    return [{ type: 'Feature', properties: { name }, geometry }];
  });
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
};
