import type { PastOrder } from '../model/order.ts';
import type { ChoiceParts } from '../model/quote.ts';
import { makeRequest } from '../testing/book.ts';
import { slotsTaken, timedId } from './slots-taken.ts';

const TEN = { start: '2026-11-27T10:00:00-04:00', end: '2026-11-27T11:00:00-04:00' };
const NOON = { start: '2026-11-27T12:00:00-04:00', end: '2026-11-27T13:00:00-04:00' };
const VAN: ChoiceParts = { areaId: 'ring', methodId: 'van' };

const order = (
  of: ChoiceParts | undefined,
  slot: typeof TEN | undefined,
  status: PastOrder['status'] = 'placed',
): PastOrder => ({
  number: '1',
  request: makeRequest(),
  chosen: { id: 'any', kind: 'delivery', name: 'Van', charge: 640, total: 640, of, slot },
  status,
  history: [],
});

test('times are counted under the method of an area, or the pickup point', () => {
  expect(timedId(VAN)).toBe('ring:van');
  expect(timedId({ ...VAN, methodId: 'cart' })).toBe('ring:cart');
  expect(timedId({ pickupId: 'yard' })).toBe('yard');
  expect(timedId({ rateId: 'parcel-west' })).toBe('');
});

test('by what was chosen and when; import terms make no other time of it', () => {
  expect(
    slotsTaken([
      order(VAN, TEN),
      order({ ...VAN, terms: 'DAP' }, TEN, 'on-its-way'),
      order(VAN, NOON, 'handed-over'),
      order({ pickupId: 'yard' }, TEN),
    ]),
  ).toEqual([
    { id: 'ring:van', start: TEN.start, count: 2 },
    { id: 'ring:van', start: NOON.start, count: 1 },
    { id: 'yard', start: TEN.start, count: 1 },
  ]);
});

test('not by an order that was cancelled, nor by one without a time', () => {
  expect(slotsTaken([order(VAN, TEN, 'cancelled'), order(VAN, undefined)])).toEqual([]);
});
