import fc from 'fast-check';
import type { Position } from '../model/delivery.ts';
import { makeArea } from '../testing/book.ts';
import { locatedSentence } from '../words/fault-sentence.ts';
import { readShapes, shapesText } from './area-geojson.ts';
import { roundCells, roundGeoJson, roundSheet, type RoundStop } from './round-files.ts';
import { makeRequest, YARD_POINT, northOfYard } from '../testing/book.ts';

const SQUARE: Position[] = [
  [-63.7, 44.6],
  [-63.5, 44.6],
  [-63.5, 44.7],
  [-63.7, 44.7],
];
const closed = [...SQUARE, SQUARE[0]];
const polygon = (coordinates: unknown[]) => ({ type: 'Polygon', coordinates });
const feature = (geometry: unknown, properties: unknown = null) => ({
  type: 'Feature',
  properties,
  geometry,
});
const said = (value: unknown): string => {
  const read = readShapes(value);
  return read.ok ? '' : read.faults.map(locatedSentence).join(' ');
};

describe('shapes out of GeoJSON', () => {
  test.each([
    ['a polygon', polygon([closed])],
    ['a feature', feature(polygon([closed]))],
    ['a collection', { type: 'FeatureCollection', features: [feature(polygon([closed]))] }],
    ['a polygon of many', { type: 'MultiPolygon', coordinates: [[closed]] }],
  ])('are read from %s, the last corner that repeats the first left out', (_what, value) => {
    expect(readShapes(value)).toEqual({ ok: true, value: [{ name: null, ring: SQUARE, hasHoles: false }] });
  });

  test('have their names, heights left out, holes told; points are passed over', () => {
    const high = closed.map((corner) => [...(corner ?? []), 12]);
    const features = [
      feature({ type: 'Point', coordinates: [0, 0] }),
      feature(polygon([high, closed]), { name: ' North End ' }),
      feature(null),
    ];
    expect(readShapes({ type: 'FeatureCollection', features })).toEqual({
      ok: true,
      value: [{ name: 'North End', ring: SQUARE, hasHoles: true }],
    });
  });

  test('that are none are refused with where and why', () => {
    expect(said(feature({ type: 'Point', coordinates: [0, 0] }))).toBe(
      'The file has no polygon, which an area needs.',
    );
    expect(
      said(
        polygon([
          [
            [0, 0],
            [1, 1],
            [0, 0],
          ],
        ]),
      ),
    ).toContain('coordinates');
    expect(said({ type: 'Topology' })).not.toBe('');
    expect(
      said(
        polygon([
          [
            [0, 95],
            [1, 1],
            [2, 2],
            [0, 95],
          ],
        ]),
      ),
    ).toContain('coordinates');
  });

  test('go out and come in the same, wound against the clock and closed', () => {
    const corner = fc.tuple(fc.integer({ min: -90, max: 90 }), fc.integer({ min: -80, max: 80 }));
    fc.assert(
      fc.property(fc.uniqueArray(corner, { minLength: 3, maxLength: 9, selector: String }), (ring) => {
        const text = shapesText([makeArea({ name: 'Drawn', covers: { kind: 'shape', ring } }), makeArea()]);
        const read = readShapes(JSON.parse(text));
        if (!read.ok) throw new Error('a shape that was written was not read');
        const [shape] = read.value;
        expect(read.value).toHaveLength(1);
        expect(shape?.name).toBe('Drawn');
        expect([shape?.ring, [...(shape?.ring ?? [])].reverse()]).toContainEqual(ring);
      }),
    );
  });
});

describe('a delivery round in files', () => {
  const stop = (number: string, metres: number): RoundStop => ({
    order: {
      number,
      request: makeRequest({
        destination: { country: 'CA', postalCode: 'B3H', city: 'Halifax', lines: ['4 Tide Lane'] },
      }),
      chosen: { id: 'ring:van', kind: 'delivery', name: 'Van', charge: 0, total: 0 },
      status: 'packed',
      history: [{ status: 'placed', at: '2026-11-24T10:15:00-04:00' }],
      recipient: 'Ines Varga',
    },
    point: northOfYard(metres),
    metres,
  });
  const stops = [stop('7', 100), stop('8', 250)];

  test('is a line of the table for each stop', () => {
    const cells = roundCells(stops)(stops[1] as RoundStop);
    expect(cells).toHaveLength(roundSheet().length);
    expect(cells.slice(0, 6)).toEqual(['2', '8', 'Ines Varga', '4 Tide Lane', 'B3H', 'Halifax']);
    expect(cells.at(-1)).toBe('250');
  });

  test('is a way there and back, and a point for each stop', () => {
    const { features } = JSON.parse(roundGeoJson(YARD_POINT, stops)) as {
      features: { geometry: { type: string; coordinates: number[][] }; properties: { order?: string } }[];
    };
    expect(features.map(({ geometry }) => geometry.type)).toEqual(['LineString', 'Point', 'Point']);
    expect(features[0]?.geometry.coordinates).toHaveLength(4);
    expect(features[0]?.geometry.coordinates[0]).toEqual(features[0]?.geometry.coordinates.at(-1));
    expect(features[2]?.properties.order).toBe('8');
  });
});
