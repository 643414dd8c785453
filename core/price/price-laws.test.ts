import fc from 'fast-check';
import { measureBasket } from '../basket/basket.ts';
import type { Price } from '../model/price.ts';
import { packingOf } from '../pack/packing.ts';
import { Parcels } from '../pack/parcels.ts';
import { placeOf } from '../place/place.ts';
import { makeCatalogue, makeGood, makeRequest } from '../testing/book.ts';
import { kindOf, PRICE_KINDS } from './kinds.ts';
import type { PricedOrder, ShopFacts } from './price-kind.ts';
import { indexTable } from './table.ts';

const catalogue = makeCatalogue(
  makeGood('pot', { weight: 2_000, price: 1_900, size: { length: 300, width: 200, height: 100 } }),
  makeGood('seed', { weight: 12, price: 350, shippingPrice: 90 }),
  makeGood('mystery', { weight: undefined, price: 700 }),
);
const goods = new Map(catalogue.goods.map((good) => [good.sku, good]));
const place = placeOf({ country: 'CA' });
const money = fc.integer({ min: 0, max: 3_000 });
const maybe = fc.option(money, { nil: undefined });
const plain = <T extends object>(made: fc.Arbitrary<T>): fc.Arbitrary<T> =>
  made.map((one) => Object.fromEntries(Object.entries(one).filter(([, held]) => held !== undefined)) as T);

const rows = fc
  .array(fc.record({ span: fc.integer({ min: 1, max: 6_000 }), amount: money }), {
    minLength: 1,
    maxLength: 4,
  })
  .map((spans) => {
    let from = 0;
    return spans.map(({ span, amount }, at) => {
      const row = { from, amount, ...(at === spans.length - 1 ? {} : { to: from + span }) };
      from += span;
      return row;
    });
  });
const steps = fc.uniqueArray(fc.record({ from: fc.integer({ min: 0, max: 9_000 }), amount: money }), {
  minLength: 1,
  maxLength: 4,
  selector: ({ from }) => from,
});
const basis = fc.constantFrom('weight' as const, 'subtotal' as const, 'units' as const, 'volume' as const);

type Written = Exclude<Price['kind'], 'carrier'>;
/** A price of each kind that prices by itself, with the table that it may go by. */
const drawn: { [K in Written]: fc.Arbitrary<Extract<Price, { kind: K }>> } = {
  flat: plain(
    fc.record({
      kind: fc.constant('flat' as const),
      amount: money,
      per: fc.constantFrom('order' as const, 'parcel' as const, 'unit' as const, 'line' as const),
      first: maybe,
    }),
  ),
  steps: plain(
    fc.record({
      kind: fc.constant('steps' as const),
      basis,
      per: fc.constantFrom('order' as const, 'parcel' as const),
      steps,
      until: fc.option(fc.integer({ min: 5_000, max: 20_000 }), { nil: undefined }),
    }),
  ),
  percent: plain(
    fc.record({
      kind: fc.constant('percent' as const),
      points: fc.integer({ min: 0, max: 5_000 }),
      min: maybe,
      max: maybe,
    }),
  ),
  'per-product': fc.record({
    kind: fc.constant('per-product' as const),
    otherwise: fc.option(money),
    per: fc.constantFrom('unit' as const, 'line' as const),
  }),
  table: fc.constant({ kind: 'table' as const, tableId: 't' }),
};
const prices = fc.oneof(...Object.values(drawn)) as fc.Arbitrary<Price>;
const tables = fc
  .tuple(basis, rows)
  .map(([by, made]) => indexTable({ id: 't', name: 'T', basis: by, rows: made }));
const lines = fc.uniqueArray(
  fc.record({ sku: fc.constantFrom('pot', 'seed', 'mystery'), quantity: fc.integer({ min: 1, max: 4 }) }),
  { minLength: 1, maxLength: 3, selector: ({ sku }) => sku },
);
const orders: fc.Arbitrary<PricedOrder> = fc.tuple(lines, tables).map(([made, table]) => {
  const { basket } = measureBasket(goods, undefined, makeRequest({ lines: made }));
  const parcels = new Parcels(packingOf({ kind: 'single' }, []), basket.chargeable, undefined);
  return { basket, parcels, distance: null, place, tables: () => table };
});
const from = { kind: 'rate', id: 'r' } as const;

