import type { Measure } from './price.ts';

/**
 * A figure rounded to 0.001, as sums of weights, lengths and distances are, and what they are compared with:
 * three goods of 3 lb weigh what a limit of 9 lb says, although a pound is no whole number of grams.
 */
export const toThousandth = (value: number): number =>
  Number.isInteger(value) ? value : Math.round(value * 1_000) / 1_000;

/** A measured value, or what one is compared with: volumes to a cubic millimetre, all else to 0.001. */
export const roundedMeasure = (measure: Measure | 'longestSide', value: number): number =>
  measure === 'volume' ? Math.round(value) : toThousandth(value);

/** The same, where there is a figure at all. */
export const roundedBound = (
  measure: Measure | 'longestSide',
  value: number | undefined,
): number | undefined => (value === undefined ? undefined : roundedMeasure(measure, value));
