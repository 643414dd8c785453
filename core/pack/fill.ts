import type { Block, Container, Filling, Kind, Turn } from './cuboid.ts';
import { FreeSpace } from './free-space.ts';

/** A limit of work, counted in placements tried, so that the same input always gives the same. */
export interface Work {
  left: number;
}

/** How a filling goes about it: what makes one block better than another, and how each kind is favoured. */
export interface PackingStrategy {
  /** `least-waste`: much volume, little that becomes too thin for anything; `best-fit`: close to the free space's sides. */
  prefers: 'least-waste' | 'best-fit';
  /** A factor for each kind, about 1. */
  favour: readonly number[];
}

interface Space {
  length: number;
  width: number;
  height: number;
}

interface Candidate {
  kind: number;
  turn: Turn;
  nx: number;
  ny: number;
  nz: number;
  score: number;
}

const thin = (rest: number, least: number, area: number): number =>
  rest > 0 && rest < least ? rest * area : 0;

const wasteScore = (space: Space, l: number, w: number, h: number, favour: number, least: number): number =>
  l * w * h * favour -
  thin(space.length - l, least, space.width * space.height) -
  thin(space.width - w, least, space.length * space.height) -
  thin(space.height - h, least, space.length * space.width);

const fitScore = (space: Space, l: number, w: number, h: number, favour: number): number => {
  const x = 1 - l / space.length;
  const y = 1 - w / space.width;
  const z = 1 - h / space.height;
  const share = (l * w * h) / (space.length * space.width * space.height);
  return 0.5 * share * favour - Math.min(x, y, z) - 0.01 * (x + y + z);
};

/** The next smaller number of units side by side to try: each one up to eight, then a sixth less at a time. */
const fewer = (units: number): number => units - Math.max(1, Math.floor(units / 6 - 0.5));

/** One container being filled. */
class Filler {
  private readonly left: number[];
  private readonly free: FreeSpace;
  private readonly blocks: Block[] = [];
  private weightLeft: number;
  private volume = 0;
  private best: Candidate | null = null;

  constructor(
    private readonly kinds: readonly Kind[],
    private readonly counts: readonly number[],
    private readonly container: Container,
    private readonly manner: PackingStrategy,
    private readonly work: Work,
  ) {
    this.left = [...counts];
    this.free = new FreeSpace(container.length, container.width, container.height);
    this.weightLeft = container.maxWeight;
  }

  fill(): Filling {
    let least = this.leastSide();
    while (least < Number.POSITIVE_INFINITY) {
      const at = this.free.nearest();
      if (at < 0) break;
      const found = this.bestFor(at, least);
      if (!found) {
        this.free.remove(at);
        continue;
      }
      this.place(at, found);
      least = this.leastSide();
      this.takeOut(least);
    }
    const used = this.counts.map((count, kind) => count - (this.left[kind] as number));
    return { blocks: this.blocks, used, volume: this.volume };
  }

  /** The shortest side of what is left to place and light enough. */
  private leastSide(): number {
    let least = Number.POSITIVE_INFINITY;
    for (let kind = 0; kind < this.left.length; kind += 1)
      if (this.most(kind) > 0) least = Math.min(least, (this.kinds[kind] as Kind).least);
    return least;
  }

  private most(kind: number): number {
    const left = this.left[kind] as number;
    const { weight } = this.kinds[kind] as Kind;
    return weight === 0 ? left : Math.min(left, Math.floor(this.weightLeft / weight));
  }

  private bestFor(at: number, least: number): Candidate | null {
    const space = {
      length: this.free.side(at, 3) - this.free.side(at, 0),
      width: this.free.side(at, 4) - this.free.side(at, 1),
      height: this.free.side(at, 5) - this.free.side(at, 2),
    };
    this.best = null;
    for (let kind = 0; kind < this.kinds.length; kind += 1) {
      const most = this.most(kind);
      if (most < 1) continue;
      for (const turn of (this.kinds[kind] as Kind).turns)
        if (turn[0] <= space.length && turn[1] <= space.width && turn[2] <= space.height)
          this.tryBlocks(space, kind, turn, most, least);
    }
    return this.best;
  }

  /** The blocks of one kind and turn that the space and the number of units allow, as high as may be. */
  private tryBlocks(space: Space, kind: number, turn: Turn, most: number, least: number): void {
    const [l, w, h] = turn;
    const favour = this.manner.favour[kind] ?? 1;
    const wasteful = this.manner.prefers === 'least-waste';
    const deep = Math.floor(space.width / w);
    const high = Math.floor(space.height / h);
    for (let nx = Math.min(most, Math.floor(space.length / l)); nx >= 1; nx = fewer(nx)) {
      for (let ny = Math.min(Math.floor(most / nx), deep); ny >= 1; ny = fewer(ny)) {
        const nz = Math.min(Math.floor(most / (nx * ny)), high);
        this.work.left -= 1;
        const score = wasteful
          ? wasteScore(space, nx * l, ny * w, nz * h, favour, least)
          : fitScore(space, nx * l, ny * w, nz * h, favour);
        if (!this.best || score > this.best.score) this.best = { kind, turn, nx, ny, nz, score };
      }
    }
  }

  /** Sets a block into the corner of its space that is nearest to a corner of the container. */
  private place(at: number, { kind, turn, nx, ny, nz }: Candidate): void {
    const { length, width, height } = this.container;
    const corner = (axis: number, whole: number, extent: number): number => {
      const [from, to] = [this.free.side(at, axis), this.free.side(at, axis + 3)];
      return from <= whole - to ? from : to - extent;
    };
    this.blocks.push({
      kind,
      turn,
      across: [nx, ny, nz],
      x: corner(0, length, nx * turn[0]),
      y: corner(1, width, ny * turn[1]),
      z: corner(2, height, nz * turn[2]),
    });
    const units = nx * ny * nz;
    this.left[kind] = (this.left[kind] as number) - units;
    this.weightLeft -= units * (this.kinds[kind] as Kind).weight;
    this.volume += units * (this.kinds[kind] as Kind).volume;
  }

  private takeOut(least: number): void {
    const { x, y, z, turn, across } = this.blocks.at(-1) as Block;
    const [l, w, h] = turn;
    const [nx, ny, nz] = across;
    this.free.take(x, y, z, x + nx * l, y + ny * w, z + nz * h, least);
  }
}

/**
 * One container filled with units, block by block: the free space nearest to a corner takes the block that
 * scores best in it, until nothing more goes in. Greedy; better fillings come of trying several manners.
 * After Eley's blocks of units alike and the maximal spaces of Lai and Chan.
 */
export const fill = (
  kinds: readonly Kind[],
  counts: readonly number[],
  container: Container,
  manner: PackingStrategy,
  work: Work,
): Filling => new Filler(kinds, counts, container, manner, work).fill();
