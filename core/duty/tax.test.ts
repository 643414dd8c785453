import fc from 'fast-check';
import type { TaxRate } from '../model/tax.ts';
import type { Place } from '../place/place.ts';
import { indexTaxes, taxesAt, taxOn } from './tax.ts';

const tax = (id: string, points: number, part: Partial<TaxRate> = {}): TaxRate => ({
  id,
  name: id,
  region: { country: 'CA' },
  points,
  on: 'both',
  ...part,
});
const at = (subdivision?: string, code?: string): Place => ({ country: 'CA', subdivision, code });
const names = (taxes: readonly TaxRate[]): string[] => taxes.map((one) => one.id).sort();

describe('the taxes at a place', () => {
  const taxes = [
    tax('national', 500),
    tax('provincial', 900, { region: { country: 'CA', subdivision: 'CA-NS' } }),
    tax('goods-only', 100, { on: 'goods' }),
    tax('charges-only', 200, { on: 'charges' }),
    tax('elsewhere', 300, { region: { country: 'US' } }),
  ];

  test('are all whose region holds it, by what they are on', () => {
    const index = indexTaxes(taxes);
    expect(names(taxesAt(index.goods, at('CA-NS')))).toEqual(['goods-only', 'national', 'provincial']);
    expect(names(taxesAt(index.charges, at('CA-NB')))).toEqual(['charges-only', 'national']);
    expect(taxesAt(index.charges, { country: 'FR', subdivision: undefined, code: undefined })).toEqual([]);
    expect(taxesAt(index.goods, null)).toEqual([]);
  });

  test('are the same when asked again', () => {
    const index = indexTaxes(taxes);
    const first = taxesAt(index.goods, at('CA-NS'));
    expect(taxesAt(index.goods, at('CA-NS'))).toBe(first);
    expect(names(taxesAt(index.goods, at()))).toEqual(['goods-only', 'national']);
  });

  test('count once where a region names a place twice, and differ by code where one depends on it', () => {
    const local = tax('local', 50, { region: { country: 'CA', postal: ['B3*', 'B3H*'] } });
    const index = indexTaxes([...taxes, local]);
    expect(names(taxesAt(index.goods, at('CA-NS', 'B3H1A1')))).toEqual([
      'goods-only',
      'local',
      'national',
      'provincial',
    ]);
    expect(names(taxesAt(index.goods, at('CA-NS', 'C1A1A1')))).toEqual([
      'goods-only',
      'national',
      'provincial',
    ]);
  });
});

describe('the tax on an amount', () => {
  test('added is each rate of it, rounded for itself', () => {
    expect(taxOn(999, [tax('a', 505), tax('b', 905)], false)).toBe(50 + 90);
    expect(taxOn(0, [tax('a', 505)], false)).toBe(0);
    expect(taxOn(999, [], true)).toBe(0);
  });

  test('included is less than added, and never more than the amount', () => {
    const points = fc.array(fc.nat(3_000), { maxLength: 4 });
    fc.assert(
      fc.property(fc.nat(1_000_000), points, (amount, list) => {
        const taxes = list.map((one, i) => tax(`t${i}`, one));
        const included = taxOn(amount, taxes, true);
        expect(included).toBeLessThanOrEqual(taxOn(amount, taxes, false) + list.length);
        expect(included).toBeLessThanOrEqual(amount + list.length);
      }),
    );
  });

  test('taken out of a price gives a net that the tax makes whole again, to a unit a rate', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1_000_000 }),
        fc.integer({ min: 1, max: 3_000 }),
        (gross, points) => {
          const net = gross - taxOn(gross, [tax('t', points)], true);
          expect(Math.abs(net + taxOn(net, [tax('t', points)], false) - gross)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});
