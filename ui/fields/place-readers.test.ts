import { iso31661 } from 'iso-3166';
import { countryName } from '../../core/words/country-name.ts';
import { loadWorldPlaces } from '../places/places.ts';
import { readCountries, readCountry, readPattern, readSubdivision } from './place-readers.ts';

beforeAll(loadWorldPlaces);

test('every country is read by the name that is shown, and by its letters', () => {
  for (const { alpha2 } of iso31661) {
    expect(readCountry(countryName(alpha2))).toEqual({ ok: true, value: alpha2 });
    expect(readCountry(` ${alpha2.toLowerCase()} `)).toEqual({ ok: true, value: alpha2 });
  }
});

test.each(['Atlantis', 'Nova Scotia', 'European Union', '', 'C4'])('%j is no country', (text) => {
  expect(readCountry(text)).toEqual({ ok: false, text: expect.stringContaining('is not a country') });
});

test('several countries are read by names, letters and groups, each once', () => {
  expect(readCountries('Germany, fr; Germany')).toEqual({ ok: true, value: ['DE', 'FR'] });
  const union = readCountries('EU, NO');
  expect(union.ok && union.value).toHaveLength(28);
  expect(readCountries('Germany, Atlantis')).toEqual({
    ok: false,
    text: '“Atlantis” is not a country: write its name, or two letters as CA.',
  });
});

test('a subdivision is read by its name or its code, and a country is none', () => {
  expect(readSubdivision('nova scotia')).toEqual({ ok: true, value: 'CA-NS' });
  expect(readSubdivision('us-me')).toEqual({ ok: true, value: 'US-ME' });
  for (const text of ['Canada', 'Atlantis', ''])
    expect(readSubdivision(text)).toMatchObject({ ok: false, text: expect.stringContaining('CA-NS') });
});

test.each([
  ['CA', 'b3h', { ok: true, value: 'B3H*' }],
  ['CA', 'B3H 4R2', { ok: true, value: 'B3H 4R2' }],
  ['US', '90200-90299', { ok: true, value: '90200 to 90299' }],
  ['GB', 'IV1', { ok: true, value: 'IV1???' }],
  ['GB', 'IV1-IV28', { ok: false, text: 'These are 28 (IV1 to IV28): one fits here.' }],
  [
    'CA',
    '97201',
    { ok: false, text: 'Write a postal code, a beginning or a range: B3H 4R2, B3J*, B3H to B3K.' },
  ],
])('a field for one code of %s reads %s', (country, text, read) =>
  expect(readPattern(country)(text)).toEqual(read),
);
