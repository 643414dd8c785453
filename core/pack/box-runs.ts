import type { Good } from '../model/good.ts';
import type { Box } from '../model/pack.ts';
import type { BasketLine } from '../basket/basket.ts';
import { makeKind, type Block, type Kind } from './cuboid.ts';
import { intoBoxes, tooLarge, type BoxRun, type PackBox } from './into-boxes.ts';
import type { Packed, ParcelRun, LineUnits } from './pack.ts';
import type { Packing } from './packing.ts';
import { inParts, sizeInParts, type Scale } from './scale.ts';

/** A unit of a lot with what placing it needs. */
interface SizedLot extends LineUnits {
  kind: Kind;
}

/** Lines of the basket as kinds to place; every one has a size. */
const sizedLots = (lots: readonly LineUnits[], lines: readonly BasketLine[], { size }: Scale): SizedLot[] =>
  lots.flatMap((lot) => {
    const good = lines[lot.line]?.good;
    if (!good?.size) return [];
    const sides = sizeInParts(good.size, size);
    return [{ ...lot, kind: makeKind(sides, lot.quantity, lot.weight, good.keepUpright === true) }];
  });

/** A block of units in a box, and the line of the basket it is of. */
export interface PlacedBlock extends Omit<Block, 'kind'> {
  line: number;
}

/** A block in millimetres, and the line of the basket it is of. */
const placedBlock = (
  { kind, turn: [length, width, height], across, x, y, z }: Block,
  lots: readonly LineUnits[],
  { size }: Scale,
): PlacedBlock => ({
  turn: [length / size, width / size, height / size],
  across,
  x: x / size,
  y: y / size,
  z: z / size,
  line: (lots[kind] as LineUnits).line,
});

const runOf = (
  { box: at, count, filling }: BoxRun,
  lots: readonly SizedLot[],
  boxes: readonly Box[],
  scale: Scale,
): ParcelRun => {
  const box = boxes[at] as Box;
  const contents = lots.flatMap(({ line }, kind) =>
    filling.used[kind] ? [{ line, quantity: filling.used[kind] }] : [],
  );
  const goods = lots.reduce((sum, { weight }, kind) => sum + weight * (filling.used[kind] ?? 0), 0);
  return {
    count,
    weight: goods + inParts(box.tare, scale.weight),
    units: contents.reduce((sum, { quantity }) => sum + quantity, 0),
    contents,
    packed: {
      box,
      volume: filling.volume / scale.size ** 3,
      blocks: filling.blocks.map((block) => placedBlock(block, lots, scale)),
    },
  };
};

const fitsNone = (
  { name, sku, weight: parts }: LineUnits,
  size: BasketLine['good']['size'],
  scale: Scale,
): Extract<Packed, { ok: false }> => ({
  ok: false,
  refusal: {
    code: 'does-not-pack',
    say: {
      code: 'fits-no-box',
      good: name,
      size: size ?? { length: 0, width: 0, height: 0 },
      weight: parts / scale.weight,
    },
    from: { kind: 'good', id: sku },
  },
});

/** The largest first, so that the order of the lines makes no difference. */
const byKind = ({ kind: a }: SizedLot, { kind: b }: SizedLot): number =>
  b.volume - a.volume ||
  b.weight - a.weight ||
  b.quantity - a.quantity ||
  a.turns.length - b.turns.length ||
  (a.turns.join() < b.turns.join() ? -1 : 1);

const MOST_KEPT = 2_000;

/** What tells what is packed from all else that is packed by the same plan. */
const keyOf = (lots: readonly LineUnits[], lines: readonly BasketLine[], scale: Scale): string => {
  let key = `${scale.weight}/${scale.size}`;
  for (const { line, quantity, weight } of lots) {
    const { size, keepUpright = false } = lines[line]?.good ?? {};
    const sides = size ? `${size.length}x${size.width}x${size.height}` : '';
    key += `,${line}:${quantity}:${weight}:${sides}:${keepUpright}`;
  }
  return key;
};

const roomIn = ({ boxes }: Packing, scale: Scale): PackBox[] =>
  boxes.map(({ inside, maxWeight, cost = 0 }) => ({
    ...sizeInParts(inside, scale.size),
    maxWeight: inParts(maxWeight, scale.weight),
    cost,
  }));

const goesIntoSome = (packing: Packing, good: Good, weight: number, scale: Scale): boolean => {
  const { fits: known } = packing.memory;
  const before = known.get(good);
  if (before !== undefined) return before;
  const fits =
    good.size === undefined ||
    tooLarge(
      [makeKind(sizeInParts(good.size, scale.size), 1, weight, good.keepUpright === true)],
      roomIn(packing, scale),
    ).length === 0;
  known.set(good, fits);
  return fits;
};

/** The refusal for the first unit that goes into none of a plan's boxes; null where each goes into some. No unit is placed. */
export const boxRefusal = (
  lots: readonly LineUnits[],
  packing: Packing,
  lines: readonly BasketLine[],
  scale: Scale,
): Extract<Packed, { ok: false }> | null => {
  for (const lot of lots) {
    const good = lines[lot.line]?.good;
    if (good && !goesIntoSome(packing, good, lot.weight, scale)) return fitsNone(lot, good.size, scale);
  }
  return null;
};

const packedAnew = (lots: readonly SizedLot[], packing: Packing, scale: Scale): Packed => {
  const runs = intoBoxes(
    lots.map(({ kind }) => kind),
    roomIn(packing, scale),
  );
  return { ok: true, runs: runs.map((run) => runOf(run, lots, packing.boxes, scale)) };
};

/** Lots in the boxes of a plan, each unit really placed; `does-not-pack` for a unit that goes into none. */
export const packIntoBoxes = (
  lots: readonly LineUnits[],
  packing: Packing,
  lines: readonly BasketLine[],
  scale: Scale,
): Packed => {
  if (lots.length === 0) return { ok: true, runs: [] };
  const refused = boxRefusal(lots, packing, lines, scale);
  if (refused) return refused;
  const { packed: known } = packing.memory;
  const key = keyOf(lots, lines, scale);
  const before = known.get(key);
  if (before) return before;
  const packed = packedAnew(sizedLots(lots, lines, scale).sort(byKind), packing, scale);
  if (known.size >= MOST_KEPT) known.clear();
  known.set(key, packed);
  return packed;
};
