import fc from 'fast-check';
import type { DeliveryArea, Position } from '../model/delivery.ts';
import { makeArea, makeYard, northOfYard, YARD_POINT } from '../testing/book.ts';
import { areasAt, bestAreas, indexAreas, metresOutside } from './area-index.ts';
import { placeOf } from './place.ts';
import { metresToRing, ringHolds } from './ring.ts';

const SQUARE: Position[] = [
  [-63.7, 44.6],
  [-63.5, 44.6],
  [-63.5, 44.7],
  [-63.7, 44.7],
];
const at = (postalCode: string) => placeOf({ country: 'CA', postalCode });
const names = (areas: DeliveryArea[], code: string, point?: { lat: number; lng: number }): string[] =>
  areasAt(indexAreas(areas, [makeYard()]), at(code), point).map(({ area }) => area.id);

const listed = (id: string, ...patterns: string[]): DeliveryArea =>
  makeArea({ id, covers: { kind: 'postal', country: 'CA', patterns } });
const radius = (id: string, metres: number): DeliveryArea =>
  makeArea({ id, covers: { kind: 'radius', metres } });
const shape = (id: string, ring: Position[] = SQUARE): DeliveryArea =>
  makeArea({ id, covers: { kind: 'shape', ring } });

describe('the areas that cover a destination', () => {
  test('are in order: an exact code, a longer pattern, a shape, a smaller radius, then as listed', () => {
    const areas = [
      radius('far', 9_000),
      radius('near', 3_000),
      shape('drawn'),
      listed('letter', 'B*'),
      listed('code', 'B3K 1A1'),
      listed('part', 'B3K*'),
      listed('twin', 'B3K*'),
    ];
    expect(names(areas, 'b3k 1a1', northOfYard(1_000))).toEqual([
      'code',
      'part',
      'twin',
      'letter',
      'drawn',
      'near',
      'far',
    ]);
  });

  test('of a radius reach to its very edge and no further', () => {
    const point = (metres: number) => northOfYard(metres);
    expect(names([radius('ring', 2_000)], 'B3K1A1', point(1_999))).toEqual(['ring']);
    expect(names([radius('ring', 2_000)], 'B3K1A1', point(2_000))).toEqual(['ring']);
    expect(names([radius('ring', 2_000)], 'B3K1A1', point(2_001))).toEqual([]);
  });

  test('of a shape include its edge and its corners', () => {
    const inside = (lng: number, lat: number): boolean => ringHolds(SQUARE, { lng, lat });
    expect([inside(-63.6, 44.65), inside(-63.7, 44.65), inside(-63.5, 44.7), inside(-63.6, 44.6)]).toEqual([
      true,
      true,
      true,
      true,
    ]);
    expect([inside(-63.7000001, 44.65), inside(-63.6, 44.7000001)]).toEqual([false, false]);
  });

  test('without a point are those of lists alone; one that is switched off is none', () => {
    expect(names([radius('r', 9_000), shape('s'), listed('l', 'B3K*')], 'B3K1A1')).toEqual(['l']);
    expect(names([{ ...listed('l', 'B3K*'), active: false }], 'B3K1A1')).toEqual([]);
  });

  test('agree with asking every ring and radius one by one', () => {
    const corner = fc.tuple(
      fc.integer({ min: -637, max: -635 }).map((n) => n / 10),
      fc.integer({ min: 446, max: 448 }).map((n) => n / 10),
    );
    const drawn = fc.oneof(
      fc.array(corner, { minLength: 3, maxLength: 6 }).map((ring) => ({ kind: 'shape' as const, ring })),
      fc.integer({ min: 0, max: 20_000 }).map((metres) => ({ kind: 'radius' as const, metres })),
    );
    fc.assert(
      fc.property(fc.array(drawn, { maxLength: 30 }), corner, (all, [lng, lat]) => {
        const areas = all.map((covers, n) => makeArea({ id: `a${n}`, covers }));
        const point = { lng, lat };
        const plain = areas
          .filter((area) =>
            area.covers.kind === 'shape'
              ? ringHolds(area.covers.ring, point)
              : (metresOutside(area, YARD_POINT, point) as number) <= 0,
          )
          .map(({ id }) => id)
          .sort();
        expect([...names(areas, 'X1', point)].sort()).toEqual(plain);
      }),
      { numRuns: 200 },
    );
  });

  test('give each location its best', () => {
    const areas = [
      listed('wide', 'B*'),
      { ...listed('stall', 'B3*'), locationId: 'stall' },
      listed('close', 'B3K*'),
    ];
    const found = areasAt(indexAreas(areas, [makeYard()]), at('B3K1A1'), undefined);
    expect([...bestAreas(found)].map(([where, { area, because }]) => [where, area.id, because])).toEqual([
      ['yard', 'close', 'B3K*'],
      ['stall', 'stall', 'B3*'],
    ]);
  });
});

test('the way to a ring is measured to its nearest edge', () => {
  expect(metresToRing(SQUARE, { lng: -63.6, lat: 44.71 })).toBe(1_112);
  expect(metresOutside(radius('r', 2_000), YARD_POINT, northOfYard(2_300))).toBe(300);
  expect(metresOutside(listed('l', 'B3*'), YARD_POINT, northOfYard(1))).toBeNull();
});
