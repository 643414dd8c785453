import type { Good } from '../model/good.ts';
import type { BasketLine } from '../basket/basket.ts';
import { makeGood } from '../testing/book.ts';
import { singleParcelCount, singleParcels } from './single.ts';

const line = (sku: string, quantity: number, part: Partial<Good> = {}): BasketLine => ({
  good: makeGood(sku, part),
  quantity,
});
const CRATE = { packsAlone: true, weight: 4_000, size: { length: 400, width: 300, height: 200 } };

describe('one parcel for all', () => {
  test('holds each good once, with its whole quantity and weight', () => {
    const lines = [line('pot', 2), line('saucer', 1, { weight: 700 }), line('pot', 3)];
    expect(singleParcels(lines, undefined)).toEqual([
      {
        weight: 5 * 500 + 700,
        contents: [
          { sku: 'pot', quantity: 5 },
          { sku: 'saucer', quantity: 1 },
        ],
      },
    ]);
    expect(singleParcelCount(lines)).toBe(1);
  });

  test('but each good that packs alone is a parcel of its own size', () => {
    const lines = [line('crate', 2, CRATE), line('pot', 1)];
    expect(singleParcels(lines, undefined)).toEqual([
      { weight: 500, contents: [{ sku: 'pot', quantity: 1 }] },
      { weight: 4_000, size: CRATE.size, contents: [{ sku: 'crate', quantity: 1 }] },
      { weight: 4_000, size: CRATE.size, contents: [{ sku: 'crate', quantity: 1 }] },
    ]);
    expect(singleParcelCount(lines)).toBe(3);
    expect(singleParcelCount([line('crate', 2, CRATE)])).toBe(2);
  });

  test('of nothing is no parcel', () => {
    expect(singleParcels([], undefined)).toEqual([]);
    expect(singleParcelCount([])).toBe(0);
  });

  test('cannot be stated where a weight is not known, unless a default stands for it', () => {
    const lines = [line('pot', 2, { weight: undefined })];
    expect(singleParcels(lines, undefined)).toEqual([]);
    expect(singleParcels(lines, 900)).toEqual([{ weight: 1_800, contents: [{ sku: 'pot', quantity: 2 }] }]);
  });

  test('lists a thousand at most', () => {
    expect(singleParcels([line('crate', 99_999, CRATE)], undefined)).toHaveLength(1_000);
  });
});
