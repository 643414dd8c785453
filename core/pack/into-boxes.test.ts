import fc from 'fast-check';
import type { Box } from '../model/pack.ts';
import type { Parcel } from '../model/quote.ts';
import type { Good } from '../model/good.ts';
import { seeded } from '../seeded.ts';
import { makeGood } from '../testing/book.ts';
import type { BasketLine } from '../basket/basket.ts';
import { bestFilling } from './best-filling.ts';
import { makeKind, volumeOf, type Kind } from './cuboid.ts';
import { fill } from './fill.ts';
import { intoBoxes } from './into-boxes.ts';
import { listParcels } from './list.ts';
import { pack } from './pack.ts';
import { packingOf, type Packing } from './packing.ts';

const makeBox = (id: string, sides: readonly [number, number, number], part: Partial<Box> = {}): Box => ({
  id,
  name: id,
  inside: { length: sides[0], width: sides[1], height: sides[2] },
  maxWeight: 30_000,
  tare: 200,
  ...part,
});
const line = (
  sku: string,
  quantity: number,
  sides: readonly number[],
  part: Partial<Good> = {},
): BasketLine => ({
  good: makeGood(sku, {
    size: { length: sides[0] ?? 0, width: sides[1] ?? 0, height: sides[2] ?? 0 },
    ...part,
  }),
  quantity,
});
const packingIn = (...boxes: Box[]): Packing =>
  packingOf({ kind: 'boxes', boxIds: boxes.map(({ id }) => id) }, boxes);

type Placed = NonNullable<Parcel['placed']>[number];

const span = (at: number, extent: number): [number, number] => [at, at + extent];
const apart = (a: [number, number], b: [number, number]): boolean => a[1] <= b[0] || b[1] <= a[0];
const spansOf = ({ x, y, z, size }: Placed): [number, number][] => [
  span(x, size.length),
  span(y, size.width),
  span(z, size.height),
];

/** What is wrong with a packed basket, found without knowing how it was packed; nothing where all is well. */
const wrongIn = (
  parcels: readonly Parcel[],
  lines: readonly BasketLine[],
  boxes: readonly Box[],
): string[] => {
  const wrong: string[] = [];
  const goods = new Map(lines.map(({ good }) => [good.sku, good]));
  for (const { boxId, weight, placed = [], contents, fill: share } of parcels) {
    const box = boxes.find(({ id }) => id === boxId);
    if (!box) continue;
    const inside = [box.inside.length, box.inside.width, box.inside.height];
    placed.forEach((one, at) => {
      const good = goods.get(one.sku) as Good;
      const sides = [one.size.length, one.size.width, one.size.height];
      const own = [good.size?.length ?? 0, good.size?.width ?? 0, good.size?.height ?? 0];
      if (spansOf(one).some(([from, to], axis) => from < 0 || to > (inside[axis] as number)))
        wrong.push(`${one.sku} sticks out of ${box.id}`);
      if ([...sides].sort().join() !== [...own].sort().join()) wrong.push(`${one.sku} changed its size`);
      if (good.keepUpright && one.size.height !== good.size?.height) wrong.push(`${one.sku} was laid down`);
      for (const other of placed.slice(at + 1))
        if (!spansOf(one).some((here, axis) => apart(here, spansOf(other)[axis] as [number, number])))
          wrong.push(`${one.sku} overlaps ${other.sku} in ${box.id}`);
    });
    const net = placed.reduce((sum, { sku }) => sum + (goods.get(sku)?.weight ?? 0), 0);
    if (net > box.maxWeight) wrong.push(`${box.id} is too heavy`);
    if (net + box.tare !== weight) wrong.push(`${box.id} weighs ${weight}, not ${net + box.tare}`);
    for (const { sku, quantity } of contents)
      if (placed.filter((one) => one.sku === sku).length !== quantity) wrong.push(`${sku} was miscounted`);
    const volume = placed.reduce((sum, { size }) => sum + volumeOf(size), 0);
    if (Math.abs((share ?? 0) - volume / volumeOf(box.inside)) > 1e-9)
      wrong.push(`${box.id} has another fill`);
  }
  for (const { good, quantity } of lines) {
    const there = parcels.flatMap(({ contents }) => contents).filter(({ sku }) => sku === good.sku);
    if (there.reduce((sum, one) => sum + one.quantity, 0) !== quantity) wrong.push(`${good.sku} was lost`);
  }
  return wrong;
};

