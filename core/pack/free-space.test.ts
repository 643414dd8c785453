import fc from 'fast-check';
import { FreeSpace } from './free-space.ts';

type Cuboid = readonly [x0: number, y0: number, z0: number, x1: number, y1: number, z1: number];

const SIDE = 6;
const CELLS = Array.from({ length: SIDE ** 3 }, (_, at) => [
  at % SIDE,
  Math.floor(at / SIDE) % SIDE,
  Math.floor(at / SIDE ** 2),
]);

const holdsCell = ([x0, y0, z0, x1, y1, z1]: Cuboid, [x = 0, y = 0, z = 0]: readonly number[]): boolean =>
  x >= x0 && x < x1 && y >= y0 && y < y1 && z >= z0 && z < z1;
const spacesOf = (free: FreeSpace): Cuboid[] =>
  Array.from({ length: free.count }, (_, at) => [
    free.side(at, 0),
    free.side(at, 1),
    free.side(at, 2),
    free.side(at, 3),
    free.side(at, 4),
    free.side(at, 5),
  ]);
const holds = (outer: Cuboid, inner: Cuboid): boolean =>
  outer.every((side, at) => (at < 3 ? side <= (inner[at] as number) : side >= (inner[at] as number)));

const span = fc
  .tuple(fc.integer({ min: 0, max: SIDE - 1 }), fc.integer({ min: 1, max: 3 }))
  .map(([from, extent]) => [from, Math.min(SIDE, from + extent)] as const);
const cuboid = fc
  .tuple(span, span, span)
  .map(([[x0, x1], [y0, y1], [z0, z1]]): Cuboid => [x0, y0, z0, x1, y1, z1]);

describe('what is free in a container', () => {
  test('is every cell that nothing took, and no other', () => {
    fc.assert(
      fc.property(fc.array(cuboid, { maxLength: 5 }), (taken) => {
        const free = new FreeSpace(SIDE, SIDE, SIDE);
        for (const [x0, y0, z0, x1, y1, z1] of taken) free.take(x0, y0, z0, x1, y1, z1, 1);
        const spaces = spacesOf(free);
        for (const cell of CELLS)
          expect(spaces.some((space) => holdsCell(space, cell))).toBe(
            !taken.some((one) => holdsCell(one, cell)),
          );
      }),
      { numRuns: 80 },
    );
  });

  test('is told in cuboids none of which holds another, and drops what is too thin', () => {
    fc.assert(
      fc.property(fc.array(cuboid, { maxLength: 5 }), fc.integer({ min: 1, max: 3 }), (taken, least) => {
        const free = new FreeSpace(SIDE, SIDE, SIDE);
        for (const [x0, y0, z0, x1, y1, z1] of taken) free.take(x0, y0, z0, x1, y1, z1, least);
        const spaces = spacesOf(free);
        spaces.forEach((space, at) => {
          for (const axis of [0, 1, 2])
            expect((space[axis + 3] as number) - (space[axis] as number)).toBeGreaterThanOrEqual(least);
          expect(spaces.some((other, there) => there !== at && holds(other, space))).toBe(false);
        });
      }),
      { numRuns: 80 },
    );
  });

  test('that lies nearest to a corner comes first, of equals the greatest', () => {
    const free = new FreeSpace(10, 10, 10);
    expect(free.nearest()).toBe(0);
    free.take(0, 0, 0, 4, 10, 10, 1);
    const at = free.nearest();
    expect([free.side(at, 0), free.side(at, 3)]).toEqual([4, 10]);
    free.remove(at);
    expect([free.count, free.nearest()]).toEqual([0, -1]);
  });
});
