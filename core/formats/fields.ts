/** An object of untrusted data, by its fields. */
export type Fields = Record<string, unknown>;

/** Whether a value is an object with fields: no list, no null. */
export const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