/** What a price comes to for an order, in minor units; null where it cannot be said. */
const amountOf = (price: Price, order: PricedOrder): number | null => {
  const found = kindOf(price).prepare?.(price)(order, from);
  return found?.ok ? found.entries.reduce((sum, { change }) => sum + change, 0) : null;
};

describe('every kind of price', () => {
  test('comes to whole minor units, none below 0, and to nothing where it says that it charges nothing', () => {
    fc.assert(
      fc.property(prices, orders, (price, order) => {
        const amount = amountOf(price, order);
        if (amount === null) return;
        expect(Number.isSafeInteger(amount) && amount >= 0).toBe(true);
        const own = price.kind === 'per-product';
        if (kindOf(price).chargesNothing(price) && !own) expect(amount).toBe(0);
      }),
      { numRuns: 800 },
    );
  });

  test('is within the extent that it gives, with the order as one parcel', () => {
    fc.assert(
      fc.property(prices, orders, (price, order) => {
        const [extent, amount] = [kindOf(price).extent(price), amountOf(price, order)];
        if (!extent || amount === null) return;
        expect(amount).toBeGreaterThanOrEqual(extent.least);
        expect(amount).toBeLessThanOrEqual(extent.most);
      }),
      { numRuns: 800 },
    );
  });

  test('has an amount for every order to a place where it says so', () => {
    let forAll = 0;
    fc.assert(
      fc.property(prices, orders, (price, order) => {
        const facts: ShopFacts = { isSingleParcel: true, allKnown: () => false, place, tables: order.tables };
        if (!kindOf(price).isForAll(price, facts)) return;
        forAll += 1;
        expect(amountOf(price, order)).not.toBeNull();
      }),
      { numRuns: 800 },
    );
    expect(forAll).toBeGreaterThan(100);
  });

  test('stays as it is under a raise of nothing, and is never made free by any', () => {
    fc.assert(
      fc.property(prices, fc.integer({ min: -10_000, max: 10_000 }), (price, points) => {
        const raised = (by: number): Price =>
          kindOf(price).raised(price, { by: { kind: 'percent', points: by }, rounding: null });
        expect(raised(0)).toEqual(price);
        expect(kindOf(raised(points)).chargesNothing(raised(points))).toBe(
          kindOf(price).chargesNothing(price),
        );
      }),
    );
  });

  test('changes what it charges only at the values that it gives, where steps have no more to them', () => {
    fc.assert(
      fc.property(drawn.steps, lines, fc.integer({ min: 0, max: 12_000 }), (price, _made, at) => {
        const kind = PRICE_KINDS.steps;
        const level = (value: number): number | undefined =>
          kind
            .curve({ ...price, per: 'order' }, 30_000)
            ?.pieces.find(({ from: start, to }) => value >= start && value < to)?.start;
        if (level(at) !== level(at + 1)) expect(kind.changesAt(price, [])).toContain(at + 1);
      }),
    );
  });

  test('is drawn at what it charges: the line and the amount agree for every basket', () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.oneof(drawn.steps, drawn.percent), orders, (price, order) => {
        const kind = kindOf<Price>(price);
        const curve = kind.curve(price, 30_000);
        const amount = amountOf(price, order);
        if (!curve || amount === null) return;
        const { basket } = order;
        const by = curve.basis;
        const value =
          by === 'subtotal'
            ? basket.subtotal
            : by === 'units'
              ? basket.charged.units
              : by === 'weight' || by === 'volume'
                ? basket.charged[by].value
                : null;
        const piece = curve.pieces.find((one) => value !== null && value >= one.from && value < one.to);
        if (!piece || value === null) return;
        seen += 1;
        const share = (value - piece.from) / (piece.to - piece.from);
        expect(Math.abs(piece.start + share * (piece.end - piece.start) - amount)).toBeLessThanOrEqual(1);
      }),
      { numRuns: 800 },
    );
    expect(seen).toBeGreaterThan(200);
  });
});
