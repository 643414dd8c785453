import { readRegions } from './place-readers.ts';
import { loadWorldPlaces } from '../places/places.ts';

beforeAll(async () => {
  await loadWorldPlaces();
});

describe('regions as they are written', () => {
  test.each([
    ['Luxembourg', [{ country: 'LU' }]],
    ['luxembourg, DE', [{ country: 'LU' }, { country: 'DE' }]],
    [
      'Nova Scotia; CA-PE',
      [
        { country: 'CA', subdivision: 'CA-NS' },
        { country: 'CA', subdivision: 'CA-PE' },
      ],
    ],
    ['Georgia', [{ country: 'GE' }]],
    ['United Kingdom', [{ country: 'GB' }]],
    ['CA: B3H B3J B3K*', [{ country: 'CA', postal: ['B3H*', 'B3J*', 'B3K*'] }]],
    [
      'United States: 92101 922*, 92130-92140',
      [{ country: 'US', postal: ['92101', '922*', '92130 to 92140'] }],
    ],
  ])('%s', (text, regions) => expect(readRegions(text)).toEqual({ ok: true, value: regions }));

  test('of the European Union are its countries', () => {
    const read = readRegions('EU');
    expect(read.ok && read.value).toHaveLength(27);
  });

  test.each(['Europe', 'north america', 'Oceania'])('of %s are its countries', (name) => {
    const read = readRegions(name);
    const codes = read.ok ? read.value.map(({ country }) => country) : [];
    expect(codes.length).toBeGreaterThan(10);
    expect(codes.includes('FR')).toBe(name === 'Europe');
    expect(codes.includes('CA')).toBe(name === 'north america');
  });

  test('that name nothing are said', () => {
    expect(readRegions('Atlantis')).toMatchObject({ ok: false });
    expect(readRegions('CA: B3H Halifax')).toMatchObject({ ok: false });
  });
});
