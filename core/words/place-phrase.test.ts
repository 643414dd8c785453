import { placePhrase } from './place-phrase.ts';

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
