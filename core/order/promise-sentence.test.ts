import type { Book } from '../model/book.ts';
import { makeArea, makeBook, makePickup, makeRate, makeRequest, makeYard, quoted } from '../testing/book.ts';
import { ENGLISH_WORDS, FRENCH_WORDS } from '../testing/words.ts';
import { promiseSentence } from './promise-sentence.ts';

const HOURS = [1, 2, 3, 4, 5].map((day) => ({ day: day as 1, from: '09:00', to: '17:00' }));
const yard = { id: 'yard', name: 'Yard', address: { country: 'CA' }, hours: HOURS, closedDates: [] };
const door: Book['payments'] = [{ id: 'door', name: 'At the door', kind: 'on-delivery', for: ['shipping'] }];
const said = (part: Parameters<typeof makeBook>[0], words = ENGLISH_WORDS): string => {
  const book = makeBook({ locations: [yard], ...part });
  const request = makeRequest({ placedAt: '2026-11-23T10:00:00-04:00' });
  return promiseSentence(quoted(book, request), book, '2026-11-23', words);
};

test('says by when it comes, for how much, and whether it can be paid at the door', () => {
  const rates = [makeRate({ transit: { min: 2, max: 4 } })];
  expect(said({ rates, payments: door })).toBe('Reaches you by Friday for 8.45; you can pay at the door.');
  expect(said({ rates })).toBe('Reaches you by Friday for 8.45.');
  expect(said({ rates, payments: door }, FRENCH_WORDS)).toBe(
    'Chez vous au plus tard vendredi pour 8,45 ; paiement possible à la livraison.',
  );
  expect(said({ rates: [makeRate({ freeFrom: 0 })] })).toBe('We bring it to you free.');
});

test('says the date of the cheapest way, and what a sooner one costs', () => {
  const services = ['parcel', 'letter', 'van'].map((id) => ({ id, name: id }));
  const way = (serviceId: string, amount: number, days: number) =>
    makeRate({
      id: serviceId,
      serviceId,
      price: { kind: 'flat', amount, per: 'order' },
      transit: { min: days, max: days },
    });
  const rates = [way('parcel', 845, 4), way('letter', 845, 3), way('van', 2_000, 1)];
  expect(said({ services, rates })).toBe('Reaches you by Thursday for 8.45, sooner for 20.00.');
});

test('says from when it can be collected, beside what is brought or alone', () => {
  const pickups = [makePickup()];
  const rates = [makeRate({ transit: { min: 2, max: 4 } })];
  const hours = { locations: [{ ...makeYard(), hours: HOURS }] };
  expect(said({ ...hours, rates, pickups })).toBe(
    'Reaches you by Friday for 8.45; you can collect it from today free.',
  );
  expect(said({ ...hours, zones: [], rates: [], pickups })).toBe('You can collect it from today free.');
  const timing = {
    kind: 'day',
    hours: [{ day: 4 as const, from: '12:00', to: '17:00' }],
    horizonDays: 7,
  } as const;
  const van = makeArea({
    methods: [{ id: 'van', name: 'Van', add: 0, timing: { ...timing, hours: [...timing.hours] } }],
  });
  expect(said({ ...hours, zones: [], rates: [], areas: [van] })).toBe('Reaches you by Thursday for 6.40.');
});

test('says why where nothing comes', () => {
  expect(said({ zones: [], rates: [] })).toBe(
    'We do not send to this address. Check the country and the postal code, or give another address.',
  );
});

test.each([
  ['2026-11-23', 'today'],
  ['2026-11-24', 'tomorrow'],
  ['2026-11-29', 'Sunday'],
  ['2026-11-30', '30 November'],
  ['2027-01-02', '2 January'],
])('%s is said as %s', (date, words) => {
  expect(ENGLISH_WORDS.spokenDay(date, '2026-11-23')).toBe(words);
});