const side = (most: number): fc.Arbitrary<number> => fc.integer({ min: 1, max: most });
const someLines = fc
  .array(
    fc.record({
      quantity: fc.integer({ min: 1, max: 14 }),
      sides: fc.tuple(side(300), side(300), side(300)),
      weight: fc.integer({ min: 0, max: 4_000 }),
      keepUpright: fc.boolean(),
      packsAlone: fc.integer({ min: 0, max: 9 }).map((one) => one === 0),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((some) => some.map(({ quantity, sides, ...part }, at) => line(`g${at}`, quantity, sides, part)));
const someBoxes = fc
  .array(fc.tuple(side(600), side(500), side(500), fc.integer({ min: 4_000, max: 30_000 })), { maxLength: 4 })
  .map((some) => [
    makeBox('great', [650, 450, 400]),
    ...some.map(([l, w, h, maxWeight], at) => makeBox(`b${at}`, [l, w, h], { maxWeight })),
  ]);

describe('a basket in boxes', () => {
  test('lies in them without overlap, inside, turned as it may be, none lost, none too heavy', () => {
    fc.assert(
      fc.property(someLines, someBoxes, (lines, boxes) => {
        const parcels = listParcels(packingIn(...boxes), lines, undefined);
        expect(parcels.length).toBeGreaterThan(0);
        expect(wrongIn(parcels, lines, boxes)).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });

  test('is packed the same every time', () => {
    fc.assert(
      fc.property(someLines, someBoxes, (lines, boxes) => {
        const twice = [1, 2].map(() => listParcels(packingIn(...boxes), lines, undefined));
        expect(twice[1]).toEqual(twice[0]);
      }),
      { numRuns: 25 },
    );
  });

  test('takes the least box that holds it, and of equal boxes the cheaper', () => {
    const boxes = [
      makeBox('big', [400, 300, 200]),
      makeBox('dear', [200, 100, 100], { cost: 90 }),
      makeBox('cheap', [100, 200, 100], { cost: 40 }),
    ];
    const [parcel] = listParcels(packingIn(...boxes), [line('mug', 2, [100, 100, 100])], undefined);
    expect(parcel).toMatchObject({ boxId: 'cheap', fill: 1, weight: 1_200 });
    const [laid] = listParcels(packingIn(...boxes), [line('vase', 1, [90, 90, 190])], undefined);
    expect(laid?.boxId).toBe('cheap');
    const upright = line('vase', 1, [90, 90, 190], { keepUpright: true });
    expect(listParcels(packingIn(...boxes), [upright], undefined)[0]?.boxId).toBe('big');
  });

  test('takes fewer parcels before smaller ones, and as few as the weight allows', () => {
    const boxes = [makeBox('small', [100, 100, 100]), makeBox('large', [500, 100, 100])];
    const cubes = line('cube', 3, [100, 100, 100], { weight: 9_000 });
    expect(listParcels(packingIn(...boxes), [cubes], undefined).map(({ boxId }) => boxId)).toEqual(['large']);
    const heavier = line('cube', 4, [100, 100, 100], { weight: 9_000 });
    const parcels = listParcels(packingIn(...boxes), [heavier], undefined);
    expect(parcels.map(({ boxId, weight }) => [boxId, weight])).toEqual([
      ['large', 27_200],
      ['small', 9_200],
    ]);
  });

  test('keeps goods that are their own carton out of the boxes', () => {
    const lines = [line('set', 2, [900, 900, 900], { packsAlone: true }), line('mug', 1, [90, 90, 90])];
    const parcels = listParcels(packingIn(makeBox('small', [100, 100, 100])), lines, undefined);
    expect(parcels.map(({ boxId, size }) => [boxId, size?.length])).toEqual([
      ['small', 100],
      [undefined, 900],
      [undefined, 900],
    ]);
  });

  test('is refused where a unit goes into none, or its size or weight is not known', () => {
    const packing = packingIn(makeBox('small', [100, 100, 100], { maxWeight: 1_000 }));
    const refusal = (one: BasketLine) => {
      const packed = pack(packing, [line('mug', 1, [90, 90, 90]), one], undefined);
      return packed.ok ? null : [packed.refusal.code, packed.refusal.from?.id];
    };
    expect(refusal(line('cane', 1, [1_800, 20, 20]))).toEqual(['does-not-pack', 'cane']);
    expect(refusal(line('lead', 1, [90, 90, 90], { weight: 1_001 }))).toEqual(['does-not-pack', 'lead']);
    expect(refusal(line('fog', 1, [], { size: undefined }))).toEqual(['size-unknown', 'fog']);
    expect(refusal(line('air', 1, [9, 9, 9], { weight: undefined }))).toEqual(['weight-unknown', 'air']);
    expect(pack(packingIn(), [line('mug', 1, [9, 9, 9])], undefined).ok).toBe(false);
  });

  test('of a hundred thousand units is packed in boxes alike', () => {
    const packing = packingIn(makeBox('great', [600, 450, 450]), makeBox('small', [200, 200, 200]));
    const lines = [line('brick', 99_999, [210, 100, 65], { weight: 0 }), line('mug', 5_001, [90, 90, 90])];
    const packed = pack(packing, lines, undefined);
    if (!packed.ok) throw new Error(packed.refusal.code);
    const units = packed.runs.reduce((sum, { count, units: each }) => sum + count * each, 0);
    expect(units).toBe(105_000);
    expect(packed.runs.length).toBeLessThan(40);
  });

  test('uses a carrier’s own boxes only for that carrier', () => {
    const own = makeBox('flat-rate', [300, 200, 100], { carrierBox: { carrier: 'gannet', code: 'G1' } });
    const boxes = [own, makeBox('plain', [400, 200, 100])];
    const plan = { kind: 'boxes', boxIds: ['flat-rate', 'plain'] } as const;
    const ids = (carrier?: string): string[] =>
      packingOf({ ...plan, boxIds: [...plan.boxIds] }, boxes, carrier).boxes.map(({ id }) => id);
    expect([ids('gannet'), ids('fulmar'), ids()]).toEqual([
      ['flat-rate', 'plain'],
      ['plain'],
      ['flat-rate', 'plain'],
    ]);
  });
});

/** A basket of so many kinds that come close to filling a container, after Bischoff and Ratcliff. */
const containerful = (kinds: number, seed: number, room: number): Kind[] => {
  const random = seeded(seed);
  const between = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  const sizes = Array.from({ length: kinds }, () => ({
    length: between(30, 120),
    width: between(25, 100),
    height: between(20, 80),
  }));
  const counts = sizes.map(() => 0);
  for (let left = room; ;) {
    const at = between(0, kinds - 1);
    const size = sizes[at] as (typeof sizes)[number];
    left -= volumeOf(size);
    if (left < 0) return sizes.map((one, kind) => makeKind(one, counts[kind] as number));
    counts[at] = (counts[at] as number) + 1;
  }
};

describe('one container', () => {
  const container = { length: 587, width: 233, height: 220, maxWeight: 1 };
  const room = volumeOf(container);

  test('of three to fifteen kinds is filled to 87 hundredths and more, and better for being tried often', () => {
    for (const kinds of [3, 8, 15]) {
      const shares = [1, 2, 3, 4, 5, 6].map((seed) => {
        const units = containerful(kinds, seed, room);
        const counts = units.map(({ quantity }) => quantity);
        const manner = { prefers: 'best-fit', favour: [] } as const;
        const once = fill(units, counts, container, manner, { left: 0 }).volume;
        const often = bestFilling(units, counts, container, { left: 200_000 }).volume;
        expect(often).toBeGreaterThanOrEqual(once);
        return often / room;
      });
      expect(shares.reduce((sum, share) => sum + share, 0) / shares.length).toBeGreaterThan(0.87);
    }
  });

  test('that all units go into is known to hold them', () => {
    const eight = makeKind({ length: 50, width: 50, height: 50 }, 8);
    const [run] = intoBoxes([eight], [{ length: 100, width: 100, height: 100, maxWeight: 0, cost: 0 }]);
    expect([run?.count, run?.filling.volume]).toEqual([1, 1_000_000]);
  });
});
