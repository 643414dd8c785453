import fc from 'fast-check';
import type { PastOrder } from '../model/order.ts';
import { locatedSentence } from '../words/fault-sentence.ts';
import { placeless } from './list-format.ts';
import { orderCells, ordersSheet, readOrderRows } from './orders-csv.ts';

const ORDER_HEADINGS = ordersSheet().map(({ heading }) => heading);
const read = (rows: string[][]) => readOrderRows(rows, placeless('.'));

const AT = '2026-11-24T10:15:00-04:00';
const order: PastOrder = {
  number: '1001',
  request: {
    destination: {
      country: 'CA',
      subdivision: 'CA-NS',
      postalCode: 'B3H 2Y9',
      city: 'Halifax',
      lines: ['4 Tide Lane'],
    },
    lines: [
      { sku: 'pot-26', quantity: 2 },
      { sku: 'trowel', quantity: 1 },
    ],
    placedAt: AT,
    discount: 150,
    channel: 'shopfront',
  },
  chosen: {
    id: 'peninsula:cart',
    kind: 'delivery',
    of: { areaId: 'peninsula', methodId: 'cart' },
    name: 'Electric cart',
    charge: 625,
    total: 712,
    slot: { start: '2026-11-25T10:00:00-04:00', end: '2026-11-25T11:00:00-04:00' },
  },
  cost: 300,
  payment: 'card',
  status: 'handed-over',
  history: [{ status: 'handed-over', at: AT }],
  recipient: 'Ines Varga',
  contact: { email: 'ines@example.org' },
};

test('orders go into a table and come out the same', () => {
  expect(read([[...ORDER_HEADINGS], orderCells(order)])).toEqual({
    orders: [order],
    stateless: new Set(),
    faults: [],
  });
});

test('goods with any stock number, and a fallback that was charged, come out the same', () => {
  const sku = fc.string({ minLength: 1, maxLength: 20, unit: fc.constantFrom(...' ;"x2×\'=-ab\n,é') });
  fc.assert(
    fc.property(
      fc.array(fc.record({ sku, quantity: fc.integer({ min: 1, max: 99_999 }) }), { minLength: 1 }),
      (lines) => {
        const sold = {
          ...order,
          request: { ...order.request, lines },
          chosen: { ...order.chosen, fallback: true as const },
        };
        expect(read([[...ORDER_HEADINGS], orderCells(sold)]).orders).toEqual([sold]);
      },
    ),
  );
});

test('the total of a table is the order’s, and the bill has its address', () => {
  const sums = { goods: 9_000, taxes: 1_350, total: 11_062 };
  const billing = { name: 'Quay & Co', address: { country: 'CA', city: 'Halifax', lines: ['1 Quay Road'] } };
  const cells = orderCells({ ...order, sums, billing });
  const cell = (name: string) => cells[ORDER_HEADINGS.indexOf(name)];
  expect([cell('total'), cell('choice_total'), cell('charge')]).toEqual(['11062', '712', '625']);
  expect([cell('billing_name'), cell('billing_address')]).toEqual(['Quay & Co', '1 Quay Road, Halifax, CA']);
});

test('headings may be written otherwise and in any order; what may be left out may be missing', () => {
  const rows = [
    ['Choice', 'Number', 'Placed at', 'Kind', 'Charge', 'Goods'],
    ['parcel', '7', AT, 'shipping', '845', 'pot-26; 3 × trowel'],
    ['', '', '', '', '', ''],
  ];
  expect(read(rows)).toMatchObject({
    orders: [
      {
        number: '7',
        status: 'handed-over',
        request: {
          destination: null,
          lines: [
            { sku: 'pot-26', quantity: 1 },
            { sku: 'trowel', quantity: 3 },
          ],
        },
        chosen: { name: 'parcel', total: 845 },
      },
    ],
    stateless: new Set(['7']),
    faults: [],
  });
});

test('a row that is no order is named with its column and left out; a number that comes again too', () => {
  const cells = orderCells(order);
  const spoilt = cells.map((cell, at) => (ORDER_HEADINGS[at] === 'charge' ? 'six' : cell));
  const { orders, faults } = read([[...ORDER_HEADINGS], spoilt, cells, cells]);
  expect(orders).toHaveLength(1);
  expect(faults.map(({ path }) => path)).toEqual(['row 2, charge', 'row 4, number']);
});

test('a moment that is none is told once, by its column', () => {
  const cells = orderCells(order).map((cell, at) => (ORDER_HEADINGS[at] === 'placed_at' ? 'soon' : cell));
  const { faults } = read([[...ORDER_HEADINGS], cells]);
  expect(faults.map(({ path, code }) => [path, code])).toEqual([['row 2, placed_at', 'malformed']]);
});

test('missing headings are named', () => {
  const { faults } = read([['number', 'goods']]);
  expect(faults.map(locatedSentence).join()).toContain('placed_at');
});
