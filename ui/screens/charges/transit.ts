import type { Rate } from '../../../core/model/rate.ts';

/** Days on the way with one end set, the other moved where it would contradict it; none where it is emptied. */
export const withDays = (
  transit: Rate['transit'],
  end: 'min' | 'max',
  days: number | undefined,
): Rate['transit'] => {
  if (days === undefined) return undefined;
  const other = transit?.[end === 'min' ? 'max' : 'min'] ?? days;
  return end === 'min'
    ? { min: days, max: Math.max(days, other) }
    : { min: Math.min(days, other), max: days };
};
