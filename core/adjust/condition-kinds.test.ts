import fc from 'fast-check';
import { measureBasket } from '../basket/basket.ts';
import type { Condition } from '../model/adjustment.ts';
import { Parcels } from '../pack/parcels.ts';
import { packingOf } from '../pack/packing.ts';
import { placeOf } from '../place/place.ts';
import { makeBook, makeCatalogue, makeGood, makeRequest } from '../testing/book.ts';
import { dateOf, dayOf } from '../time/calendar.ts';
import type { AdjustedOrder } from './adjustment-kind.ts';
import { CONDITION_KINDS, allHold, conditionKind, exclude } from './condition-kinds.ts';

const catalogue = makeCatalogue(
  makeGood('pot', { groupIds: ['pots'], weight: 9_000, size: { length: 300, width: 300, height: 300 } }),
  makeGood('seed', { groupIds: ['seeds'], weight: 12 }),
  makeGood('bulb', { weight: 250 }),
);
const goods = new Map(catalogue.goods.map((good) => [good.sku, good]));
const naming = { book: makeBook(), goods, display: { decimals: 2, units: 'metric' as const } };
const FIRST = dayOf('2026-11-20');

const tokens = fc.uniqueArray(fc.constantFrom('one', 'two', 'THREE'), { minLength: 0, maxLength: 2 });
const value = fc.option(fc.integer({ min: 0, max: 4_000 }), { nil: undefined });
const date = fc.option(
  fc.integer({ min: -3, max: 8 }).map((after) => dateOf(FIRST + after)),
  { nil: undefined },
);
const plain = <T extends object>(made: fc.Arbitrary<T>): fc.Arbitrary<T> =>
  made.map((one) => Object.fromEntries(Object.entries(one).filter(([, held]) => held !== undefined)) as T);

const conditions: { [T in Condition['test']]: fc.Arbitrary<Extract<Condition, { test: T }>> } = {
  measure: plain(
    fc.record({
      test: fc.constant('measure' as const),
      of: fc.constantFrom('weight' as const, 'subtotal' as const, 'units' as const),
      min: value,
      max: value,
    }),
  ),
  goods: plain(
    fc.record({
      test: fc.constant('goods' as const),
      match: fc.constantFrom('any' as const, 'every' as const, 'none' as const),
      groupIds: fc.option(fc.subarray(['pots', 'seeds']), { nil: undefined }),
      skus: fc.option(fc.subarray(['pot', 'bulb']), { nil: undefined }),
    }),
  ),
  destination: plain(
    fc.record({
      test: fc.constant('destination' as const),
      in: fc.subarray([{ country: 'CA' }, { country: 'US' }, { country: 'CA', subdivision: 'CA-QC' }]),
      not: fc.option(fc.boolean(), { nil: undefined }),
    }),
  ),
  dates: plain(
    fc.record({
      test: fc.constant('dates' as const),
      from: date,
      to: date,
      everyYear: fc.option(fc.boolean(), { nil: undefined }),
    }),
  ),
  weekday: fc.record({
    test: fc.constant('weekday' as const),
    days: fc.subarray([1, 2, 3, 4, 5, 6, 7] as const).map((days) => [...days]),
  }),
  customer: fc.record({ test: fc.constant('customer' as const), in: tokens }),
  code: fc.record({ test: fc.constant('code' as const), in: tokens }),
  channel: fc.record({ test: fc.constant('channel' as const), in: tokens }),
};
const anyCondition = fc.oneof(...Object.values(conditions)) as fc.Arbitrary<Condition>;

const orders: fc.Arbitrary<AdjustedOrder> = fc
  .record({
    lines: fc.uniqueArray(
      fc.record({ sku: fc.constantFrom('pot', 'seed', 'bulb'), quantity: fc.integer({ min: 1, max: 4 }) }),
      { minLength: 1, maxLength: 3, selector: ({ sku }) => sku },
    ),
    token: fc.constantFrom(undefined, 'one', 'TWO', 'three', 'four'),
    country: fc.constantFrom('CA', 'US', 'FR'),
    after: fc.integer({ min: 0, max: 9 }),
  })
  .map(({ lines, token, country, after }) => {
    const request = makeRequest({ lines, destination: { country } });
    const { basket } = measureBasket(goods, undefined, request);
    return {
      basket,
      parcels: new Parcels(packingOf({ kind: 'single' }, []), basket.chargeable, undefined),
      distance: null,
      place: placeOf({ country }),
      tables: () => undefined,
      placedOn: () => FIRST + after,
      request: token === undefined ? {} : { code: token, customer: token, channel: token },
    };
  });

const meets = (condition: Condition, order: AdjustedOrder): boolean =>
  allHold([conditionKind(condition).prepare(condition)], order) === true;

describe('every kind of condition', () => {
  test('has words that say something of each', () => {
    for (const [test, drawn] of Object.entries(conditions))
      fc.assert(
        fc.property(drawn as fc.Arbitrary<Condition>, (condition) => {
          expect(CONDITION_KINDS[condition.test]).toBe(conditionKind(condition));
          expect(condition.test).toBe(test);
          expect(conditionKind(condition).words(condition, naming).length).toBeGreaterThan(8);
        }),
        { numRuns: 40 },
      );
  });

  test('is met by no order where it says that none can meet it', () => {
    let empty = 0;
    fc.assert(
      fc.property(anyCondition, orders, (condition, order) => {
        if (!conditionKind(condition).empty(condition, dateOf(FIRST))) return;
        empty += 1;
        expect(meets(condition, order)).toBe(false);
      }),
      { numRuns: 2_000 },
    );
    expect(empty).toBeGreaterThan(50);
  });

  test('is met together with one that it excludes by no order, whichever comes first', () => {
    let apart = 0;
    const pairs = fc.oneof(
      ...Object.values(conditions).map((drawn) => fc.tuple(drawn, drawn)),
    ) as fc.Arbitrary<[Condition, Condition]>;
    fc.assert(
      fc.property(pairs, orders, ([a, b], order) => {
        expect(exclude(a, b)).toBe(exclude(b, a));
        if (!exclude(a, b)) return;
        apart += 1;
        expect(meets(a, order) && meets(b, order)).toBe(false);
      }),
      { numRuns: 2_000 },
    );
    expect(apart).toBeGreaterThan(50);
  });

  test('changes from one day to the next only where it says so, or a weekday does', () => {
    fc.assert(
      fc.property(conditions.dates, fc.integer({ min: 0, max: 12 }), (condition, after) => {
        const { days } = CONDITION_KINDS.dates;
        if (condition.everyYear) return;
        const [before, day] = [FIRST + after - 1, FIRST + after];
        if (days?.holds(condition, before) !== days?.holds(condition, day))
          expect(days?.changes(condition)).toContain(day);
      }),
    );
  });
});

describe('codes', () => {
  test('that differ in case alone are one code, so that conditions on them go together', () => {
    const [low, high]: Condition[] = [
      { test: 'code', in: ['spring'] },
      { test: 'code', in: ['SPRING'] },
    ];
    expect(low && high && exclude(low, high)).toBe(false);
    expect(exclude({ test: 'code', in: ['spring'] }, { test: 'code', in: ['autumn'] })).toBe(true);
  });
});
