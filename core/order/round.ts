import type { Destination } from '../model/place.ts';
import { metresBetween } from '../place/distance.ts';

type Point = NonNullable<Destination['point']>;

/** A way past all stops and back: the stops by their place in the list, and how long it is as the crow flies. */
export interface Round {
  order: number[];
  metres: number;
}

type Legs = readonly (readonly number[])[];

/** Metres between every two points; 0 is where it starts and ends. */
const legsOf = (start: Point, stops: readonly Point[]): Legs => {
  const all = [start, ...stops];
  return all.map((from) => all.map((to) => metresBetween(from, to)));
};

const leg = (legs: Legs, from: number, to: number): number => legs[from]?.[to] ?? 0;

/** How long a way past points is, from the start and back. */
const lengthOf = (legs: Legs, path: readonly number[]): number =>
  [...path, 0].reduce((sum, to, at) => sum + leg(legs, at === 0 ? 0 : (path[at - 1] ?? 0), to), 0);

const nearestFirst = (legs: Legs): number[] => {
  const left = new Set(legs.map((_, at) => at).slice(1));
  const path: number[] = [];
  for (let here = 0; left.size > 0;) {
    let nearest = -1;
    for (const one of left) if (nearest < 0 || leg(legs, here, one) < leg(legs, here, nearest)) nearest = one;
    path.push(nearest);
    left.delete(nearest);
    here = nearest;
  }
  return path;
};

const reversed = (path: readonly number[], from: number, to: number): number[] => [
  ...path.slice(0, from),
  ...path.slice(from, to + 1).reverse(),
  ...path.slice(to + 1),
];

/** Some stops taken out and put in elsewhere, as they are or turned round. */
const shifted = (
  path: readonly number[],
  from: number,
  count: number,
  to: number,
  turn: boolean,
): number[] => {
  const part = path.slice(from, from + count);
  const rest = [...path.slice(0, from), ...path.slice(from + count)];
  return [...rest.slice(0, to), ...(turn ? [...part].reverse() : part), ...rest.slice(to)];
};

const MOST_SHIFTED = 3;

/** Every way one change makes of another: a stretch turned round, or up to three stops moved elsewhere. */
function* changes(path: readonly number[]): Generator<number[]> {
  for (let from = 0; from < path.length; from += 1)
    for (let to = from + 1; to < path.length; to += 1) yield reversed(path, from, to);
  for (let count = 1; count <= MOST_SHIFTED; count += 1)
    for (let from = 0; from + count <= path.length; from += 1)
      for (let to = 0; to <= path.length - count; to += 1)
        if (to !== from)
          for (const turn of count > 1 ? [false, true] : [false]) yield shifted(path, from, count, to, turn);
}

/** The first change that makes a way shorter, or null where none does. */
const shorter = (legs: Legs, path: readonly number[], length: number): number[] | null => {
  for (const next of changes(path)) if (lengthOf(legs, next) < length) return next;
  return null;
};

const MOST_EXACT = 9;

/**
 * The shortest way past a few stops, exactly: for every set of stops left and every stop to start from, the best
 * next one (Held and Karp, 1962).
 */
const shortestPath = (legs: Legs): number[] => {
  const best = new Map<number, { metres: number; next: number }>();
  const from = (here: number, left: number): { metres: number; next: number } => {
    if (left === 0) return { metres: leg(legs, here, 0), next: 0 };
    const key = left * legs.length + here;
    const known = best.get(key);
    if (known) return known;
    let found = { metres: Number.POSITIVE_INFINITY, next: 0 };
    for (let next = 1; next < legs.length; next += 1) {
      if (((left >> next) & 1) === 0) continue;
      const metres = leg(legs, here, next) + from(next, left & ~(1 << next)).metres;
      if (metres < found.metres) found = { metres, next };
    }
    best.set(key, found);
    return found;
  };
  const path: number[] = [];
  let here = 0;
  for (let left = 2 ** legs.length - 2; left > 0; left &= ~(1 << here)) {
    here = from(here, left).next;
    path.push(here);
  }
  return path;
};

const improvedPath = (legs: Legs): number[] => {
  let path = nearestFirst(legs);
  for (
    let next = shorter(legs, path, lengthOf(legs, path));
    next;
    next = shorter(legs, path, lengthOf(legs, path))
  )
    path = next;
  return path;
};

/**
 * A sensible order of stops from a place and back to it: the shortest for up to nine stops; for more, always the
 * nearest next, then made shorter by turning stretches round (2-opt) and moving stops (Or-opt) as long as that
 * helps. Distances are as the crow flies.
 */
export const sensibleRound = (start: Point, stops: readonly Point[]): Round => {
  const legs = legsOf(start, stops);
  const path = stops.length <= MOST_EXACT ? shortestPath(legs) : improvedPath(legs);
  return { order: path.map((one) => one - 1), metres: lengthOf(legs, path) };
};
