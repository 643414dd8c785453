import ca from './ca.json';
import { allLocated, areaCodeOf, locate, type Gazetteer } from './locate.ts';
import { readGazetteer } from './read-gazetteer.ts';

const CANADA = ca as unknown as Gazetteer;

describe('the gazetteer', () => {
  test('knows a Canadian code by its first three characters, however it is written', () => {
    const found = locate(CANADA, { country: 'CA', postalCode: 'b3h-2y9' });
    expect(found).toEqual({
      code: 'B3H',
      name: 'Halifax Lower Harbour',
      point: { lat: 44.6224, lng: -63.5736 },
    });
    expect(areaCodeOf('US', '04101-1234')).toBe('04101');
  });

  test('says of an address without a code, or with one that it has not, that it does not know it', () => {
    expect(locate(CANADA, { country: 'CA' })).toBeNull();
    expect(locate(CANADA, { country: 'CA', postalCode: 'Z9Z 9Z9' })).toBeNull();
  });

  test('is read by country; of a country that it has not it is empty', async () => {
    expect(locate(await readGazetteer('US'), { country: 'US', postalCode: '04101' })?.point.lat).toBeCloseTo(
      43.66,
      1,
    );
    expect(await readGazetteer('FR')).toEqual({});
  });

  test('has every postal area of Canada once, each on the earth', () => {
    const all = allLocated(CANADA);
    expect(all.length).toBeGreaterThan(1_600);
    expect(new Set(all.map(({ code }) => code)).size).toBe(all.length);
    for (const { code, point } of all) {
      expect(code).toMatch(/^[A-Z]\d[A-Z]$/);
      expect(Math.abs(point.lat)).toBeLessThanOrEqual(90);
      expect(Math.abs(point.lng)).toBeLessThanOrEqual(180);
    }
  });
});
