import { seeded } from '../seeded.ts';
import { manners } from './best-filling.ts';
import { goesInto, volumeOf, type Container, type Filling, type Kind } from './cuboid.ts';
import { fill, type PackingStrategy, type Work } from './fill.ts';

/** A box that goods may be packed into, and what using one costs. */
export interface PackBox extends Container {
  cost: number;
}

/** So many boxes filled alike. */
export interface BoxRun {
  box: number;
  count: number;
  filling: Filling;
}

type Counts = readonly number[];

/** The limit of work for one basket, in placements tried. */
const MOST_TRIED = 60_000;
/** What keeping the free space of one block costs, in placements. */
const BLOCK_WORK = 80;
/** What one way of sharing out costs beside its fillings. */
const WAY_WORK = 400;
/** Fillings tried before a box is taken to be too small for the whole basket, and for a part of it. */
const WHOLE_TRIES = 8;
const PART_TRIES = 2;
/** How often a way begins with the greatest box. */
const GREATEST_FIRST = 0.6;

const minus = (counts: Counts, used: Counts, times: number): number[] =>
  counts.map((count, kind) => count - times * (used[kind] as number));

/** How many boxes can be filled alike. */
const timesIn = (counts: Counts, used: Counts): number =>
  used.reduce(
    (times, one, kind) => (one === 0 ? times : Math.min(times, Math.floor((counts[kind] as number) / one))),
    Number.POSITIVE_INFINITY,
  );

/** One basket and the boxes there are, in order of their volume and then their cost. */
class Packer {
  private readonly random = seeded(1);
  private readonly next: () => PackingStrategy;
  private readonly volumes: readonly number[];
  private readonly known = new Map<string, Filling | null>();

  constructor(
    private readonly kinds: readonly Kind[],
    private readonly boxes: readonly PackBox[],
    private readonly work: Work,
  ) {
    this.volumes = boxes.map(volumeOf);
    this.next = manners(kinds.length);
  }

  /** The best way of sharing out found within the limit: fewest boxes, then least volume, then least cost. */
  pack(counts: Counts): BoxRun[] {
    const one = this.leastBox(counts, WHOLE_TRIES);
    if (one) return [one];
    let best = this.shrunk(this.shareOut(counts, true, Number.POSITIVE_INFINITY) as BoxRun[]);
    while (this.work.left > 0) {
      const made = this.shareOut(counts, this.random() < GREATEST_FIRST, this.measure(best)[0]);
      const runs = made && this.shrunk(made);
      if (runs && this.isBetter(runs, best)) best = runs;
    }
    return best;
  }

  /** Whether one box holds all of the units. */
  holdsAll(counts: Counts): boolean {
    return this.whole(counts, 0, WHOLE_TRIES) !== null;
  }

  private total(counts: Counts, of: 'volume' | 'weight'): number {
    let all = 0;
    for (let kind = 0; kind < counts.length; kind += 1)
      all += (this.kinds[kind] as Kind)[of] * (counts[kind] as number);
    return all;
  }

  private filling(counts: Counts, box: number): Filling {
    const filling = fill(this.kinds, counts, this.boxes[box] as PackBox, this.next(), this.work);
    this.work.left -= BLOCK_WORK * filling.blocks.length;
    return filling;
  }

  /** All of the units in one box, or null where no filling tried holds them. */
  private whole(counts: Counts, box: number, tries: number): Filling | null {
    const volume = this.total(counts, 'volume');
    const { maxWeight } = this.boxes[box] as PackBox;
    if (volume > (this.volumes[box] as number) || this.total(counts, 'weight') > maxWeight) return null;
    const key = `${box}:${counts.join()}`;
    const known = this.known.get(key);
    if (known !== undefined) return known;
    let found: Filling | null = null;
    for (let tried = 0; tried < tries && !found && (tried === 0 || this.work.left > 0); tried += 1) {
      const filling = this.filling(counts, box);
      if (counts.every((units, kind) => units === filling.used[kind])) found = filling;
    }
    this.known.set(key, found);
    return found;
  }

