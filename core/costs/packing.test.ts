import fc from 'fast-check';
import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { demoBook } from '../../demo/book.ts';
import demoOrdersFile from '../../demo/data/orders.json';
import { demoCatalogue } from '../../demo/goods.ts';
import { readOrders } from '../formats/orders.ts';
import type { Book } from '../model/book.ts';
import type { Size } from '../model/good.ts';
import type { Box } from '../model/pack.ts';
import { compile, type CompiledBook } from '../quote/compile.ts';
import { GRAIN, bestBox, bestBoxOver, evenSizes, type BoxLimits } from './best-box.ts';
import { BoxTrial, boxOfSize, makingOf } from './box-trial.ts';
import { costedOrder } from './costed-order.ts';
import { packedOrder, type PackedOrder } from './packed-order.ts';
import { packingOf } from '../pack/packing.ts';
import { boxUse, packedSums, usedPackings } from './packing-compared.ts';

const ACCOUNT = 'fulmar';
const read = readOrders(demoOrdersFile);
const past = read.ok ? read.value : [];
const demo = compile(demoBook, demoCatalogue, answersAtOnce);

/** The demo's orders from one on, each so many after the last, in the parcels of an account of a book. */
const packedBy = (compiled: CompiledBook, from = 0, apart = 5): PackedOrder[] =>
  past
    .filter((_, at) => at >= from && (at - from) % apart === 0)
    .flatMap((order) => costedOrder(compiled, order) ?? [])
    .flatMap((costed) => packedOrder(compiled, costed, ACCOUNT) ?? []);

const packing = packingOf(demoBook.store.packing, demoBook.boxes, ACCOUNT);
const making = makingOf(packing.boxes);
const taken = ({ carrier, boxes }: Pick<PackedOrder, 'carrier' | 'boxes'>): number => carrier + boxes;

/** The demo with one more box in the packing of the account. */
const withBox = (box: Box): CompiledBook => {
  const carriers: Book['carriers'] = demoBook.carriers.map((account) =>
    account.id === ACCOUNT && account.packing.kind === 'boxes'
      ? { ...account, packing: { kind: 'boxes', boxIds: [...account.packing.boxIds, box.id] } }
      : account,
  );
  return compile({ ...demoBook, boxes: [...demoBook.boxes, box], carriers }, demoCatalogue, answersAtOnce);
};

describe('orders in their parcels', () => {
  const orders = packedBy(demo);

  test('are those that were shipped, and ask of the carrier what a shipment is booked with', () => {
    expect(orders.length).toBeGreaterThan(60);
    for (const { costed, runs, question, lines } of orders) {
      expect(costed.order.chosen.kind).toBe('shipping');
      expect(question.parcels).toHaveLength(runs.reduce((sum, { count }) => sum + count, 0));
      const units = runs.reduce((sum, run) => sum + run.count * run.units, 0);
      expect(units).toBe(lines.reduce((sum, { quantity }) => sum + quantity, 0));
    }
  });

  test('are counted box by box, and every parcel in a box is counted once', () => {
    const used = boxUse(packing, orders);
    const boxed = orders.flatMap(({ runs }) => runs).filter((run) => run.packed);
    expect(used.reduce((sum, { parcels }) => sum + parcels, 0)).toBe(
      boxed.reduce((sum, { count }) => sum + count, 0),
    );
    for (const { filled, parcels } of used) {
      if (parcels === 0) expect(filled).toBeNull();
      else expect(filled).toBeGreaterThan(0);
      expect(filled ?? 0).toBeLessThanOrEqual(1);
    }
  });

  test('add up over any grouping', () => {
    const halves = [orders.slice(0, 31), orders.slice(31)].map(packedSums);
    const whole = packedSums(orders);
    for (const part of ['orders', 'parcels', 'carrier', 'boxes'] as const)
      expect(halves.reduce((sum, half) => sum + half[part], 0)).toBe(whole[part]);
  });

  test('are packed by each way of packing that the book has, named by who packs so', () => {
    const used = usedPackings(demo, ACCOUNT);
    // The boxes of another carrier are none of this one's, so that its way is the shop's.
    expect(used.map(({ by }) => by)).toEqual([['fulmar', 'store', 'gannet'], ['cairn']]);
    expect(usedPackings(demo, 'gannet').map(({ by }) => by)).toEqual([
      ['gannet'],
      ['store', 'fulmar'],
      ['cairn'],
    ]);
    expect(usedPackings(demo, 'nobody')).toEqual([]);
    const bySkipping = past
      .slice(0, 40)
      .flatMap((order) => costedOrder(demo, order) ?? [])
      .flatMap((costed) => packedOrder(demo, costed, ACCOUNT, packingOf({ kind: 'single' }, [])) ?? []);
    expect(packedSums(bySkipping).boxes).toBe(0);
  });
});

