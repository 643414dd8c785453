import { ticks } from 'd3-array';
import type { Curve, Piece } from '../../core/price/curve.ts';

/** Where a curve stands on the paper: from measure and money to pixels. */
export interface CurveFrame {
  left: number;
  right: number;
  top: number;
  bottom: number;
  x: (value: number) => number;
  y: (amount: number) => number;
  amounts: { value: number; y: number }[];
  values: { value: number; x: number }[];
}

const LEFT = 44;
const RIGHT = 12;
const TOP = 12;
const BOTTOM = 26;
/** Labels nearer to each other than this would run together. */
const LABEL_GAP = 46;

const spaced = (values: { value: number; x: number }[]): { value: number; x: number }[] =>
  values.reduce<{ value: number; x: number }[]>((kept, next) => {
    const last = kept.at(-1);
    return last && next.x - last.x < LABEL_GAP ? kept : [...kept, next];
  }, []);

/** The frame of a curve in a space of so many pixels. */
export const curveFrame = (curve: Curve, width: number, height: number): CurveFrame => {
  const most = Math.max(1, ...curve.pieces.flatMap(({ start, end }) => [start, end]));
  const right = Math.max(width - RIGHT, LEFT + 1);
  const bottom = height - BOTTOM;
  const x = (value: number): number => LEFT + (Math.min(value, curve.end) / curve.end) * (right - LEFT);
  const y = (amount: number): number => bottom - (amount / (most * 1.12)) * (bottom - TOP);
  const starts = curve.dots.map(({ at }) => at);
  const along = [...new Set([...starts, curve.end])].sort((a, b) => a - b);
  return {
    left: LEFT,
    right,
    top: TOP,
    bottom,
    x,
    y,
    amounts: ticks(0, most, 3)
      .filter((value) => value > 0)
      .map((value) => ({ value, y: y(value) })),
    values: spaced(along.map((value) => ({ value, x: x(value) }))),
  };
};

const through = ({ x, y }: CurveFrame, pieces: readonly Piece[]): string =>
  pieces
    .map(({ from, to, start, end }, at) => `${at === 0 ? 'M' : 'L'}${x(from)} ${y(start)}L${x(to)} ${y(end)}`)
    .join('');

/** The whole curve as an SVG path. */
export const curvePath = (frame: CurveFrame, curve: Curve): string => through(frame, curve.pieces);

/** A line through what something costs, from figure to figure. */
export const costPath = ({ x, y }: CurveFrame, costs: readonly { at: number; amount: number }[]): string =>
  costs.map(({ at, amount }, first) => `${first === 0 ? 'M' : 'L'}${x(at)} ${y(amount)}`).join('');

/** The part of the curve from a step on to the next. */
export const fallPath = (frame: CurveFrame, curve: Curve, step: number): string => {
  const from = curve.dots[step]?.at ?? 0;
  const to = curve.dots[step + 1]?.at ?? curve.end;
  return through(
    frame,
    curve.pieces.filter((piece) => piece.from >= from && piece.to <= to),
  );
};
