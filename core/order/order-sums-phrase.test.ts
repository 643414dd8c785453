import type { PastOrder } from '../model/order.ts';
import { makeRequest } from '../testing/book.ts';
import { orderSumsPhrase } from './order-sums-phrase.ts';

const order = (sums: PastOrder['sums']): PastOrder => ({
  number: '1001',
  request: makeRequest(),
  status: 'placed',
  history: [],
  chosen: { id: 'van', kind: 'delivery', name: 'Van', charge: 500, total: 500 },
  ...(sums ? { sums } : {}),
});

test.each([
  [
    'added taxes',
    { goods: 7_990, taxes: 636, total: 9_126 },
    'products 79.90 · Van 5.00 · taxes 6.36 · total 91.26',
  ],
  [
    'taxes within',
    { goods: 7_990, taxes: 636, total: 8_490 },
    'products 79.90 · Van 5.00 · total 84.90, of which taxes 6.36',
  ],
  ['no taxes', { goods: 7_990, taxes: 0, total: 8_490 }, 'products 79.90 · Van 5.00 · total 84.90'],
  [
    'import charges',
    { goods: 7_990, taxes: 0, prepaid: 700, total: 9_190 },
    'products 79.90 · Van 5.00 · import charges 7.00 · total 91.90',
  ],
  ['an order from elsewhere', undefined, 'Van 5.00'],
])('an order with %s says what it came to', (_, sums, phrase) =>
  expect(orderSumsPhrase(order(sums), 2)).toBe(phrase),
);
