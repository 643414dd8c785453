import type { LineUnits, ParcelRun } from './pack.ts';

interface Bin {
  index: number;
  weight: number;
  contents: Map<number, number>;
}

/** Lighter first, equals by their place. */
const isBefore = (a: Bin, b: Bin): boolean =>
  a.weight < b.weight || (a.weight === b.weight && a.index < b.index);

/** Restores the order of a heap whose first bin has grown heavier. */
const sink = (heap: Bin[]): void => {
  let at = 0;
  for (;;) {
    const left = 2 * at + 1;
    const right = left + 1;
    let least = at;
    if (left < heap.length && isBefore(heap[left] as Bin, heap[least] as Bin)) least = left;
    if (right < heap.length && isBefore(heap[right] as Bin, heap[least] as Bin)) least = right;
    if (least === at) return;
    const held = heap[at] as Bin;
    heap[at] = heap[least] as Bin;
    heap[least] = held;
    at = least;
  }
};

/** Each unit, the heaviest first, into the lightest of so many parcels. */
const shareOut = (lots: readonly LineUnits[], count: number): Bin[] => {
  const heap = Array.from({ length: count }, (_, index): Bin => ({ index, weight: 0, contents: new Map() }));
  for (const { line, quantity, weight } of lots) {
    for (let unit = 0; unit < quantity; unit += 1) {
      const lightest = heap[0] as Bin;
      lightest.weight += weight;
      lightest.contents.set(line, (lightest.contents.get(line) ?? 0) + 1);
      sink(heap);
    }
  }
  return heap.sort((a, b) => a.index - b.index);
};

const asRun = ({ weight, contents }: Bin): ParcelRun => {
  const held = [...contents].map(([line, quantity]) => ({ line, quantity }));
  return { count: 1, weight, units: held.reduce((sum, { quantity }) => sum + quantity, 0), contents: held };
};

const MOST_PER_PARCEL = 60;

/**
 * Fewer parcels than this cannot do: for the whole weight, and for the units of which at most so many go
 * into one parcel.
 */
const leastCount = (lots: readonly LineUnits[], most: number): number => {
  const whole = lots.reduce((sum, { weight, quantity }) => sum + weight * quantity, 0);
  let least = Math.max(1, Math.ceil(whole / most));
  for (let together = 1; together <= MOST_PER_PARCEL; together += 1) {
    const units = lots.reduce(
      (sum, { weight, quantity }) => (weight * (together + 1) > most ? sum + quantity : sum),
      0,
    );
    least = Math.max(least, Math.ceil(units / together));
  }
  return least;
};

/**
 * The fewest parcels under a weight, all of about one weight: as many as the whole weight needs, the heaviest
 * unit into the lightest parcel, and one parcel more while any is over. No unit may be heavier than `most`.
 * Counts that cannot be enough whatever goes where are not tried.
 */
export const spreadEvenly = (lots: readonly LineUnits[], most: number): ParcelRun[] => {
  if (lots.length === 0) return [];
  const falling = [...lots].sort((a, b) => b.weight - a.weight);
  for (let count = leastCount(lots, most); ; count += 1) {
    const bins = shareOut(falling, count);
    if (bins.every(({ weight }) => weight <= most))
      return bins.filter(({ contents }) => contents.size > 0).map(asRun);
  }
};
