type Path = readonly (string | number)[];
type Holder = Record<string | number, unknown>;

/** A value with one part of it changed, or taken out where `change` gives undefined; all else is the same objects. */
const changedAt = <T>(value: T, [key, ...rest]: Path, change: (part: unknown) => unknown): T => {
  if (key === undefined) return change(value) as T;
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Holder;
  const next = changedAt(copy[key], rest, change);
  if (next !== undefined) copy[key] = next;
  else if (Array.isArray(copy)) copy.splice(Number(key), 1);
  else delete copy[key];
  return copy as T;
};

/** The path of each value within another, the deepest too. */
const pathsOf = (value: unknown, path: Path = []): Path[] =>
  typeof value === 'object' && value !== null
    ? [
        path,
        ...Object.entries(value).flatMap(([key, part]) =>
          pathsOf(part, [...path, Array.isArray(value) ? Number(key) : key]),
        ),
      ]
    : [path];

const otherOf = (part: unknown): unknown => {
  if (typeof part === 'number') return part + 1;
  if (typeof part === 'boolean') return !part;
  return typeof part === 'string' ? `${part}2` : part;
};

/** What holds of the first rate's limits holds of the thousandth's: so many of a kind of place are changed. */
const MOST_ALIKE = 2;

const placesIn = (value: object): Path[] => {
  const alike = new Map<string, number>();
  return pathsOf(value).filter((path) => {
    const kind = path.map((step) => (typeof step === 'number' ? '#' : step)).join('.');
    alike.set(kind, (alike.get(kind) ?? 0) + 1);
    return path.length > 0 && (alike.get(kind) ?? 0) <= MOST_ALIKE;
  });
};

/** A state that one change made of another. */
export interface Changed<T> {
  path: Path;
  value: T;
  /** Makes the change to another state too. */
  make: (value: T) => T;
}

/** States that differ from a value in one figure, switch or text, or in one part that is gone; some cannot be read. */
export const oneChange = <T extends object>(value: T): Changed<T>[] =>
  placesIn(value).flatMap((path) =>
    [otherOf, () => undefined]
      .map((change) => (from: T) => changedAt(from, path, change))
      .map((make) => ({ path, make, value: make(value) }))
      .filter((one) => JSON.stringify(one.value) !== JSON.stringify(value)),
  );
