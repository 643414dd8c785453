const SIDES = 6;
/** Room for so many spaces at first; most fillings need no more. */
const FIRST_ROOM = 12;

/**
 * What is still free in a container, as the greatest cuboids that hold nothing: they overlap, and each
 * reaches as far as it can (maximal spaces). Kept as x, y, z from and to, side by side in one list.
 */
export class FreeSpace {
  count = 1;
  #list = new Int32Array(SIDES * FIRST_ROOM);
  #fresh = new Int32Array(SIDES * FIRST_ROOM);
  #freshCount = 0;

  constructor(
    private readonly length: number,
    private readonly width: number,
    private readonly height: number,
  ) {
    this.#list.set([0, 0, 0, length, width, height]);
  }

  /** One of the six sides of a space: x, y, z from, then to. */
  side(at: number, side: number): number {
    return this.#list[at * SIDES + side] as number;
  }

  remove(at: number): void {
    this.count -= 1;
    this.#list.copyWithin(at * SIDES, (at + 1) * SIDES, (this.count + 1) * SIDES);
  }

  /** The space that lies nearest to a corner of the container; of equals, the greatest. -1 where none is left. */
  nearest(): number {
    let best = -1;
    let bestAway = 0;
    let bestVolume = 0;
    for (let at = 0; at < this.count; at += 1) {
      const away =
        this.#away(at, 0, this.length) + this.#away(at, 1, this.width) + this.#away(at, 2, this.height);
      if (best >= 0 && away > bestAway) continue;
      const volume = this.#extent(at, 0) * this.#extent(at, 1) * this.#extent(at, 2);
      if (best >= 0 && away === bestAway && volume <= bestVolume) continue;
      best = at;
      bestAway = away;
      bestVolume = volume;
    }
    return best;
  }

  /** Takes a cuboid out of all spaces; what is left of one is dropped where it is thinner than `least`. */
  take(x0: number, y0: number, z0: number, x1: number, y1: number, z1: number, least: number): void {
    const taken = [x0, y0, z0, x1, y1, z1];
    const { count } = this;
    this.count = 0;
    this.#freshCount = 0;
    for (let at = 0; at < count; at += 1) {
      if (this.#isClear(at, taken)) this.#keep(at);
      else this.#split(at, taken, least);
    }
    const kept = this.count;
    for (let fresh = 0; fresh < this.#freshCount; fresh += 1) this.#addFresh(fresh, kept);
  }

  #extent(at: number, axis: number): number {
    return this.side(at, axis + 3) - this.side(at, axis);
  }

  #away(at: number, axis: number, whole: number): number {
    return Math.min(this.side(at, axis), whole - this.side(at, axis + 3));
  }

  #isClear(at: number, taken: readonly number[]): boolean {
    for (let axis = 0; axis < 3; axis += 1)
      if (
        this.side(at, axis) >= (taken[axis + 3] as number) ||
        this.side(at, axis + 3) <= (taken[axis] as number)
      )
        return true;
    return false;
  }

  #keep(at: number): void {
    if (at !== this.count) this.#list.copyWithin(this.count * SIDES, at * SIDES, (at + 1) * SIDES);
    this.count += 1;
  }

  /** The up to six parts of a space that lie beside what was taken. */
  #split(at: number, taken: readonly number[], least: number): void {
    for (let axis = 0; axis < 3; axis += 1) {
      const [from, to] = [taken[axis] as number, taken[axis + 3] as number];
      if (from - this.side(at, axis) >= least) this.#pushFresh(at, axis + 3, from);
      if (this.side(at, axis + 3) - to >= least) this.#pushFresh(at, axis, to);
    }
  }

  /** A space with one of its sides moved. */
  #pushFresh(at: number, side: number, value: number): void {
    const start = this.#freshCount * SIDES;
    if (start + SIDES > this.#fresh.length) this.#fresh = grown(this.#fresh);
    for (let one = 0; one < SIDES; one += 1) this.#fresh[start + one] = this.side(at, one);
    this.#fresh[start + side] = value;
    this.#freshCount += 1;
  }

  /** A part becomes a space unless another holds it. */
  #addFresh(at: number, kept: number): void {
    for (let other = 0; other < kept; other += 1)
      if (holds(this.#list, other * SIDES, this.#fresh, at * SIDES)) return;
    for (let other = 0; other < this.#freshCount; other += 1) {
      if (other === at || !holds(this.#fresh, other * SIDES, this.#fresh, at * SIDES)) continue;
      const same = holds(this.#fresh, at * SIDES, this.#fresh, other * SIDES);
      if (!same || other > at) return;
    }
    if ((this.count + 1) * SIDES > this.#list.length) this.#list = grown(this.#list);
    for (let one = 0; one < SIDES; one += 1)
      this.#list[this.count * SIDES + one] = this.#fresh[at * SIDES + one] as number;
    this.count += 1;
  }
}

const grown = (list: Int32Array): Int32Array<ArrayBuffer> => {
  const more = new Int32Array(list.length * 2);
  more.set(list);
  return more;
};

const holds = (outer: Int32Array, a: number, inner: Int32Array, b: number): boolean =>
  (outer[a] as number) <= (inner[b] as number) &&
  (outer[a + 1] as number) <= (inner[b + 1] as number) &&
  (outer[a + 2] as number) <= (inner[b + 2] as number) &&
  (outer[a + 3] as number) >= (inner[b + 3] as number) &&
  (outer[a + 4] as number) >= (inner[b + 4] as number) &&
  (outer[a + 5] as number) >= (inner[b + 5] as number);
