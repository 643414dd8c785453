import type { Size } from '../model/good.ts';
import type { BasketLine } from '../basket/basket.ts';
import type { Packing } from './packing.ts';

/**
 * Packing counts in whole numbers: grams and millimetres where all figures are whole, else thousandths of a gram
 * and hundredths of a millimetre, so that what was typed in pounds and inches is placed to 0.01 mm.
 */
export interface Scale {
  weight: 1 | 1_000;
  size: 1 | 100;
}

const isWhole = (size: Size | undefined): boolean =>
  !size || (Number.isInteger(size.length) && Number.isInteger(size.width) && Number.isInteger(size.height));

/** The scale in which the units of a basket and what they go into are whole numbers. */
export const scaleOf = (
  { plan, boxes }: Packing,
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
): Scale => {
  const areWeightsWhole =
    lines.every(({ good }) => Number.isInteger(good.weight ?? defaultWeight ?? 0)) &&
    boxes.every(({ maxWeight, tare }) => Number.isInteger(maxWeight) && Number.isInteger(tare)) &&
    (!('maxWeight' in plan) || Number.isInteger(plan.maxWeight));
  const areSizesWhole =
    lines.every(({ good }) => isWhole(good.size)) && boxes.every(({ inside }) => isWhole(inside));
  return { weight: areWeightsWhole ? 1 : 1_000, size: areSizesWhole ? 1 : 100 };
};

/** A figure as a whole number of the scale's parts. */
export const inParts = (value: number, scale: number): number =>
  scale === 1 ? value : Math.round(value * scale);

/** A size as whole numbers of the scale's parts. */
export const sizeInParts = ({ length, width, height }: Size, scale: number): Size => ({
  length: inParts(length, scale),
  width: inParts(width, scale),
  height: inParts(height, scale),
});
