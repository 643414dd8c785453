import type { Handling, Limits } from '../model/price.ts';
import { makeRate } from '../testing/book.ts';
import { handlingWords, limitPhrases, ratePhrase, transitPhrase } from './rate-phrase.ts';

const METRIC = { decimals: 2, units: 'metric' as const };

test.each<[Limits | undefined, string[]]>([
  [undefined, []],
  [{ weight: {} }, []],
  [{ weight: { max: 30_000 } }, ['up to 30 kg']],
  [{ weight: { min: 5_000 } }, ['from 5 kg']],
  [{ weight: { min: 5_000, max: 450_000 } }, ['5 kg to 450 kg']],
  [{ weight: { min: 0 }, units: { max: 4 } }, ['from 0 kg', 'up to 4 units']],
  [{ longestSide: { max: 1_800 } }, ['longest side up to 180 cm']],
  [{ subtotal: { min: 2_000, max: 9_000 } }, ['20.00 to 90.00']],
])('limits: %j', (limits, words) => expect(limitPhrases(limits, METRIC)).toEqual(words));

test.each<[Handling, string[]]>([
  [{ per: 'order' }, []],
  [{ points: 400, per: 'order' }, ['4 %']],
  [{ amount: 130, per: 'order' }, ['1.30 an order']],
  [{ amount: 130, points: 500, per: 'parcel' }, ['5 %', '1.30 a parcel']],
])('handling: %j', (handling, words) => expect(handlingWords(handling, METRIC)).toEqual(words));

test('days on the way', () => {
  expect([
    transitPhrase({ min: 1, max: 1 }),
    transitPhrase({ min: 3, max: 3 }),
    transitPhrase({ min: 0, max: 4 }),
  ]).toEqual(['1 working day', '3 working days', '0 to 4 working days']);
});

test('a rate says its price, and then all that holds for it, what tells most first', () => {
  expect(ratePhrase(makeRate({ price: { kind: 'flat', amount: 850, per: 'order' } }), METRIC)).toEqual({
    price: '8.50',
    notes: [],
  });
  expect(
    ratePhrase(
      makeRate({
        price: { kind: 'flat', amount: 850, per: 'parcel' },
        freeFrom: 0,
        limits: { weight: { max: 30_000 } },
        handling: { points: 400, amount: 130, per: 'order' },
        bounds: { min: 500, max: 9_000 },
        transit: { min: 2, max: 4 },
      }),
      METRIC,
    ),
  ).toEqual({
    price: '8.50',
    notes: [
      'a parcel',
      'free from 0.00',
      'up to 30 kg',
      'handling 4 % and 1.30 an order',
      'at least 5.00',
      'at most 90.00',
      '2 to 4 working days',
    ],
  });
});