  /** The least box that holds all of the units. */
  private leastBox(counts: Counts, tries: number): BoxRun | null {
    for (let box = 0; box < this.boxes.length; box += 1) {
      const filling = this.whole(counts, box, tries);
      if (filling) return { box, count: 1, filling };
    }
    return null;
  }

  /** A filling of the greatest box, or of some other, that anything goes into; and of which box. */
  private fullBox(counts: Counts, greatest: boolean): Omit<BoxRun, 'count'> {
    const { length } = this.boxes;
    const start = greatest ? length - 1 : Math.floor(this.random() * length);
    for (let step = 0; step < length; step += 1) {
      const box = (start - step + length) % length;
      const filling = this.filling(counts, box);
      if (filling.blocks.length > 0) return { box, filling };
    }
    throw new Error('a unit that fits no box');
  }

  /** One way of sharing the units out, box after box; null where it takes more boxes than `most`. */
  private shareOut(counts: Counts, greatest: boolean, most: number): BoxRun[] | null {
    this.work.left -= WAY_WORK;
    const runs: BoxRun[] = [];
    let left = counts;
    let count = 0;
    for (;;) {
      const last = this.leastBox(left, PART_TRIES);
      if (last) return [...runs, last];
      if (count + 2 > most) return null;
      const { box, filling } = this.fullBox(left, greatest);
      const times = timesIn(left, filling.used);
      runs.push({ box, count: times, filling });
      count += times;
      left = minus(left, filling.used, times);
      if (left.every((units) => units === 0)) return runs;
    }
  }

  /** Each box exchanged for the least one that holds what is in it. */
  private shrunk(runs: readonly BoxRun[]): BoxRun[] {
    return runs.map((run) => {
      const least = this.leastBox(run.filling.used, PART_TRIES);
      return least && least.box < run.box ? { ...least, count: run.count } : run;
    });
  }

  private measure(runs: readonly BoxRun[]): [count: number, volume: number, cost: number] {
    let [count, volume, cost] = [0, 0, 0];
    for (const run of runs) {
      count += run.count;
      volume += run.count * (this.volumes[run.box] as number);
      cost += run.count * (this.boxes[run.box] as PackBox).cost;
    }
    return [count, volume, cost];
  }

  private isBetter(runs: readonly BoxRun[], than: readonly BoxRun[]): boolean {
    const [a, b] = [this.measure(runs), this.measure(than)];
    if (a[0] !== b[0]) return a[0] < b[0];
    return a[1] === b[1] ? a[2] < b[2] : a[1] < b[1];
  }
}

/** The kinds that go into none of the boxes, by their place. */
export const tooLarge = (kinds: readonly Kind[], boxes: readonly PackBox[]): number[] =>
  kinds.flatMap((kind, at) => (boxes.some((box) => goesInto(kind, box)) ? [] : [at]));

/**
 * Units in boxes: every one placed, none over another, all inside, contents within each box's weight; the
 * fewest boxes, then least volume, then least cost that are found within a limit of work counted in
 * placements tried. The same input always gives the same. Each kind goes into some box (`tooLarge`).
 */
export const intoBoxes = (kinds: readonly Kind[], boxes: readonly PackBox[]): BoxRun[] => {
  const order = boxes
    .map((box, at) => ({ box, at, volume: volumeOf(box) }))
    .sort((a, b) => a.volume - b.volume || a.box.cost - b.box.cost || a.at - b.at);
  const packer = new Packer(
    kinds,
    order.map(({ box }) => box),
    { left: MOST_TRIED },
  );
  return packer
    .pack(kinds.map(({ quantity }) => quantity))
    .map((run) => ({ ...run, box: (order[run.box] as { at: number }).at }));
};

/** Whether all units go into one box together, as `intoBoxes` would find it. */
export const goIntoOne = (kinds: readonly Kind[], box: PackBox): boolean =>
  new Packer(kinds, [box], { left: MOST_TRIED }).holdsAll(kinds.map(({ quantity }) => quantity));
