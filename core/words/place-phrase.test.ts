import { placePhrase, writtenCode } from './place-phrase.ts';

test.each([
  ['CA-NS, B2G2L2', 'B2G 2L2 in Canada'],
  ['CA', 'Canada'],
  ['CA-NS', 'Nova Scotia in Canada'],
  ['CA-NU', 'CA-NU in Canada'],
  ['US-ME, 04101', '04101 in the United States'],
  ['ZZZ, 1', '1 in ZZZ'],
])('%s is %s', (place, words) => {
  const regionName = (code: string): string => (code === 'CA-NS' ? 'Nova Scotia' : code);
  expect(placePhrase(place, { decimals: 2, units: 'metric', regionName })).toBe(words);
});

test('a region is called by its code where no names are at hand', () =>
  expect(placePhrase('CA-NS', { decimals: 2, units: 'metric' })).toBe('CA-NS in Canada'));

test.each([
  ['GB', 'SW1A1AA', 'SW1A 1AA'],
  ['NL', '1012AB', '1012 AB'],
  ['PT', '1000001', '1000-001'],
  ['CA', 'B2G', 'B2G'],
  ['FR', '75001', '75001'],
])('a code of %s is written as its people do', (country, code, written) =>
  expect(writtenCode(country, code)).toBe(written),
);
