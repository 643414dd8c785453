import { pack3D } from 'binpackingjs/3d';
import { bestFilling } from '../core/pack/best-filling.ts';
import { makeKind, volumeOf, type Kind } from '../core/pack/cuboid.ts';
import { intoBoxes, type PackBox } from '../core/pack/into-boxes.ts';
import type { Size } from '../core/model/good.ts';
import { seeded } from '../core/seeded.ts';

/** The container and the goods of Bischoff and Ratcliff's tests of 1995, in their manner: seeded, six turns each. */
const CONTAINER = { length: 587, width: 233, height: 220, maxWeight: 1_000_000 };
const ROOM = volumeOf(CONTAINER);
const INSTANCES = 20;
const TRIED = 1_000_000;

type Sides = [number, number, number];

const between = (random: () => number, least: number, most: number): number =>
  least + Math.floor(random() * (most - least + 1));

const containerful = (kinds: number, seed: number): Kind[] => {
  const random = seeded(seed);
  const sizes = Array.from({ length: kinds }, () => ({
    length: between(random, 30, 120),
    width: between(random, 25, 100),
    height: between(random, 20, 80),
  }));
  const counts = sizes.map(() => 0);
  for (let left = ROOM; ;) {
    const at = between(random, 0, kinds - 1);
    left -= volumeOf(sizes[at] as Size);
    if (left < 0) return sizes.map((size, kind) => makeKind(size, counts[kind] as number));
    counts[at] = (counts[at] as number) + 1;
  }
};

const unitsOf = (kinds: readonly Kind[]): Sides[] =>
  kinds.flatMap(({ turns, quantity }) =>
    Array.from({ length: quantity }, () => [...(turns[0] as Sides)] as Sides),
  );

/** How much of one container the peer fills, its sides given in an order. */
const peerFill = (units: readonly Sides[], [a, b, c]: readonly number[]): number => {
  const sides = [CONTAINER.length, CONTAINER.width, CONTAINER.height];
  const { packedBins } = pack3D({
    bins: [
      {
        name: 'c',
        width: sides[a ?? 0] ?? 0,
        height: sides[b ?? 1] ?? 0,
        depth: sides[c ?? 2] ?? 0,
        maxWeight: 1e9,
      },
    ],
    items: units.map(([width, height, depth], at) => ({ name: String(at), width, height, depth, weight: 1 })),
  });
  return (
    (packedBins[0]?.items ?? []).reduce((sum, { width, height, depth }) => sum + width * height * depth, 0) /
    ROOM
  );
};

const ORDERS = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 0, 2],
  [1, 2, 0],
  [2, 0, 1],
  [2, 1, 0],
];

export interface Report {
  print: (name: string, figure: string, target?: string) => void;
  expect: (name: string, reached: boolean, figure: string, target: string) => void;
}

const percent = (share: number): string => `${(share * 100).toFixed(2)} %`;
const mean = (figures: readonly number[]): number =>
  figures.reduce((sum, one) => sum + one, 0) / figures.length;

const benchContainers = ({ expect }: Report): void => {
  for (const kinds of [3, 8, 15]) {
    const instances = Array.from({ length: INSTANCES }, (_, at) => containerful(kinds, kinds * 1_000 + at));
    const from = performance.now();
    const ours = instances.map(
      (units) =>
        bestFilling(
          units,
          units.map(({ quantity }) => quantity),
          CONTAINER,
          { left: TRIED },
        ).volume / ROOM,
    );
    const each = (performance.now() - from) / INSTANCES;
    const peers = instances.map((units) => ORDERS.map((order) => peerFill(unitsOf(units), order)));
    const plain = mean(peers.map(([first]) => first ?? 0));
    const best = mean(peers.map((all) => Math.max(...all)));
    const share = mean(ours);
    expect(
      `container of ${kinds} kinds, volume used`,
      share > best && share >= 0.87 && each < 1_000,
      `${percent(share)}, ${each.toFixed(0)} ms`,
      `above the peer (${percent(plain)}, best of six ${percent(best)}), 87 % in 1 s`,
    );
  }
};

const BOXES: PackBox[] = [
  [150, 150, 150],
  [200, 200, 150],
  [300, 200, 150],
  [300, 300, 200],
  [400, 300, 250],
  [400, 400, 300],
  [500, 400, 350],
  [600, 450, 450],
].map(([length = 0, width = 0, height = 0]) => ({ length, width, height, maxWeight: 1e9, cost: 0 }));
const BASKETS = 1_000;

const peerParcels = (units: readonly Sides[]): number =>
  pack3D({
    bins: Array.from({ length: units.length }, (_, at) => ({
      name: String(at),
      width: 600,
      height: 450,
      depth: 450,
      maxWeight: 1e9,
    })),
    items: units.map(([width, height, depth], at) => ({ name: String(at), width, height, depth, weight: 1 })),
  }).packedBins.filter(({ items }) => items.length > 0).length;

const benchParcels = ({ expect, print }: Report): void => {
  const random = seeded(42);
  const side = (): number => between(random, 50, 400);
  const baskets = Array.from({ length: BASKETS }, () =>
    Array.from({ length: between(random, 1, 12) }, (): Sides => [side(), side(), side()]),
  );
  const times: number[] = [];
  let [parcels, peers, worse, volume, bound] = [0, 0, 0, 0, 0];
  for (const units of baskets) {
    const kinds = units.map(([length, width, height]) => makeKind({ length, width, height }, 1));
    const from = performance.now();
    const runs = intoBoxes(kinds, BOXES);
    times.push(performance.now() - from);
    const count = runs.reduce((sum, run) => sum + run.count, 0);
    const peer = peerParcels(units);
    parcels += count;
    peers += peer;
    if (count > peer) worse += 1;
    volume += runs.reduce((sum, run) => sum + run.count * volumeOf(BOXES[run.box] as PackBox), 0);
    bound += Math.ceil(kinds.reduce((sum, kind) => sum + kind.volume, 0) / (600 * 450 * 450));
  }
  times.sort((a, b) => a - b);
  const slowest = times[Math.floor(BASKETS * 0.99)] ?? 0;
  expect(
    'parcels to a basket of 1 to 12 units',
    parcels / BASKETS <= 1.4,
    (parcels / BASKETS).toFixed(3),
    `1.40 (peer ${(peers / BASKETS).toFixed(3)}, bound ${(bound / BASKETS).toFixed(3)})`,
  );
  expect('baskets in more parcels than the peer’s', worse === 0, String(worse), 'none');
  expect('packing a basket, 99th percentile', slowest < 20, `${slowest.toFixed(1)} ms`, '20 ms');
  print('volume of boxes to a basket', `${(volume / BASKETS / 1_000_000).toFixed(1)} L`);
};

const benchSixty = ({ expect }: Report): void => {
  const random = seeded(7);
  const kinds = Array.from({ length: 60 }, () =>
    makeKind(
      { length: between(random, 50, 300), width: between(random, 50, 250), height: between(random, 20, 200) },
      1,
    ),
  );
  const times = Array.from({ length: 9 }, () => {
    const from = performance.now();
    intoBoxes(kinds, BOXES);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  expect('packing 60 units of 60 sizes', (times[4] ?? 0) < 50, `${(times[4] ?? 0).toFixed(1)} ms`, '50 ms');
};

/** Packing against `binpackingjs`, as it comes and as the best of its six axis orders, in the same run. */
export const benchPacking = (report: Report): void => {
  benchContainers(report);
  benchParcels(report);
  benchSixty(report);
};
