import fc from 'fast-check';
import { parcelView, type Standing } from './parcel-view.ts';

const cube = (x: number, y: number, z: number, sort: number): Standing => ({
  x,
  y,
  z,
  sort,
  size: { length: 10, width: 10, height: 10 },
});
const box = { length: 30, width: 30, height: 30 };

test('a box is drawn with what is behind first', () => {
  const order = (cubes: Standing[]) =>
    parcelView(box, cubes, 1)
      .faces.filter(({ side }) => side === 'top')
      .map(({ sort }) => sort);
  expect(order([cube(20, 20, 0, 3), cube(0, 0, 0, 1), cube(10, 10, 0, 2)])).toEqual([1, 2, 3]);
  expect(order([cube(0, 0, 10, 2), cube(0, 0, 0, 1)])).toEqual([1, 2]);
  expect(order([cube(10, 0, 0, 2), cube(0, 0, 0, 1), cube(0, 10, 0, 3)])[0]).toBe(1);
});

test('every unit has its three faces inside the picture, whatever lies where', () => {
  const at = fc.integer({ min: 0, max: 2 }).map((step) => step * 10);
  fc.assert(
    fc.property(fc.uniqueArray(fc.tuple(at, at, at), { selector: String, maxLength: 12 }), (spots) => {
      const view = parcelView(
        box,
        spots.map(([x, y, z], sort) => cube(x, y, z, sort)),
        2,
      );
      expect(view.faces).toHaveLength(spots.length * 3);
      for (const { points } of view.faces)
        for (const point of points.split(' ')) {
          const [x = -1, y = -1] = point.split(',').map(Number);
          expect(x).toBeGreaterThanOrEqual(0);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(view.width + 0.1);
          expect(y).toBeLessThanOrEqual(view.height + 0.1);
        }
    }),
  );
});
