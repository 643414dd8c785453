import type { DeliveryArea } from '../model/delivery.ts';
import { indexAreas } from '../place/area-index.ts';
import { makeArea, makeYard, northOfYard, YARD_POINT } from '../testing/book.ts';
import { nearbyCodes, postalAreasIn, postalAreasNear } from './neighbourhood.ts';
import type { PostalArea } from './postal-reach.ts';

const area = (code: string, metres: number): PostalArea => ({ code, name: code, point: northOfYard(metres) });
/** Postal areas a kilometre apart, northward from the yard. */
const LINE = [area('B3A', 0), area('B3B', 1_000), area('B3C', 2_000), area('B3D', 3_000), area('B3E', 4_000)];
const radius = (metres: number): DeliveryArea => makeArea({ covers: { kind: 'radius', metres } });
const codes = (areas: readonly PostalArea[]): string[] => areas.map(({ code }) => code);

describe('what a coverage that is drawn does to postal areas', () => {
  test('holds those as a whole that lie further inside than half the way to the next', () => {
    const found = postalAreasIn(radius(2_600), YARD_POINT, LINE);
    expect(codes(found.whole)).toEqual(['B3A', 'B3B', 'B3C']);
    expect(codes(found.cut)).toEqual(['B3D']);
  });

  test('cuts through one whose middle lies just inside, too', () => {
    const found = postalAreasIn(radius(3_200), YARD_POINT, LINE);
    expect(codes(found.whole)).toEqual(['B3A', 'B3B', 'B3C']);
    expect(codes(found.cut)).toEqual(['B3D']);
  });

  test('is the same for a shape', () => {
    const { lat, lng } = YARD_POINT;
    const north = northOfYard(2_600).lat;
    const ring: [number, number][] = [
      [lng - 0.1, lat - 0.1],
      [lng + 0.1, lat - 0.1],
      [lng + 0.1, north],
      [lng - 0.1, north],
    ];
    const found = postalAreasIn(makeArea({ covers: { kind: 'shape', ring } }), YARD_POINT, LINE);
    expect(codes(found.whole)).toEqual(['B3A', 'B3B', 'B3C']);
    expect(codes(found.cut)).toEqual(['B3D']);
  });

  test('is nothing for a list of codes, nor for a radius about an unknown point', () => {
    expect(postalAreasIn(makeArea(), YARD_POINT, LINE)).toEqual({ whole: [], cut: [] });
    expect(postalAreasIn(radius(9_000), undefined, LINE)).toEqual({ whole: [], cut: [] });
  });
});

test('the neighbourhood is what lies near any location, nearest first', () => {
  const far = area('B4A', 70_000);
  expect(codes(postalAreasNear([makeYard()], [far, ...[...LINE].reverse()], 3_000))).toEqual([
    'B3A',
    'B3B',
    'B3C',
    'B3D',
  ]);
  expect(postalAreasNear([makeYard({ address: { country: 'CA' } })], LINE, 3_000)).toEqual([]);
});

test('each postal area says who takes it, and who covers it besides', () => {
  const listed = makeArea({
    id: 'listed',
    covers: { kind: 'postal', country: 'CA', patterns: ['B3A*', 'B3B*'] },
  });
  const ring = { ...radius(2_000), id: 'ring' };
  const found = nearbyCodes(indexAreas([listed, ring], [makeYard()]), 'CA', LINE);
  expect(
    found.map(({ postal, takes, also }) => [
      postal.code,
      takes.map(({ id }) => id).join(),
      also.map(({ id }) => id).join(),
    ]),
  ).toEqual([
    ['B3A', 'listed', 'ring'],
    ['B3B', 'listed', 'ring'],
    ['B3C', 'ring', ''],
    ['B3D', '', ''],
    ['B3E', '', ''],
  ]);
});
