import { ticks } from 'd3-array';
import type { CurveFrame } from '../../../parts/curve-frame.ts';

/** A point of a line: a value, and the amount there in minor units. */
export interface LinePoint {
  at: number;
  amount: number;
}

const LEFT = 72;
const RIGHT = 12;
const TOP = 12;
const BOTTOM = 26;
/** About so many pixels to a label along the bottom. */
const LABEL_ROOM = 76;

/** The frame of a line of amounts that may be negative, in a space of so many pixels, with nothing (0) always in it; null without two points. */
export const lineFrame = (points: readonly LinePoint[], width: number, height: number): CurveFrame | null => {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || first.at === last.at) return null;
  const amounts = points.map(({ amount }) => amount);
  const [least, most] = [Math.min(0, ...amounts), Math.max(0, ...amounts)];
  const [right, bottom] = [Math.max(width - RIGHT, LEFT + 1), height - BOTTOM];
  const room = Math.max(most - least, 1) * 1.08;
  const x = (value: number): number => LEFT + ((value - first.at) / (last.at - first.at)) * (right - LEFT);
  const y = (amount: number): number => bottom - ((amount - least) / room) * (bottom - TOP);
  return {
    ...{ left: LEFT, right, top: TOP, bottom, x, y },
    amounts: ticks(least, most, 4).map((value) => ({ value, y: y(value) })),
    values: ticks(first.at, last.at, Math.max(2, Math.floor((right - LEFT) / LABEL_ROOM))).map((value) => ({
      value,
      x: x(value),
    })),
  };
};

/** The line through its points, as an SVG path. */
export const linePath = ({ x, y }: CurveFrame, points: readonly LinePoint[]): string =>
  points.map(({ at, amount }, first) => `${first === 0 ? 'M' : 'L'}${x(at)} ${y(amount)}`).join('');
