import type { Region } from '../model/place.ts';
import { countryOfPattern, entryName, fewRegionsPhrase, regionsPhrase } from './region-phrase.ts';
import { regionsFromText, regionsText, type PlaceNaming } from './region-text.ts';

const names = (code: string): string => `[${code}]`;
const country = (code: string): Region => ({ country: code });
const NOVA_SCOTIA: Region = { country: 'CA', subdivision: 'CA-NS' };
const CODES: Region = { country: 'CA', postal: ['B3H*', 'B4A to B4C'] };

const NAMING: PlaceNaming = {
  named: (text) => {
    if (/^canada$/i.test(text)) return [country('CA')];
    return /^benelux$/i.test(text) ? ['BE', 'NL', 'LU'].map(country) : null;
  },
  codes: () => ({
    isWhole: (code) => code.length === 6,
    isBeginning: (text) => !text.startsWith('Z'),
    goesOn: () => false,
  }),
};
const read = (text: string, naming?: PlaceNaming): readonly Region[] | string => {
  const regions = regionsFromText(text, naming);
  if (regions.ok) return regions.value;
  return regions.faults.map(({ code, path, detail }) => `${path}: ${code} ${JSON.stringify(detail)}`).join();
};

describe('regions in a few words', () => {
  test('are named, their codes counted by country', () => {
    const more: Region = { country: 'CA', postal: ['B2G2L2'] };
    expect(regionsPhrase([country('US'), NOVA_SCOTIA, CODES], names)).toBe('[US], [CA-NS], 2 codes in [CA]');
    expect(regionsPhrase([CODES, more, { country: 'US', postal: ['04101'] }], names)).toBe(
      '3 codes in [CA], 1 code in [US]',
    );
    expect(regionsPhrase([], names)).toBe('');
  });

  test('past the first few are counted', () => {
    const many = ['AT', 'BE', 'DE', 'FR', 'LU'].map(country);
    expect(fewRegionsPhrase(many.slice(0, 4), names)).toBe('[AT], [BE], [DE], [FR]');
    expect(fewRegionsPhrase(many, names)).toBe('[AT], [BE], [DE] and 2 more');
  });

  test.each([
    ['CA', '[CA]'],
    ['CA-NS', '[CA-NS]'],
    ['US-1', '[US-1]'],
    ['B3H*', 'B3H*'],
    ['CA-', 'CA-'],
    ['CA-NSXX', 'CA-NSXX'],
    ['XCA', 'XCA'],
  ])('the entry %s is called %s', (entry, name) => expect(entryName(entry, names, null)).toBe(name));

  test('a pattern is written as the country whose list has it writes its codes', () => {
    const regions = [
      { country: 'CA', postal: ['B3H4*'] },
      { country: 'PL', postal: ['001*'] },
      { country: 'DE' },
    ];
    expect(entryName('001*', names, countryOfPattern(regions, '001*'))).toBe('00-1*');
    expect(countryOfPattern(regions, '002*')).toBeNull();
  });
});

describe('regions as text', () => {
  test('are read again the same', () => {
    const regions = [country('US'), NOVA_SCOTIA, CODES];
    expect(regionsText(regions)).toBe('US\nCA-NS\nCA: B3H*, B4A to B4C');
    expect(read(regionsText(regions))).toEqual(regions);
  });

  test('may be small, on one line, with commas, semicolons or tabs, and names where they are known', () => {
    const places = [country('CA'), { country: 'US', subdivision: 'US-NY' }];
    for (const text of ['ca, us-ny', 'ca;us-ny', 'ca\tus-ny', ' ca ,, us-ny ', 'CA\nUS-NY', 'ca\n\nus-ny'])
      expect(read(text)).toEqual(places);
    expect(read('Canada, benelux', NAMING)).toEqual(['CA', 'BE', 'NL', 'LU'].map(country));
    expect([read(''), read(' '), read('CA:')]).toEqual([[], [], []]);
  });

  test('codes belong to the country before the colon, by its name too', () => {
    const codes = [{ country: 'CA', postal: ['B3H*', 'B2G2L2'] }];
    expect(read('ca: B3H, b2g 2l2', NAMING)).toEqual(codes);
    expect(read('Canada: B3H* B2G2L2', NAMING)).toEqual(codes);
  });

  test('without a country are the shop’s own, together; a word is none', () => {
    const atHome = { ...NAMING, home: 'CA' };
    const codes = (...postal: string[]): Region[] => [{ country: 'CA', postal }];
    expect(read('B3H, b2g 2l2\nB3J*', atHome)).toEqual(codes('B3H*', 'B2G2L2', 'B3J*'));
    expect(read('benelux, B3H', atHome)).toEqual([...['BE', 'NL', 'LU'].map(country), ...codes('B3H*')]);
    expect(read('US: 90210\nB3H', atHome)).toHaveLength(2);
    expect(read('B3H')).toBe('line 1: bad-region {"text":"B3H"}');
    expect(read('B3H, Ruritania', atHome)).toBe('line 1: bad-region {"text":"Ruritania"}');
    expect(read('B3H, Z9', atHome)).toBe('line 1: bad-region {"text":"Z9"}');
  });

  test('name the first entry that is none, and its line', () => {
    expect(read('ca, us-ny\nCA: B3*H')).toBe('line 2: bad-pattern {"pattern":"B3*H"}');
    expect(read('Canada')).toBe('line 1: bad-region {"text":"Canada"}');
    expect(read('CA\n\nUS, CAN, XX-1234')).toBe('line 3: bad-region {"text":"CAN"}');
    expect(read('Ruritania: B3H*', NAMING)).toBe('line 1: bad-region {"text":"Ruritania"}');
    expect(read('CA: Z9', NAMING)).toBe('line 1: bad-pattern {"pattern":"Z9"}');
    expect(read(': B3H*')).toBe('line 1: bad-region {"text":": B3H*"}');
  });
});
