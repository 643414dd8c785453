import type { Adjustment } from '../core/model/adjustment.ts';
import { prepaidToUs } from './duties.ts';

const TRADE: Adjustment['when'][number] = { test: 'customer', in: ['trade'] };

/** What changes a charge of the made-up shop: winter, heavy pots, and the trade. */
export const demoAdjustments: Adjustment[] = [
  {
    id: 'winter',
    name: 'Frost on the road',
    active: true,
    when: [
      { test: 'goods', match: 'any', groupIds: ['live-plants'] },
      { test: 'dates', from: '2026-11-15', to: '2027-03-31', everyYear: true },
    ],
    to: { kinds: ['shipping'], zoneIds: ['west', 'north'] },
    effect: {
      do: 'withhold',
      message: 'Live plants do not travel this far between mid November and the end of March.',
    },
  },
  {
    id: 'heavy-pots',
    name: 'Heavy pots',
    active: true,
    when: [],
    to: { kinds: ['shipping'] },
    effect: {
      do: 'add',
      amount: 600,
      per: 'unit',
      goods: { skus: ['pot-34', 'pot-urn'] },
    },
  },
  {
    id: 'trade',
    name: 'Trade',
    active: true,
    when: [TRADE],
    to: { kinds: ['shipping'] },
    effect: { do: 'percent', points: -1_000, of: 'charge' },
  },
  {
    id: 'trade-free',
    name: 'Trade, at home',
    active: true,
    when: [
      TRADE,
      { test: 'measure', of: 'subtotal', min: 6_000 },
      { test: 'destination', in: [{ country: 'CA', subdivision: 'CA-NS' }] },
    ],
    to: { serviceIds: ['parcel'] },
    effect: { do: 'free' },
    last: true,
  },
  prepaidToUs,
];
