import type { CarrierPrice } from '../model/price.ts';
import { changedPrice } from '../quote/carrier-offers.ts';
import { kindOf } from './kinds.ts';
import type { Raise } from './raise.ts';

const price: CarrierPrice = {
  kind: 'carrier',
  accountId: 'fulmar',
  services: [
    { code: 'ground' },
    { code: 'air', change: { points: 500, amount: 100 } },
    { code: 'sea', override: 2_000 },
  ],
  show: 'all',
  onError: { amount: 1_500, per: 'order' },
  onNone: 'withhold',
};
const raised = (by: Raise['by']): CarrierPrice => kindOf(price).raised(price, { by, rounding: null });
const charges = ({ services }: CarrierPrice): number[] =>
  services.map((service) => changedPrice(service, 1_000));

describe('a carrier’s price that is raised', () => {
  test('by an amount adds it to what the carrier asks, to what is set, and to the fallback', () => {
    const more = raised({ kind: 'amount', amount: 150 });
    expect(charges(more)).toEqual([1_150, 1_300, 2_150]);
    expect(more).toMatchObject({ onError: { amount: 1_650 }, onNone: 'withhold' });
    expect(charges(raised({ kind: 'amount', amount: -150 }))).toEqual([850, 1_000, 1_850]);
  });

  test('by a percentage is dearer by that of all that is charged', () => {
    const more = raised({ kind: 'percent', points: 1_000 });
    expect(charges(more)).toEqual([1_100, 1_265, 2_200]);
    expect(more.onError).toEqual({ amount: 1_650, per: 'order' });
    expect(charges(raised({ kind: 'percent', points: 0 }))).toEqual(charges(price));
  });
});
