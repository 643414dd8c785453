import type { PastOrder } from '../model/order.ts';
import { compile } from '../quote/compile.ts';
import { makeBook, makeCatalogue, makeRate, makeRequest } from '../testing/book.ts';
import { replay } from './replay.ts';

const order = (number: string, charge: number, part: Partial<PastOrder> = {}): PastOrder => ({
  number,
  request: makeRequest(),
  chosen: { id: 'parcel-country', kind: 'shipping', name: 'Parcel', charge, total: charge },
  status: 'placed',
  history: [{ status: 'placed', at: '2026-11-24T10:15:00-04:00' }],
  ...part,
});
const shop = (part: Parameters<typeof makeBook>[0] = {}) => compile(makeBook(part), makeCatalogue());
const at = (amount: number) => shop({ rates: [makeRate({ price: { kind: 'flat', amount, per: 'order' } })] });

describe('past orders through a book', () => {
  test('are compared with what was charged, and summed with their costs', () => {
    const orders = [order('1', 845, { cost: 900 }), order('2', 700), order('3', 1_000), order('4', 845)];
    const result = replay(shop(), null, orders);
    expect(result).toMatchObject({ orders: 4, same: 2, more: 1, less: 1, gone: 0, stranded: 0, unusable: 0 });
    expect(result.sums).toEqual({ was: 3_390, now: 3_380, costed: 1, cost: 900, chargedForCosted: 845 });
    expect(result.changed.map(({ number, was, now }) => [number, was, now])).toEqual([
      ['3', 1_000, 845],
      ['2', 700, 845],
    ]);
  });

  test('are compared with another book, choice by choice', () => {
    const services = [
      { id: 'parcel', name: 'Parcel' },
      { id: 'van', name: 'Van' },
    ];
    const rates = [makeRate(), makeRate({ id: 'van-country', serviceId: 'van' })];
    const result = replay(at(900), shop({ services, rates }), [order('1', 1)]);
    expect(result.changed).toEqual([
      { number: '1', name: 'Parcel', was: 845, now: 900, lost: ['Van'], stranded: false },
    ]);
  });

  test('whose choice is gone, or that have none left, are told apart, and lead the list', () => {
    const other = makeRate({ id: 'other-country' });
    expect(replay(shop({ rates: [other] }), null, [order('1', 845)])).toMatchObject({ gone: 1, stranded: 0 });
    const result = replay(shop({ rates: [] }), null, [order('1', 845), order('2', 1)]);
    expect(result).toMatchObject({ gone: 2, stranded: 2, same: 0 });
    expect(result.changed[0]?.stranded).toBe(true);
  });

  test('whose goods are not known any more are counted, not left out', () => {
    const gone = order('1', 845, { request: makeRequest({ lines: [{ sku: 'gone', quantity: 1 }] }) });
    expect(replay(shop(), null, [gone, order('2', 845)])).toMatchObject({ orders: 2, unusable: 1, same: 1 });
  });

  test('are spread over every change, each in one bucket', () => {
    const charges = [845, 844, 846, 745, 945, 600, 1_500, 9_000, 1];
    const result = replay(
      shop(),
      null,
      charges.map((charge, n) => order(String(n), charge)),
    );
    expect(result.changes.reduce((sum, { count }) => sum + count, 0)).toBe(charges.length);
    expect(result.changes.filter(({ count }) => count > 0)).toEqual([
      { from: null, to: -4_999, count: 1 },
      { from: -999, to: -499, count: 1 },
      { from: -199, to: -99, count: 1 },
      { from: -99, to: 0, count: 1 },
      { from: 0, to: 1, count: 1 },
      { from: 1, to: 100, count: 1 },
      { from: 100, to: 200, count: 1 },
      { from: 200, to: 500, count: 1 },
      { from: 500, to: 1_000, count: 1 },
    ]);
  });
});
