/**
 * The value below or at which a share of the values lies: the smallest of them that at least that share does not
 * exceed. `rising` is sorted; `share` from 0 to 1. 0 where there are none.
 */
export const quantile = (rising: readonly number[], share: number): number =>
  rising[Math.max(0, Math.ceil(rising.length * share) - 1)] ?? 0;

/** The least, the quarter marks and the greatest of some values. */
export interface Quartiles {
  least: number;
  lower: number;
  median: number;
  upper: number;
  most: number;
}

/** The quartiles of some values; null where there are none. */
export const quartiles = (values: readonly number[]): Quartiles | null => {
  if (values.length === 0) return null;
  const rising = [...values].sort((a, b) => a - b);
  const at = (share: number): number => quantile(rising, share);
  return { least: at(0), lower: at(0.25), median: at(0.5), upper: at(0.75), most: at(1) };
};
