import fc from 'fast-check';
import { indexBooked, NOTHING_BOOKED } from './booked.ts';

const HOUR = 3_600_000;
const BEGIN = Date.parse('2026-11-24T00:00:00Z');
const at = (hour: number): number => BEGIN + hour * HOUR;
const start = (hour: number): string => new Date(at(hour)).toISOString();

test('orders are counted from the first moment up to, and without, the last', () => {
  const taken = indexBooked([
    { id: 'yard', start: start(12), count: 2 },
    { id: 'yard', start: start(10), count: 1 },
    { id: 'peninsula:cart', start: start(11), count: 5 },
  ]);
  const yard = taken.get('yard') ?? NOTHING_BOOKED;
  expect([yard(at(10), at(12)), yard(at(10), at(13)), yard(at(11), at(12)), yard(at(13), at(20))]).toEqual([
    1, 3, 0, 0,
  ]);
  expect(taken.get('peninsula:cart')?.(at(0), at(24))).toBe(5);
  expect(taken.has('market')).toBe(false);
  expect(NOTHING_BOOKED(at(0), at(24))).toBe(0);
});

test('in whatever order they come, and however often a moment does, as counting one by one', () => {
  const hour = fc.integer({ min: 0, max: 30 });
  const orders = fc.array(
    fc.record({ id: fc.constantFrom('a', 'b'), hour, count: fc.integer({ min: 1, max: 9 }) }),
    { maxLength: 40 },
  );
  fc.assert(
    fc.property(orders, hour, hour, (drawn, from, to) => {
      const taken = indexBooked(
        drawn.map(({ id, hour: when, count }) => ({ id, start: start(when), count })),
      );
      for (const id of ['a', 'b']) {
        const counted = drawn
          .filter((one) => one.id === id && one.hour >= from && one.hour < to)
          .reduce((sum, { count }) => sum + count, 0);
        expect(taken.get(id)?.(at(from), at(Math.max(from, to))) ?? 0).toBe(counted);
      }
    }),
  );
});
