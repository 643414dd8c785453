import type { Adjustment } from '../core/model/adjustment.ts';
import type { DutyRate, DutyRules } from '../core/model/tax.ts';

const rate = (country: string, duty: number, importTax: number, part: Partial<DutyRate> = {}): DutyRate => ({
  country,
  duty,
  importTax,
  freeBelow: 0,
  valueBasis: 'goods-and-shipping',
  ...part,
});

const VALUE_ADDED: [country: string, points: number][] = [
  ['AT', 2_000],
  ['BE', 2_100],
  ['DE', 1_900],
  ['DK', 2_500],
  ['ES', 2_100],
  ['FI', 2_400],
  ['FR', 2_000],
  ['GB', 2_000],
  ['IE', 2_300],
  ['IT', 2_200],
  ['LU', 1_700],
  ['NL', 2_100],
  ['PT', 2_300],
  ['SE', 2_500],
];

/** Import charges with made-up rates: seeds are free of duty, all else pays some; the United States takes no tax. */
export const demoDuties: DutyRules = {
  show: 'amount',
  terms: 'DAP',
  homeCountries: ['CA'],
  clearanceFee: 920,
  rates: [
    rate('US', 480, 0, { valueBasis: 'goods' }),
    rate('US', 0, 0, { hsPrefix: '1209', valueBasis: 'goods' }),
    rate('US', 620, 0, { hsPrefix: '6912', valueBasis: 'goods' }),
    ...VALUE_ADDED.flatMap(([country, points]) => [
      rate(country, 420, points),
      rate(country, 0, points, { hsPrefix: '1209' }),
    ]),
  ],
};

/** Customers in the United States may pay the import charges at checkout. */
export const prepaidToUs: Adjustment = {
  id: 'prepaid-us',
  name: 'Import charges at checkout',
  active: true,
  when: [{ test: 'destination', in: [{ country: 'US' }] }],
  to: { kinds: ['shipping'], zoneIds: ['united-states'], serviceIds: ['parcel'] },
  effect: { do: 'terms', terms: 'both' },
};
