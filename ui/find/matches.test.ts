import { makeArea, makeBook, makeGood, makeRate, makeZone } from '../../core/testing/book.ts';
import { loadWorldPlaces } from '../places/places.ts';
import type { Entry } from './entry.ts';
import { matchesOf, MOST_MATCHES, recentOf } from './matches.ts';
import { codeEntry, countryEntries } from './place-entries.ts';
import { shopEntries } from './shop-entries.ts';
import { TOPICS } from './topics.ts';

const DISPLAY = { decimals: 2, units: 'metric' } as const;

const book = makeBook({
  services: [{ id: 'parcel', name: 'Parcel' }],
  zones: [makeZone('coast', { name: 'Coast' }), makeZone('inland', { name: 'Inland' })],
  rates: [
    makeRate({ id: 'one', serviceId: 'parcel', zoneId: 'coast', freeFrom: 8_500 }),
    makeRate({ id: 'two', serviceId: 'parcel', zoneId: 'inland' }),
    makeRate({ id: 'lost', serviceId: 'gone', zoneId: 'inland' }),
  ],
  areas: [makeArea({ id: 'hill', name: 'The hill' })],
});
const goods = [
  makeGood('pot', { name: 'Café pot' }),
  ...Array.from({ length: 100 }, (_, at) => makeGood(`tile-${at}`, { name: `Tile ${at}` })),
];
const testOrders = [
  {
    id: 'first',
    name: 'Two pots inland',
    request: { destination: null, lines: [], placedAt: '2026-11-24T10:00:00Z' },
    expects: [],
  },
];
const entries: readonly Entry[] = [...shopEntries(book, goods, testOrders, DISPLAY), ...TOPICS];
const named = (typed: string): string[] => matchesOf(entries, typed).map(({ name }) => name);

test('what a merchant has named is found by part of its name, without case or accents', () => {
  expect(named('coas')).toEqual(['Coast', 'Parcel to Coast']);
  expect(named('CAFE')).toEqual(['Café pot']);
  expect(named('hill')).toEqual(['The hill']);
  expect(named('pots in')).toEqual(['Two pots inland']);
});

test('a rate is found by its words in any order, and a rate without its service is none', () => {
  expect(named('inland parcel')).toEqual(['Parcel to Inland']);
  expect(entries.filter(({ kind }) => kind === 'Rate')).toHaveLength(2);
});

test('a setting is found by what people call it, and says so', () => {
  const [tax] = matchesOf(entries, 'vat');
  expect([tax?.name, tax?.note]).toEqual(['Taxes', 'Settings · VAT']);
  expect(named('holiday')).toContain('Locations');
  expect(named('free shipping')).toEqual(['Board of rates', 'Adjustments']);
  expect(named('free from')).toContain('Parcel to Coast');
  expect(named('minimum')).toContain('Local delivery and pickup');
});

test('a postal code comes first, a word is none', () => {
  expect(named('b3h 4r2')[0]).toBe('Where B3H 4R2 would fall');
  expect(codeEntry('tile')).toBeNull();
  expect(codeEntry('12 a very long sentence')).toBeNull();
});

test('nothing typed finds nothing, and a long list ends', () => {
  expect(named('  ')).toEqual([]);
  expect(named('zzz')).toEqual([]);
  expect(named('tile')).toHaveLength(MOST_MATCHES);
});

test('what was opened last comes in that order, without what is gone', () => {
  const ids = ['zone:inland', 'zone:gone', 'postal-code:B3H', 'product:pot', 'postal-code:B3H 4R2'];
  expect(recentOf(entries, ids).map(({ name }) => name)).toEqual([
    'Inland',
    'Where B3H would fall',
    'Café pot',
    'Where B3H 4R2 would fall',
  ]);
});

test('countries are found by name and lead to themselves', async () => {
  const countries = countryEntries(await loadWorldPlaces());
  // The very word for a setting comes before a country that begins with it.
  expect(matchesOf([...countries, ...TOPICS], 'vat').map(({ name }) => name)).toEqual([
    'Taxes',
    'Vatican City',
  ]);
  const [first] = matchesOf(countries, 'nether');
  expect(first?.name).toBe('Netherlands');
  expect(first?.leadsTo).toEqual({ link: { pathname: '/reach', params: { find: 'Netherlands' } } });
});

test('every entry has an id of its own', () => {
  expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length);
});
