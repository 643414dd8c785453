/** Parts of a rate that may be left out: one that holds nothing any more is taken out itself. */

export const isEmpty = (part: object): boolean => Object.values(part).every((value) => value === undefined);

/** An object with one field set, or without it where the value is undefined. */
export const withField = <T extends object, K extends keyof T>(
  part: T,
  field: K,
  value: T[K] | undefined,
): T => {
  const next = { ...part };
  if (value === undefined) delete next[field];
  else next[field] = value;
  return next;
};

/** A range with one of its ends set; undefined where neither end is left. */
export const withEnd = (
  range: { min?: number | undefined; max?: number | undefined } | undefined,
  end: 'min' | 'max',
  value: number | undefined,
): { min?: number; max?: number } | undefined => {
  const next = withField({ ...range } as { min?: number; max?: number }, end, value);
  return isEmpty(next) ? undefined : next;
};
