import type { CarrierQuestion } from '../model/carrier.ts';
import type { Size } from '../model/good.ts';
import { toThousandth } from '../model/measured.ts';
import type { Box } from '../model/pack.ts';
import { volumeOf } from '../pack/cuboid.ts';
import { fitsInto, loadOf, type Load } from '../pack/load.ts';
import type { ParcelRun } from '../pack/pack.ts';
import type { Ask, CompiledBook } from '../quote/compile.ts';
import { leastAsked, type PackedOrder } from './packed-order.ts';

/** What a box weighs and costs for its walls, as the boxes there are do on average: grams and minor units a square millimetre. */
export interface BoxMaking {
  tare: number;
  cost: number;
}

/** Square millimetres of the walls of a box. */
const wallsOf = ({ length, width, height }: Size): number =>
  2 * (length * width + length * height + width * height);

/** What boxes weigh and cost for their walls; a carrier's own are not counted, since they are not bought. */
export const makingOf = (boxes: readonly Box[]): BoxMaking => {
  const own = boxes.filter(({ carrierBox }) => !carrierBox);
  const walls = own.reduce((sum, { inside }) => sum + wallsOf(inside), 0);
  const share = (of: (box: Box) => number): number =>
    walls === 0 ? 0 : own.reduce((sum, box) => sum + of(box), 0) / walls;
  return { tare: share(({ tare }) => tare), cost: share(({ cost = 0 }) => cost) };
};

/** A box of a size, which weighs and costs for its walls what others do. */
export const boxOfSize = (
  inside: Size,
  maxWeight: number,
  { tare, cost }: BoxMaking,
): Omit<Box, 'id' | 'name'> => ({
  inside,
  maxWeight,
  tare: Math.round(wallsOf(inside) * tare),
  cost: Math.round(wallsOf(inside) * cost),
});
type TriedBox = ReturnType<typeof boxOfSize>;

/** What one more box would change; minor units. */
export interface BoxSaving {
  saved: number;
  /** Orders with a parcel in it. */
  orders: number;
}

type Parcel = CarrierQuestion['parcels'][number];

/** Parcels alike of an order, and what is in them where a box could be exchanged for another. */
interface Part {
  run: ParcelRun;
  parcel: Parcel;
  load: Load | null;
}

/** Sizes that a load is known to go into, and not to go into. */
interface Known {
  into: Size[];
  notInto: Size[];
}

const isWithin = (one: Size, other: Size): boolean =>
  one.length <= other.length && one.width <= other.width && one.height <= other.height;

/** Whether loads go into boxes, tried anew only for a size about which those tried before say nothing. */
class Fits {
  private readonly known = new Map<string, Known>();

  goesInto(load: Load, box: TriedBox): boolean {
    const { inside } = box;
    const { into, notInto } = this.of(load);
    if (into.some((size) => isWithin(size, inside))) return true;
    if (notInto.some((size) => isWithin(inside, size))) return false;
    const found = fitsInto(load, box);
    (found ? into : notInto).push(inside);
    return found;
  }

  private of({ key }: Load): Known {
    const known = this.known.get(key) ?? { into: [], notInto: [] };
    this.known.set(key, known);
    return known;
  }
}

/** An order with its parcels, and all that is in more than one box as one load. */
interface Tried {
  order: PackedOrder;
  parts: readonly Part[];
  together: Load | null;
}

/** The contents of runs, each line once. */
const allOf = (runs: readonly ParcelRun[]): ParcelRun['contents'] => {
  const lines = new Map<number, number>();
  for (const { count, contents } of runs)
    for (const { line, quantity } of contents) lines.set(line, (lines.get(line) ?? 0) + count * quantity);
  return [...lines].map(([line, quantity]) => ({ line, quantity }));
};

const triedOrder = (order: PackedOrder, defaultWeight: number | undefined): Tried[] => {
  const { runs, lines, question } = order;
  const boxed = runs.filter(({ packed }) => packed);
  if (boxed.length === 0) return [];
  let at = 0;
  const parts = runs.map((run) => {
    const parcel = question.parcels[at] as Parcel;
    at += run.count;
    return { run, parcel, load: run.packed ? loadOf(run.contents, lines, defaultWeight) : null };
  });
  const isSplit = boxed.reduce((sum, { count }) => sum + count, 0) > 1;
  return at > question.parcels.length
    ? []
    : [{ order, parts, together: isSplit ? loadOf(allOf(boxed), lines, defaultWeight) : null }];
};

/**
 * Past orders against one more box of some size. As packing does, it takes the box for a whole order that needs more
 * than one without it, else for what is in a larger box now.
 */
export class BoxTrial {
  private readonly orders: readonly Tried[];
  private readonly leastWeight: number;
  private readonly fits = new Fits();

  constructor(
    compiled: CompiledBook,
    accountId: string,
    orders: readonly PackedOrder[],
    private readonly ask: Ask,
  ) {
    this.orders = orders.flatMap((order) => triedOrder(order, compiled.book.store.defaultWeight));
    this.leastWeight = compiled.accounts.get(accountId)?.account.leastParcelWeight ?? 0;
  }

  /** What the orders would take less with one more box; an order for which the carrier then gives no price counts against it with what it takes now. */
  saving(box: TriedBox): BoxSaving {
    let [saved, orders] = [0, 0];
    for (const one of this.orders) {
      const changed = this.changed(one, box);
      if (!changed) continue;
      const { carrier, boxes, question } = one.order;
      const asked = leastAsked(this.ask, { ...question, parcels: changed.parcels });
      saved += asked === null ? -carrier : carrier + boxes - asked - changed.boxes;
      orders += 1;
    }
    return { saved, orders };
  }

  private parcelIn(box: TriedBox, { weight }: Load): Parcel {
    return { weight: toThousandth(Math.max(weight + box.tare, this.leastWeight)), size: box.inside };
  }

  /** The parcels of an order with the box, and what all its boxes cost; null where it is not used. */
  private changed(
    { order, parts, together }: Tried,
    box: TriedBox,
  ): { parcels: Parcel[]; boxes: number } | null {
    const cost = box.cost ?? 0;
    if (together && this.fits.goesInto(together, box)) {
      const alone = parts.filter(({ run }) => !run.packed);
      return { parcels: [this.parcelIn(box, together), ...alone.flatMap(each)], boxes: cost };
    }
    let boxes = order.boxes;
    let isUsed = false;
    const parcels = parts.flatMap((part) => {
      const { run, load } = part;
      if (!load || !run.packed || !isBefore(box, run.packed.box) || !this.fits.goesInto(load, box))
        return each(part);
      isUsed = true;
      boxes += run.count * (cost - (run.packed.box.cost ?? 0));
      return each({ run, parcel: this.parcelIn(box, load) });
    });
    return isUsed ? { parcels, boxes } : null;
  }
}

const each = ({ run, parcel }: Pick<Part, 'run' | 'parcel'>): Parcel[] =>
  Array.from({ length: run.count }, () => parcel);

/** Whether packing takes a box before another that holds the same: the smaller, of equals the cheaper. */
const isBefore = (box: TriedBox, other: Box): boolean => {
  const [a, b] = [volumeOf(box.inside), volumeOf(other.inside)];
  return a < b || (a === b && (box.cost ?? 0) < (other.cost ?? 0));
};
