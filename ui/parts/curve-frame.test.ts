import fc from 'fast-check';
import { tiersCurve } from '../../core/price/curve.ts';
import { curveFrame, curvePath, fallPath } from './curve-frame.ts';

const tiers = (...pairs: [from: number, amount: number][]) =>
  tiersCurve(
    {
      kind: 'steps',
      basis: 'weight',
      per: 'order',
      steps: pairs.map(([from, amount]) => ({ from, amount })),
    },
    0,
  );

describe('the frame of a curve', () => {
  test('holds every point of it, whatever its figures', () => {
    const step = fc.tuple(fc.nat(50_000), fc.nat(100_000));
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 120, max: 900 }),
        (pairs, width) => {
          const curve = tiers(...pairs);
          if (!curve) throw new Error('tiers are a line');
          const frame = curveFrame(curve, width, 200);
          for (const { from, to, start, end } of curve.pieces) {
            for (const x of [frame.x(from), frame.x(to)]) {
              expect(x).toBeGreaterThanOrEqual(frame.left);
              expect(x).toBeLessThanOrEqual(frame.right + 0.001);
            }
            for (const y of [frame.y(start), frame.y(end)]) {
              expect(y).toBeGreaterThanOrEqual(frame.top);
              expect(y).toBeLessThanOrEqual(frame.bottom);
            }
          }
        },
      ),
    );
  });

  test('labels the steps that have room, from the left, and the end', () => {
    const curve = tiers([0, 850], [500, 900], [5_000, 1_550], [20_000, 2_400]);
    const { values } = curveFrame(curve!, 400, 200);
    expect(values.map(({ value }) => value)).toEqual([0, 5_000, 20_000, 30_000]);
  });

  test('draws the part that falls apart from the rest', () => {
    const curve = tiers([0, 1_000], [5_000, 500], [10_000, 2_000]);
    const frame = curveFrame(curve!, 400, 200);
    expect(curvePath(frame, curve!).match(/[ML]/g)).toHaveLength(6);
    expect(fallPath(frame, curve!, 1).startsWith(`M${frame.x(5_000)} ${frame.y(500)}`)).toBe(true);
    expect(fallPath(frame, curve!, 1).match(/[ML]/g)).toHaveLength(2);
  });
});
