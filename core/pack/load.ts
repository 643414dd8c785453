import type { BasketLine } from '../basket/basket.ts';
import type { Box } from '../model/pack.ts';
import { goesInto, makeKind, type Kind } from './cuboid.ts';
import { goIntoOne } from './into-boxes.ts';
import type { ParcelRun } from './pack.ts';
import { inParts, sizeInParts, type Scale } from './scale.ts';

/** Units that are to go into one box, in the parts that packing counts in. */
export interface Load {
  kinds: readonly Kind[];
  /** Grams of all units. */
  weight: number;
  /** The same for the same units, in whichever order they are listed. */
  key: string;
}

/** Fine enough for every size and weight that a shop may type. */
const FINEST: Scale = { weight: 1_000, size: 100 };

/** So many units of some lines as a load; null where the size or the weight of one is not known. */
export const loadOf = (
  contents: ParcelRun['contents'],
  lines: readonly BasketLine[],
  defaultWeight: number | undefined,
): Load | null => {
  const units = contents.flatMap(({ line, quantity }) => {
    const good = lines[line]?.good;
    const weight = good?.weight ?? defaultWeight;
    return good?.size && weight !== undefined ? [{ good, size: good.size, weight, quantity }] : [];
  });
  if (units.length < contents.length) return null;
  return {
    kinds: units.map(({ good, size, weight, quantity }) =>
      makeKind(
        sizeInParts(size, FINEST.size),
        quantity,
        inParts(weight, FINEST.weight),
        good.keepUpright === true,
      ),
    ),
    weight: units.reduce((sum, { weight, quantity }) => sum + weight * quantity, 0),
    key: units
      .map(({ good, quantity }) => `${quantity} ${good.sku}`)
      .sort()
      .join(),
  };
};

/** Whether a load goes into one box of this size, whole. */
export const fitsInto = (
  { kinds }: Load,
  { inside, maxWeight }: Pick<Box, 'inside' | 'maxWeight'>,
): boolean => {
  const box = {
    ...sizeInParts(inside, FINEST.size),
    maxWeight: inParts(maxWeight, FINEST.weight),
    cost: 0,
  };
  return kinds.every((kind) => goesInto(kind, box)) && goIntoOne(kinds, box);
};
