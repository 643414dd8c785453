import type { Rate } from '../model/rate.ts';

/** The least or the greatest of something. */
type Edge = 'min' | 'max';

const without = <T extends object, K extends keyof T>(of: T, key: K): Omit<T, K> => {
  const { [key]: _, ...rest } = of;
  return rest;
};

/** A pair of edges with one of them set, or taken out; undefined where none is left. */
const withEdge = (
  pair: Partial<Record<Edge, number | undefined>> | undefined,
  edge: Edge,
  value: number | null,
): { min?: number; max?: number } | undefined => {
  const min = edge === 'min' ? (value ?? undefined) : pair?.min;
  const max = edge === 'max' ? (value ?? undefined) : pair?.max;
  if (min === undefined && max === undefined) return undefined;
  return { ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) };
};

/** A rate with its least or greatest charge set, in minor units; null takes it out. */
export const withCharge = (rate: Rate, edge: Edge, value: number | null): Rate => {
  const bounds = withEdge(rate.bounds, edge, value);
  return bounds ? { ...rate, bounds } : without(rate, 'bounds');
};

/** A rate with the least or the greatest subtotal it is offered for set, in minor units; null takes it out. */
export const withSubtotal = (rate: Rate, edge: Edge, value: number | null): Rate => {
  const { limits = {} } = rate;
  const subtotal = withEdge(limits.subtotal, edge, value);
  const left = subtotal ? { ...limits, subtotal } : without(limits, 'subtotal');
  return Object.keys(left).length === 0 ? without(rate, 'limits') : { ...rate, limits: left };
};

/** A rate with the subtotal from which it is free set, in minor units; null takes it out. */
export const withFreeFrom = (rate: Rate, value: number | null): Rate =>
  value === null ? without(rate, 'freeFrom') : { ...rate, freeFrom: value };
