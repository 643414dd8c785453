import type { Size } from '../model/good.ts';
import { withSingleBlanks } from '../model/blanks.ts';
import { typedLength, type Mark } from './typed.ts';

/** A size in words is no longer. */
const LONGEST = 200;
/** How a side of a size is written: a figure with or without its unit. */
const SIDE = /^(.*?)\s*([a-z"']+)?$/i;

/**
 * '30x20x15 cm', '30 × 20 × 15' or '12 in by 8 in by 4 in' in millimetres: length, width, height. A unit
 * at the end counts for the sides without one; where there is none at all, the sides are in `bare`.
 */
export const typedSize = (text: string, bare: string, mark: Mark = '.'): Size | null => {
  if (text.length > LONGEST) return null;
  const sides = withSingleBlanks(text)
    .split(/\s*(?:[x×*]|\bby\b)\s*/i)
    .map((side) => side.trim());
  if (sides.length !== 3 || sides.includes('')) return null;
  const last = SIDE.exec(sides[2] ?? '')?.[2] ?? bare;
  const [length, width, height] = sides.map((side) => {
    const unit = SIDE.exec(side)?.[2];
    const typed = typedLength(unit === undefined ? `${side} ${last}` : side, 'metric', mark);
    return typed.ok && typed.value <= 100_000 ? typed.value : null;
  });
  if (length == null || width == null || height == null) return null;
  return { length, width, height };
};
