/**
 * The greatest figures of a book, a request and a quote. They keep each product that the core forms within exact
 * integers. They stand apart from the schemas, so that a page that only quotes does not ship what validates.
 */

export const GREATEST_MONEY = 1_000_000_000;
export const GREATEST_SUBTOTAL = 90_000_000_000;
export const GREATEST_QUANTITY = 99_999;
/** Grams, millimetres, metres once around the earth, and basis points. */
export const GREATEST_WEIGHT = 100_000_000;
export const GREATEST_LENGTH = 100_000;
export const GREATEST_DISTANCE = 40_100_000;
export const GREATEST_POINTS = 100_000;
export const GREATEST_SUM = Number.MAX_SAFE_INTEGER;
