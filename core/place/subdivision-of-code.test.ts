import { contradictedBy, subdivisionOfCode, withSubdivision } from './subdivision-of-code.ts';

describe('the subdivision of a postal code', () => {
  test.each([
    ['CA', 'B3H4R2', 'CA-NS'],
    ['CA', 'X0A0H0', 'CA-NU'],
    ['CA', 'X1A2B3', 'CA-NT'],
    ['US', '05401', 'US-VT'],
    ['US', '92101', 'US-CA'],
    ['US', '97201', 'US-OR'],
    ['US', '06390', 'US-NY'],
    ['US', '00901', 'US-PR'],
    ['US', '96960', undefined],
    ['US', '09001', undefined],
    ['DE', '10115', undefined],
  ])('%s %s', (country, code, subdivision) => {
    expect(subdivisionOfCode(country, code)).toBe(subdivision);
  });

  test('fills in what an address does not say, and keeps what it says', () => {
    expect(withSubdivision({ country: 'US', postalCode: '97201-1234' })).toMatchObject({
      subdivision: 'US-OR',
    });
    expect(withSubdivision({ country: 'CA', subdivision: 'CA-PE', postalCode: 'B3H 4R2' })).toMatchObject({
      subdivision: 'CA-PE',
    });
    const plain = { country: 'CA' };
    expect(withSubdivision(plain)).toBe(plain);
  });

  test('is named where the address says another', () => {
    expect(contradictedBy({ country: 'US', subdivision: 'US-WA', postalCode: '97201' })).toBe('US-OR');
    expect(contradictedBy({ country: 'US', subdivision: 'US-OR', postalCode: '97201' })).toBeNull();
    expect(contradictedBy({ country: 'US', postalCode: '97201' })).toBeNull();
    expect(contradictedBy({ country: 'DE', subdivision: 'DE-BE', postalCode: '10115' })).toBeNull();
  });
});
