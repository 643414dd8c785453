import type { LimitMeasure, Measure } from '../model/price.ts';
import type { Speech } from '../words/figure.ts';
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
  speech: Speech,
  mark: Mark = '.',
): Typed => {
  switch (measure) {
    case 'weight':
      return typedWeight(text, speech.units, mark);
    case 'subtotal':
      return typedMoney(text, speech.decimals, mark);
    case 'units':
      return typedCount(text);
    case 'volume':
      return typedVolume(text, speech.units, mark);
    case 'longestSide':
      return typedLength(text, speech.units, mark);
    case 'distance':
      return typedDistance(text, speech.units, mark);
  }
};
