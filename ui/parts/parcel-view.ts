import type { Size } from '../../core/model/good.ts';

/** A cuboid that stands in a parcel, and the sort of good it is. */
export interface Standing {
  x: number;
  y: number;
  z: number;
  size: Size;
  sort: number;
}

type Spot = readonly [x: number, y: number];

/** One face of a cuboid as it is drawn; the top is lightest. */
export interface Face {
  points: string;
  side: 'top' | 'left' | 'right';
  sort: number;
}

export interface ParcelView {
  width: number;
  height: number;
  /** The edges of the box that lie behind what is in it, and those before it. */
  back: string;
  front: string;
  faces: Face[];
}

const COS = Math.cos(Math.PI / 6);
const SIN = 0.5;
const DECIMALS = 10;

const rounded = (value: number): number => Math.round(value * DECIMALS) / DECIMALS;

/** Where a point of the box is drawn, seen from the front, its two long sides running away to left and right. */
const projection = (box: Size, scale: number): ((x: number, y: number, z: number) => Spot) => {
  const across = box.width * COS;
  return (x, y, z) => [
    rounded(scale * (x * COS - y * COS + across)),
    rounded(scale * ((x + y) * SIN - z + box.height)),
  ];
};

const isBehind = (a: Standing, b: Standing): boolean =>
  a.x + a.size.length <= b.x || a.y + a.size.width <= b.y || a.z + a.size.height <= b.z;

/** Cuboids that do not overlap, those behind before those in front of them. */
const fromTheBack = (cuboids: readonly Standing[]): Standing[] => {
  const left = [...cuboids].sort((a, b) => a.x + a.y + a.z - (b.x + b.y + b.z));
  const drawn: Standing[] = [];
  while (left.length > 0) {
    const next = left.findIndex((one) =>
      left.every((other) => other === one || !isBehind(other, one) || isBehind(one, other)),
    );
    drawn.push(...left.splice(Math.max(0, next), 1));
  }
  return drawn;
};

const path = (spots: readonly Spot[]): string => spots.map(([x, y]) => `${x},${y}`).join(' ');

const facesOf = ({ x, y, z, size, sort }: Standing, at: ReturnType<typeof projection>): Face[] => {
  const [x2, y2, z2] = [x + size.length, y + size.width, z + size.height];
  return [
    { side: 'top', sort, points: path([at(x, y, z2), at(x2, y, z2), at(x2, y2, z2), at(x, y2, z2)]) },
    { side: 'left', sort, points: path([at(x, y2, z), at(x2, y2, z), at(x2, y2, z2), at(x, y2, z2)]) },
    { side: 'right', sort, points: path([at(x2, y, z), at(x2, y2, z), at(x2, y2, z2), at(x2, y, z2)]) },
  ];
};

const lines = (...all: (readonly [Spot, Spot])[]): string =>
  all.map(([[x1, y1], [x2, y2]]) => `M${x1} ${y1}L${x2} ${y2}`).join('');

/** A box in three-quarter view with what lies where, `scale` pixels to the millimetre. */
export const parcelView = (box: Size, cuboids: readonly Standing[], scale: number): ParcelView => {
  const at = projection(box, scale);
  const { length: l, width: w, height: h } = box;
  return {
    width: rounded(scale * (l + w) * COS),
    height: rounded(scale * ((l + w) * SIN + h)),
    back: lines([at(0, 0, 0), at(l, 0, 0)], [at(0, 0, 0), at(0, w, 0)], [at(0, 0, 0), at(0, 0, h)]),
    front: lines(
      [at(l, 0, 0), at(l, w, 0)],
      [at(0, w, 0), at(l, w, 0)],
      [at(l, 0, 0), at(l, 0, h)],
      [at(0, w, 0), at(0, w, h)],
      [at(l, w, 0), at(l, w, h)],
      [at(0, 0, h), at(l, 0, h)],
      [at(0, 0, h), at(0, w, h)],
      [at(l, 0, h), at(l, w, h)],
      [at(0, w, h), at(l, w, h)],
    ),
    faces: fromTheBack(cuboids).flatMap((cuboid) => facesOf(cuboid, at)),
  };
};
