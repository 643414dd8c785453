import type { Size } from '../model/good.ts';

/** One way of standing a unit: its length, width and height as it lies along the box. */
export type Turn = readonly [length: number, width: number, height: number];

/** Units alike that are to be placed: how they may be turned, and what one weighs and takes up. */
export interface Kind {
  turns: readonly Turn[];
  quantity: number;
  weight: number;
  volume: number;
  /** The shortest of its sides. */
  least: number;
}

/** What units are placed in: millimetres and grams of contents. */
export interface Container extends Size {
  maxWeight: number;
}

/** Units of one kind and turn set side by side: so many along each side, from a corner. */
export interface Block {
  kind: number;
  turn: Turn;
  across: readonly [number, number, number];
  x: number;
  y: number;
  z: number;
}

/** What lies in one container, and how much of each kind that is. */
export interface Filling {
  blocks: readonly Block[];
  used: readonly number[];
  volume: number;
}

/** A side that is given as 0 is taken as a millimetre. */
const atLeastOne = ({ length, width, height }: Size): Size => ({
  length: Math.max(1, length),
  width: Math.max(1, width),
  height: Math.max(1, height),
});

const SIX = [
  [0, 1, 2],
  [1, 0, 2],
  [0, 2, 1],
  [2, 0, 1],
  [1, 2, 0],
  [2, 1, 0],
] as const;

/** The different ways of standing a unit: six at most, two where it has to stay upright. */
const turnsOf = ({ length, width, height }: Size, keepUpright: boolean): Turn[] => {
  const sides = [length, width, height] as const;
  const ways = (keepUpright ? SIX.slice(0, 2) : SIX).map(([a, b, c]): Turn => [sides[a], sides[b], sides[c]]);
  return ways.filter((way, at) => ways.findIndex((other) => other.join() === way.join()) === at);
};

export const volumeOf = ({ length, width, height }: Size): number => length * width * height;

/** Units alike of a size in millimetres and a weight in grams. */
export const makeKind = (given: Size, quantity: number, weight = 0, keepUpright = false): Kind => {
  const size = atLeastOne(given);
  return {
    turns: turnsOf(size, keepUpright),
    quantity,
    weight,
    volume: volumeOf(size),
    least: Math.min(size.length, size.width, size.height),
  };
};

/** Whether one unit goes into an empty container. */
export const goesInto = ({ turns, weight }: Kind, { length, width, height, maxWeight }: Container): boolean =>
  weight <= maxWeight && turns.some(([l, w, h]) => l <= length && w <= width && h <= height);
