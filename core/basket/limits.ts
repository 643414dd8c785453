import { roundedBound } from '../model/measured.ts';
import type { LimitMeasure, Limits } from '../model/price.ts';
import type { Source, WithheldCode } from '../model/quote.ts';
import type { BasketLine, Known, Measures } from './basket.ts';
import type { Message } from '../words/message.ts';

/** The order in which limits are looked at; the first that fails withholds. */
const ORDER: readonly LimitMeasure[] = ['weight', 'subtotal', 'units', 'volume', 'longestSide'];

/** One limit that is set. */
export interface ActiveLimit {
  measure: LimitMeasure;
  min: number | undefined;
  max: number | undefined;
}

/** The limits that are set, in the order they are looked at. */
export const activeLimits = (limits: Limits | undefined): ActiveLimit[] =>
  ORDER.flatMap((measure) => {
    const limit: { min?: number; max?: number } = limits?.[measure] ?? {};
    return limit.min === undefined && limit.max === undefined
      ? []
      : [{ measure, min: roundedBound(measure, limit.min), max: roundedBound(measure, limit.max) }];
  });

export interface Refusal {
  code: WithheldCode;
  say: Message;
  /** The rule at fault, where it is not the rate itself. */
  from?: Source;
  /** What the customer is told instead of the reason's own words. */
  message?: string;
}

const nameOf = ({ good }: BasketLine): string => good.name;

/** The refusal for a weight or size that is not known, naming the goods. */
export const unknownRefusal = (measure: 'weight' | 'volume' | 'longestSide', { unknown }: Known): Refusal => {
  const code = measure === 'weight' ? 'weight-unknown' : 'size-unknown';
  const refusal: Refusal = { code, say: { code, goods: unknown.map(nameOf) } };
  const first = unknown[0];
  return first ? { ...refusal, from: { kind: 'good', id: first.good.sku } } : refusal;
};

const measured = (measure: LimitMeasure, travels: Measures, subtotal: number): Known | number => {
  if (measure === 'subtotal') return subtotal;
  return measure === 'units' ? travels.units : travels[measure];
};

const check = ({ measure, min, max }: ActiveLimit, value: number): Refusal | null => {
  if (min !== undefined && value < min) {
    return { code: 'below-limit', say: { code: 'below-limit', measure, value, limit: min } };
  }
  if (max !== undefined && value > max) {
    return { code: 'above-limit', say: { code: 'above-limit', measure, value, limit: max } };
  }
  return null;
};

/** The first limit that a basket breaks, both ends included, or null. */
export const limitRefusal = (
  limits: readonly ActiveLimit[],
  travels: Measures,
  subtotal: number,
): Refusal | null => {
  for (const limit of limits) {
    const figure = measured(limit.measure, travels, subtotal);
    if (typeof figure !== 'number' && figure.unknown.length > 0) {
      return unknownRefusal(limit.measure as 'weight' | 'volume' | 'longestSide', figure);
    }
    const refusal = check(limit, typeof figure === 'number' ? figure : figure.value);
    if (refusal) return refusal;
  }
  return null;
};
