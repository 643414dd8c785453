/** Imperial units in the book's own: the international yard and pound (1959), 0.45359237 kg and 25.4 mm an inch. */
export const GRAMS_A_POUND = 453.59237;
export const MM_AN_INCH = 25.4;
export const METRES_A_MILE = 1_609.344;
export const MM3_A_CUBIC_INCH = 16_387.064;
