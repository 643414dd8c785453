import fc from 'fast-check';
import { metresBetween } from '../place/distance.ts';
import { postalReach, type PostalArea } from './postal-reach.ts';

const middle = fc.record({
  lat: fc.double({ min: -80, max: 80, noNaN: true }),
  lng: fc.integer({ min: -30, max: 30 }),
});

test('an area reaches half the way to the nearest other one, however they lie', () => {
  fc.assert(
    fc.property(fc.array(middle, { maxLength: 30 }), (points) => {
      const all = points.map((point, at): PostalArea => ({ code: String(at), name: '', point }));
      for (const one of all) {
        const others = all.filter((other) => other !== one);
        const nearest = Math.min(...others.map((other) => metresBetween(one.point, other.point)));
        expect(postalReach(one, all)).toBe(others.length === 0 ? 0 : nearest / 2);
      }
    }),
  );
});

test('one of two under one code is no neighbour of the other', () => {
  const here = { lat: 44, lng: -63 };
  const all: PostalArea[] = [
    { code: 'A', name: '', point: here },
    { code: 'A', name: '', point: { lat: 44.01, lng: -63 } },
  ];
  expect(all.map((one) => postalReach(one, all))).toEqual([0, 0]);
});

test('an area that is alone reaches nowhere', () => {
  expect(postalReach({ code: 'A', name: '', point: { lat: 1, lng: 1 } }, [])).toBe(0);
});
