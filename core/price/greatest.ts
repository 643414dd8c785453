/** The greatest of some amounts, 0 where there is none. */
export const greatest = (amounts: readonly number[]): number =>
  amounts.reduce((most, one) => Math.max(most, one), 0);
