import type { Size } from '../model/good.ts';
import type { Box } from '../model/pack.ts';
import { volumeOf } from '../pack/cuboid.ts';
import { boxOfSize, type BoxMaking, type BoxSaving, type BoxTrial } from './box-trial.ts';

/** How large one more box may be: millimetres inside, grams of contents. */
export interface BoxLimits {
  most: Size;
  maxWeight: number;
}

const SIDES = ['length', 'width', 'height'] as const;

/** What is longer than this is made for one kind of thing, millimetres. */
const LONGEST_CARTON = 1_000;

/** The limits that a search begins with: as large as the roomiest cartons there are. */
export const limitsFrom = (boxes: readonly Box[]): BoxLimits => {
  const cartons = boxes.filter(({ inside }) => SIDES.every((side) => inside[side] <= LONGEST_CARTON));
  const most = (side: keyof Size): number => Math.max(300, ...cartons.map(({ inside }) => inside[side]));
  return {
    most: { length: most('length'), width: most('width'), height: most('height') },
    maxWeight: Math.max(5_000, ...cartons.map(({ maxWeight }) => maxWeight)),
  };
};

/** A size that was tried, and what it would save. */
export interface TriedSize extends BoxSaving {
  inside: Size;
}

/** Sizes are tried in steps of so many millimetres at the finest. */
export const GRAIN = 5;
/** So many even sizes along each side to begin with. */
const COARSE = 8;
/** So many of the best of them are gone on from. */
const STARTS = 6;

/** One side longer or shorter by a step, or all of them. */
const MOVES: readonly Size[] = [
  ...SIDES.flatMap((side) => [1, -1].map((by) => ({ length: 0, width: 0, height: 0, [side]: by }) as Size)),
  { length: 1, width: 1, height: 1 },
  { length: -1, width: -1, height: -1 },
];

/** The even sizes of a side up to a limit, in whole steps of the grain. */
export const evenSides = (most: number, count: number): number[] => {
  const sides = Array.from({ length: count }, (_, at) => {
    const side = (most * (at + 1)) / count;
    return Math.max(GRAIN, Math.floor(side / GRAIN) * GRAIN);
  });
  return [...new Set(sides)];
};

/** Every size with even sides, the longer of its ground sides the length. */
export const evenSizes = ({ length, width, height }: Size, count: number): Size[] =>
  evenSides(length, count).flatMap((l) =>
    evenSides(width, count)
      .filter((w) => w <= l)
      .flatMap((w) => evenSides(height, count).map((h) => ({ length: l, width: w, height: h }))),
  );

const isBetter = (one: TriedSize, than: TriedSize): boolean =>
  one.saved > than.saved || (one.saved === than.saved && volumeOf(one.inside) < volumeOf(than.inside));

/** The best of some sizes first. */
const best = (sizes: readonly TriedSize[]): TriedSize[] =>
  [...sizes].sort((a, b) => (isBetter(a, b) ? -1 : isBetter(b, a) ? 1 : 0));

const moved = (size: Size, move: Size, step: number, most: Size): Size => {
  const side = (name: (typeof SIDES)[number]): number =>
    Math.min(Math.floor(most[name] / GRAIN) * GRAIN, Math.max(GRAIN, size[name] + move[name] * step));
  const [length, width] = [side('length'), side('width')];
  return { length: Math.max(length, width), width: Math.min(length, width), height: side('height') };
};

/** Tries each size once. */
class Sizes {
  private readonly known = new Map<string, TriedSize>();

  constructor(
    private readonly trial: Pick<BoxTrial, 'saving'>,
    private readonly limits: BoxLimits,
    private readonly making: BoxMaking,
  ) {}

  get tried(): number {
    return this.known.size;
  }

  saving(inside: Size): TriedSize {
    const key = `${inside.length} ${inside.width} ${inside.height}`;
    const before = this.known.get(key);
    if (before) return before;
    const box = boxOfSize(inside, this.limits.maxWeight, this.making);
    const found = { inside, ...this.trial.saving(box) };
    this.known.set(key, found);
    return found;
  }
}

/** Goes from one size to a better one beside it, by ever shorter steps, until none beside it is better. */
function* climbed(sizes: Sizes, from: TriedSize, most: Size): Generator<number, TriedSize> {
  let here = from;
  let step = Math.max(...SIDES.map((side) => most[side])) / COARSE / 2;
  for (;;) {
    const whole = Math.max(GRAIN, Math.round(step / GRAIN) * GRAIN);
    let next = here;
    for (const move of MOVES) {
      const found = sizes.saving(moved(here.inside, move, whole, most));
      if (isBetter(found, next)) next = found;
      yield sizes.tried;
    }
    if (next !== here) here = next;
    else if (whole === GRAIN) return here;
    else step /= 2;
  }
}

/**
 * The size of one more box with which past orders take least, among all up to a limit: even sizes first, then from the
 * best of them to better ones beside, down to steps of five millimetres; of equals the smallest. Yields how many sizes
 * were tried. Null where no size tried saves anything.
 */
export function* bestBox(
  trial: Pick<BoxTrial, 'saving'>,
  limits: BoxLimits,
  making: BoxMaking,
): Generator<number, TriedSize | null> {
  const sizes = new Sizes(trial, limits, making);
  const even: TriedSize[] = [];
  for (const inside of evenSizes(limits.most, COARSE)) {
    even.push(sizes.saving(inside));
    yield sizes.tried;
  }
  const found: TriedSize[] = [];
  for (const start of best(even).slice(0, STARTS)) found.push(yield* climbed(sizes, start, limits.most));
  const [first] = best(found);
  return first && first.saved > 0 ? first : null;
}

/**
 * The same over many orders: the size is found over some of them that stand for all, then bettered over all. Where `some`
 * are all, nothing is done twice.
 */
export function* bestBoxOver(
  { some, all }: Record<'some' | 'all', Pick<BoxTrial, 'saving'>>,
  limits: BoxLimits,
  making: BoxMaking,
): Generator<number, TriedSize | null> {
  const start = yield* bestBox(some, limits, making);
  if (!start || some === all) return start;
  const sizes = new Sizes(all, limits, making);
  const found = yield* climbed(sizes, sizes.saving(start.inside), limits.most);
  return found.saved > 0 ? found : null;
}
