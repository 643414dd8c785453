import { makeRate } from '../testing/book.ts';
import { withCharge, withFreeFrom, withSubtotal } from './rate-edges.ts';

const RATE = makeRate();
const KEYS = Object.keys(RATE);

test('a least and a greatest charge are set and taken out one by one; none leaves nothing behind', () => {
  const least = withCharge(RATE, 'min', 500);
  expect(least.bounds).toEqual({ min: 500 });
  const both = withCharge(least, 'max', 900);
  expect(both.bounds).toEqual({ min: 500, max: 900 });
  expect(withCharge(both, 'max', 0).bounds).toEqual({ min: 500, max: 0 });
  expect(withCharge(both, 'min', null).bounds).toEqual({ max: 900 });
  expect(Object.keys(withCharge(least, 'min', null))).toEqual(KEYS);
  expect(both).toMatchObject({ id: RATE.id, price: RATE.price });
});

test('the subtotals it is offered for are set beside its other limits, which stay', () => {
  const limited = makeRate({ limits: { weight: { max: 30_000 } } });
  const from = withSubtotal(limited, 'min', 2_000);
  expect(from.limits).toEqual({ weight: { max: 30_000 }, subtotal: { min: 2_000 } });
  expect(withSubtotal(from, 'max', 9_000).limits?.subtotal).toEqual({ min: 2_000, max: 9_000 });
  expect(withSubtotal(from, 'min', null).limits).toEqual({ weight: { max: 30_000 } });
  expect(Object.keys(withSubtotal(withSubtotal(RATE, 'max', 5), 'max', null))).toEqual(KEYS);
});

test('a free threshold is set, 0 too, and taken out', () => {
  expect(withFreeFrom(RATE, 8_500).freeFrom).toBe(8_500);
  expect(withFreeFrom(RATE, 0).freeFrom).toBe(0);
  expect(Object.keys(withFreeFrom(withFreeFrom(RATE, 8_500), null))).toEqual(KEYS);
});
