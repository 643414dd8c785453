import fc from 'fast-check';
import { multiplyDivide, pointsOf, toMultiple } from './rounding.ts';

test('halves are rounded away from zero, on either side and whichever number is below it', () => {
  expect([multiplyDivide(5, 1, 2), multiplyDivide(-5, 1, 2)]).toEqual([3, -3]);
  expect([multiplyDivide(5, 1, -2), multiplyDivide(-5, 1, -2)]).toEqual([-3, 3]);
  expect([multiplyDivide(7, 1, 5), multiplyDivide(-7, 1, 5), multiplyDivide(8, 1, 5)]).toEqual([1, -1, 2]);
  expect([multiplyDivide(0, 9, 5), multiplyDivide(0, 9, -5)]).toEqual([0, 0]);
});

test('what is too large for a number is exact', () => {
  const large = 9_007_199_254_740_991;
  expect(multiplyDivide(large, 10_000, 10_000)).toBe(large);
  expect(multiplyDivide(-large, 3, 3)).toBe(-large);
  expect(multiplyDivide(large, 3, -3)).toBe(-large);
});

test('it agrees with exact arithmetic', () => {
  const whole = fc.integer({ min: -1_000_000_000, max: 1_000_000_000 });
  const divisor = fc.integer({ min: -1_000_000, max: 1_000_000 }).filter((c) => c !== 0);
  fc.assert(
    fc.property(whole, fc.nat(9_000_000), divisor, (a, b, c) => {
      const product = BigInt(a) * BigInt(b);
      const [top, bottom] = [product, BigInt(c)].map((one) => (one < 0n ? -one : one)) as [bigint, bigint];
      const half = (2n * top + bottom) / (2n * bottom);
      const isBelow = product < 0n !== c < 0;
      expect(multiplyDivide(a, b, c) + 0).toBe(Number(isBelow ? -half : half) + 0);
    }),
  );
});

test('basis points, and multiples at or nearest to an amount', () => {
  expect([pointsOf(1_995, 1_000), pointsOf(1_994, 1_000), pointsOf(-1_995, 1_000)]).toEqual([200, 199, -200]);
  expect([toMultiple(101, 50, 'up'), toMultiple(100, 50, 'up'), toMultiple(0, 50, 'up')]).toEqual([
    150, 100, 0,
  ]);
  expect([toMultiple(124, 50, 'nearest'), toMultiple(125, 50, 'nearest')]).toEqual([100, 150]);
});
