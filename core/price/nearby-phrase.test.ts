import type { Coverage } from '../model/delivery.ts';
import type { Timing } from '../model/time.ts';
import { makeArea, makePickup } from '../testing/book.ts';
import { areaPricePhrase, coveragePhrase, pickupPhrase, timingPhrase } from './nearby-phrase.ts';

const METRIC = { decimals: 2, units: 'metric' as const };
const codes = (...patterns: string[]): Coverage => ({ kind: 'postal', country: 'CA', patterns });
const CORNERS: [number, number][] = [
  [0, 0],
  [1, 0],
  [1, 1],
];

test.each<[Coverage, string]>([
  [{ kind: 'radius', metres: 18_000 }, 'within 18 km'],
  [{ kind: 'shape', ring: CORNERS }, 'a shape of 3 corners'],
  [codes(), 'no postal code'],
  [codes('B3H*', 'B3J*', 'B3K*', 'B3L*'), 'B3H*, B3J*, B3K*, B3L*'],
  [codes('B3H*', 'B3J*', 'B3K*', 'B3L*', 'B3M*', 'B3N*'), 'B3H*, B3J*, B3K*, B3L* and 2 more'],
])('what an area covers: %j', (covers, words) => expect(coveragePhrase(covers, METRIC)).toBe(words));

test.each<[Timing, string]>([
  [{ kind: 'words', text: 'on Tuesdays' }, 'on Tuesdays'],
  [{ kind: 'days', min: 0, max: 0 }, 'on the day it is ready'],
  [{ kind: 'days', min: 1, max: 3 }, '1 to 3 open days after it is ready'],
  [{ kind: 'days', min: 1, max: 1 }, '1 open day after it is ready'],
  [{ kind: 'days', min: 0, max: 2 }, 'up to 2 open days after it is ready'],
  [{ kind: 'day', hours: [], horizonDays: 0 }, 'the same day'],
  [{ kind: 'day', hours: [], horizonDays: 14 }, 'a day in the next 14 days'],
  [
    { kind: 'slot', hours: [], minutes: 60, horizonDays: 1 },
    'a slot of 60 minutes on the same day or the next',
  ],
])('when orders come: %j', (timing, words) => expect(timingPhrase(timing)).toBe(words));

test('what an area costs, with all that changes it', () => {
  const price = { kind: 'flat', amount: 550, per: 'order' } as const;
  expect(areaPricePhrase(makeArea({ price }), METRIC)).toBe('5.50');
  expect(
    areaPricePhrase(
      makeArea({
        price: { kind: 'steps', basis: 'distance', per: 'order', steps: [{ from: 0, amount: 790 }] },
        freeFrom: 7_500,
        serviceFee: { name: 'Crate, returnable', amount: 75 },
        minSubtotal: 2_000,
      }),
      METRIC,
    ),
  ).toBe('7.90 by distance · free from 75.00 · Crate, returnable 0.75 · minimum order 20.00');
});

test('what collecting costs and how it goes', () => {
  const timing: Timing = { kind: 'words', text: 'after 10' };
  expect(pickupPhrase(makePickup({ charge: 0, timing }), METRIC)).toBe('free · after 10');
  expect(
    pickupPhrase(
      makePickup({ charge: 165, timing, kerbside: true, minSubtotal: 500, maxDistance: 40_000 }),
      METRIC,
    ),
  ).toBe('1.65 · after 10 · kerbside · minimum order 5.00 · up to 40 km away');
});
