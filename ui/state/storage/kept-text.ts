import { memoizeByObject } from '../../../core/memo/memoize-by-object.ts';

/** The JSON of an object that nobody changes, made once as long as the object lives. */
const textOf = memoizeByObject((value: object): string => JSON.stringify(value));

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

const partText = (part: unknown): string | undefined =>
  Array.isArray(part)
    ? `[${part.map((entry: unknown) => (isObject(entry) ? textOf(entry) : (JSON.stringify(entry) ?? 'null'))).join(',')}]`
    : isObject(part)
      ? textOf(part)
      : JSON.stringify(part);

/**
 * An object as JSON.stringify writes it, where what its fields hold is never changed but replaced: of its fields, and of
 * the entries of its lists, only those are written out that are new since the last time.
 */
export const keptText = (value: Readonly<Record<string, unknown>>): string =>
  `{${Object.entries(value)
    .map(([name, part]) => [JSON.stringify(name), partText(part)] as const)
    .filter(([, text]) => text !== undefined)
    .map(([name, text]) => `${name}:${text}`)
    .join(',')}}`;
