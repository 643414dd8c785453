import type { LimitMeasure, Limits } from '../model/price.ts';
import type { WithheldCode } from '../model/quote.ts';
import type { BasketLine, Known, Measures } from '../quote/basket.ts';
import type { Say } from '../words/say.ts';

/** The order in which limits are looked at; the first that fails withholds. */
const ORDER: readonly LimitMeasure[] = ['weight', 'subtotal', 'units', 'volume', 'longestSide'];

export interface Refusal {
  code: WithheldCode;
  say: Say;
  /** The good at fault, where one is. */
  good?: string;
}

const nameOf = (line: BasketLine): string => line.name;

/** The refusal for a weight or size that is not known, naming the goods. */
export const unknownRefusal = (measure: 'weight' | 'volume' | 'longestSide', { unknown }: Known): Refusal => {
  const code = measure === 'weight' ? 'weight-unknown' : 'size-unknown';
  const refusal: Refusal = { code, say: { code, goods: unknown.map(nameOf) } };
  const first = unknown[0];
  return first ? { ...refusal, good: first.sku } : refusal;
};

const measured = (measure: LimitMeasure, travels: Measures, subtotal: number): Known | number => {
  if (measure === 'subtotal') return subtotal;
  return measure === 'units' ? travels.units : travels[measure];
};

const check = (measure: LimitMeasure, limit: { min?: number; max?: number }, value: number): Refusal | null => {
  if (limit.min !== undefined && value < limit.min) {
    return { code: 'below-limit', say: { code: 'below-limit', measure, value, limit: limit.min } };
  }
  if (limit.max !== undefined && value > limit.max) {
    return { code: 'above-limit', say: { code: 'above-limit', measure, value, limit: limit.max } };
  }
  return null;
};

/** The first limit that a basket breaks, both ends included, or null. */
export const limitRefusal = (limits: Limits | undefined, travels: Measures, subtotal: number): Refusal | null => {
  if (!limits) return null;
  for (const measure of ORDER) {
    const limit: { min?: number; max?: number } | undefined = limits[measure];
    if (!limit || (limit.min === undefined && limit.max === undefined)) continue;
    const figure = measured(measure, travels, subtotal);
    if (typeof figure !== 'number' && figure.unknown.length > 0) {
      return unknownRefusal(measure as 'weight' | 'volume' | 'longestSide', figure);
    }
    const refusal = check(measure, limit, typeof figure === 'number' ? figure : figure.value);
    if (refusal) return refusal;
  }
  return null;
};