describe('one more box', () => {
  test('that holds nothing, or is larger than all, changes nothing', () => {
    const trial = new BoxTrial(demo, ACCOUNT, packedBy(demo), answersAtOnce);
    const none = { saved: 0, orders: 0 };
    expect(trial.saving(boxOfSize({ length: 5, width: 5, height: 5 }, 20_000, making))).toEqual(none);
    expect(trial.saving(boxOfSize({ length: 600, width: 500, height: 500 }, 1, making))).toEqual(none);
  });

  test('weighs and costs for its walls what the shop’s own boxes do; a carrier’s are not counted', () => {
    const cube: Size = { length: 100, width: 100, height: 100 };
    const one: Box = { id: 'one', name: 'One', inside: cube, maxWeight: 5_000, tare: 60, cost: 30 };
    const given: Box = { ...one, id: 'given', tare: 900, carrierBox: { carrier: 'gannet', code: 'S' } };
    expect(boxOfSize(cube, 5_000, makingOf([one, given]))).toEqual({
      inside: cube,
      maxWeight: 5_000,
      tare: 60,
      cost: 30,
    });
    expect(boxOfSize({ length: 200, width: 200, height: 200 }, 5_000, makingOf([one]))).toMatchObject({
      tare: 240,
      cost: 120,
    });
    expect(makingOf([given])).toEqual({ tare: 0, cost: 0 });
  });

  test('saves what the orders packed anew with it take less', () => {
    const orders = packedBy(demo, 0, 3);
    const trial = new BoxTrial(demo, ACCOUNT, orders, answersAtOnce);
    const tried = boxOfSize({ length: 530, width: 420, height: 380 }, 20_000, making);
    const { saved, orders: changed } = trial.saving(tried);
    const anew = packedBy(withBox({ id: 'one-more', name: 'One more', ...tried }), 0, 3);
    const isUsed = anew.filter(({ runs }) => runs.some(({ packed }) => packed?.box.id === 'one-more'));
    const sum = (list: readonly PackedOrder[]): number => list.reduce((all, one) => all + taken(one), 0);
    const truly = sum(orders) - sum(anew);
    expect(changed).toBeGreaterThan(10);
    // What was in several boxes may be shared out otherwise, which only packing anew shows.
    expect(Math.abs(changed - isUsed.length)).toBeLessThanOrEqual(Math.ceil(changed / 20));
    expect(Math.abs(saved - truly)).toBeLessThan(Math.abs(truly) / 20);
  });

  test('of the best size saves no less than any of an even grid of sizes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 59 }),
        fc.constantFrom(
          { length: 600, width: 400, height: 400 },
          { length: 420, width: 420, height: 300 },
          { length: 300, width: 300, height: 600 },
        ),
        fc.constantFrom(5_000, 20_000),
        (from, most, maxWeight) => {
          const limits: BoxLimits = { most, maxWeight };
          const trial = new BoxTrial(demo, ACCOUNT, packedBy(demo, from, 40), answersAtOnce);
          const search = bestBox(trial, limits, making);
          let step = search.next();
          while (!step.done) step = search.next();
          const bestOf = (count: number): number =>
            Math.max(
              0,
              ...evenSizes(most, count).map((size) => trial.saving(boxOfSize(size, maxWeight, making)).saved),
            );
          const found = step.value;
          expect(found?.saved ?? 0).toBeGreaterThanOrEqual(bestOf(8));
          // A grid of other sizes may hold one that is better by a little, never by much.
          expect(found?.saved ?? 0).toBeGreaterThanOrEqual(0.97 * bestOf(13));
          if (!found) return;
          for (const side of ['length', 'width', 'height'] as const) {
            expect(found.inside[side]).toBeLessThanOrEqual(most[side]);
            expect(found.inside[side] % GRAIN).toBe(0);
          }
        },
      ),
      { numRuns: 12, seed: 20 },
    );
  });

  test('found over some of the orders is bettered over all of them', () => {
    const trialOf = (orders: readonly PackedOrder[]) => new BoxTrial(demo, ACCOUNT, orders, answersAtOnce);
    const [some, all] = [trialOf(packedBy(demo, 0, 60)), trialOf(packedBy(demo, 0, 12))];
    const limits: BoxLimits = { most: { length: 600, width: 400, height: 400 }, maxWeight: 20_000 };
    const last = <T>(search: Generator<number, T>): T => {
      let step = search.next();
      while (!step.done) step = search.next();
      return step.value;
    };
    const first = last(bestBox(some, limits, making));
    const found = last(bestBoxOver({ some, all }, limits, making));
    const without = all.saving(boxOfSize(first!.inside, limits.maxWeight, making)).saved;
    expect(found!.saved).toBeGreaterThanOrEqual(without);
    expect(last(bestBoxOver({ some: all, all }, limits, making))!.saved).toBeGreaterThanOrEqual(
      0.9 * found!.saved,
    );
  });

  test('is none where no size saves anything', () => {
    const trial = new BoxTrial(demo, ACCOUNT, [], answersAtOnce);
    const search = bestBox(
      trial,
      { most: { length: 100, width: 100, height: 100 }, maxWeight: 1_000 },
      making,
    );
    let step = search.next();
    let tried = 0;
    while (!step.done) {
      tried = step.value;
      step = search.next();
    }
    expect(step.value).toBeNull();
    expect(tried).toBeGreaterThan(50);
  });
});
