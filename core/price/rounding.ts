/**
 * Named rounding: every division of money is rounded half away from zero to a minor unit, once, at
 * the end of the step that divides.
 */

const exactRounded = (a: bigint, b: bigint, c: bigint): number => {
  const product = a * b;
  const sign = product < 0n !== c < 0n ? -1n : 1n;
  const top = product < 0n ? -product : product;
  const bottom = c < 0n ? -c : c;
  return Number(sign * ((2n * top + bottom) / (2n * bottom)));
};

/** `a × b ÷ c` rounded half away from zero. All are integers, c is not 0; exact whatever the size of the product. */
export const multiplyDivide = (a: number, b: number, c: number): number => {
  const product = a * b;
  if (!Number.isSafeInteger(product * 2) || c < 0) return exactRounded(BigInt(a), BigInt(b), BigInt(c));
  const top = Math.abs(product);
  const rest = top % c;
  const whole = (top - rest) / c + (rest * 2 >= c ? 1 : 0);
  return product < 0 ? 0 - whole : whole;
};

/** So many basis points of an amount. */
export const pointsOf = (amount: number, points: number): number => multiplyDivide(amount, points, 10_000);

/** The multiple of `to` nearest to an amount that is not below 0 (halves up), or the one at or above it. */
export const toMultiple = (amount: number, to: number, mode: 'nearest' | 'up'): number =>
  mode === 'up' ? Math.ceil(amount / to) * to : multiplyDivide(amount, 1, to) * to;
