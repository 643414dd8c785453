/** One entry of a list of regions, and whose it is. */
export interface Claim<T> {
  owner: T;
  /** The owner's place in the list: of equals, the first wins. */
  order: number;
  /** The entry as the merchant wrote it: 'B0C*', 'CA-NS', 'CA'. */
  entry: string;
}

/** No claim. */
export const NONE = -1;

/**
 * Claims by number, chained where several are filed under one key, their fields side by side in flat
 * lists so that a look-up among many touches little memory. A chain is in the order of its owners.
 */
export class ClaimList<T> {
  readonly #owners: T[] = [];
  readonly #orders: number[] = [];
  readonly #entries: string[] = [];
  readonly #next: number[] = [];

  /** A new owner, the next in order. */
  addOwner(owner: T): number {
    return this.#owners.push(owner) - 1;
  }

  /** The chain that begins at `head`, with a claim of the newest owner at its end; gives the chain's head. */
  append(head: number, order: number, entry: string): number {
    const last = this.#lastOf(head);
    if (last !== NONE && this.#orders[last] === order) return head;
    const claim = this.#orders.push(order) - 1;
    this.#entries.push(entry);
    this.#next.push(NONE);
    if (last === NONE) return claim;
    this.#next[last] = claim;
    return head;
  }

  /** Of two claims, the one whose owner comes first. */
  earlier(a: number, b: number): number {
    if (a === NONE || b === NONE) return a === NONE ? b : a;
    return (this.#orders[b] as number) < (this.#orders[a] as number) ? b : a;
  }

  /** The first claim of a chain whose owner is accepted, or none. */
  first(head: number, accepts: (owner: T) => boolean): number {
    for (let claim = head; claim !== NONE; claim = this.#next[claim] as number) {
      if (accepts(this.#owners[this.#orders[claim] as number] as T)) return claim;
    }
    return NONE;
  }

  /** Puts each claim of a chain, in order, after those found so far. */
  collect(head: number, found: Claim<T>[]): void {
    for (let claim = head; claim !== NONE; claim = this.#next[claim] as number) found.push(this.read(claim));
  }

  ownerOf(claim: number): T {
    return this.#owners[this.#orders[claim] as number] as T;
  }

  read(claim: number): Claim<T> {
    const order = this.#orders[claim] as number;
    return { owner: this.#owners[order] as T, order, entry: this.#entries[claim] as string };
  }

  #lastOf(head: number): number {
    let last = head;
    while (last !== NONE && this.#next[last] !== NONE) last = this.#next[last] as number;
    return last;
  }
}
