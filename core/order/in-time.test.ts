import type { PastOrder } from '../model/order.ts';
import { inTime } from './in-time.ts';

const at = (placedAt: string): PastOrder => ({ number: placedAt, request: { placedAt } }) as never;

test('orders stand by the moment they were placed, whatever their offset', () => {
  const [late, early, middle] = [
    at('2026-11-24T10:00:00-04:00'),
    at('2026-11-24T13:00:00Z'),
    at('2026-11-24T14:30:00+01:00'),
  ];
  expect(inTime([late, early, middle])).toEqual([early, middle, late]);
  const sorted = [early, middle, late];
  expect(inTime(sorted)).toBe(sorted);
});
