import type { LimitMeasure, Measure } from '../model/price.ts';
import type { DisplayFormat } from '../words/figure.ts';
import {
  typedCount,
  typedDistance,
  typedLength,
  typedMoney,
  typedVolume,
  typedWeight,
  type Typed,
  type Mark,
} from './typed.ts';

/** A value of a measure as people type it, in the unit the book keeps. Distances are lengths in metres. */
export const typedMeasure = (
  measure: Measure | LimitMeasure,
  text: string,
  display: DisplayFormat,
  mark: Mark = '.',
): Typed => {
  switch (measure) {
    case 'weight':
      return typedWeight(text, display.units, mark);
    case 'subtotal':
      return typedMoney(text, display.decimals, mark);
    case 'units':
      return typedCount(text);
    case 'volume':
      return typedVolume(text, display.units, mark);
    case 'longestSide':
      return typedLength(text, display.units, mark);
    case 'distance':
      return typedDistance(text, display.units, mark);
  }
};
