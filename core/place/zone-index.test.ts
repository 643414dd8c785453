import type { Region } from '../model/place.ts';
import type { SellsTo } from '../model/place.ts';
import { makeZone } from '../testing/book.ts';
import { placeOf } from './place.ts';
import { findZone, indexSellsTo, indexZones, sellsThere, sellsToPartOf } from './zone-index.ts';

const at = (country: string, subdivision?: string, postalCode?: string) =>
  placeOf({ country, ...(subdivision ? { subdivision } : {}), ...(postalCode ? { postalCode } : {}) });
const province = (subdivision: string): Region => ({ country: 'CA', subdivision });

describe('where the shop sells', () => {
  const index = (part: Partial<SellsTo>) =>
    indexSellsTo({ mode: 'everywhere', countries: [], closedRegions: [], ...part } as SellsTo);

  test('is everywhere except closed countries, or in the listed ones alone', () => {
    const open = index({ countries: ['US'] });
    expect([sellsThere(open, at('CA')), sellsThere(open, at('US')), sellsToPartOf(open, 'US')]).toEqual([
      true,
      false,
      false,
    ]);
    const listed = index({ mode: 'listed', countries: ['US'] });
    expect([sellsThere(listed, at('CA')), sellsThere(listed, at('US'))]).toEqual([false, true]);
  });

  test('leaves out closed regions, and takes only some of a country where that is said', () => {
    const closed = index({ closedRegions: [province('CA-NU')] });
    expect(['CA-NU', 'CA-NS', undefined].map((one) => sellsThere(closed, at('CA', one)))).toEqual([
      false,
      true,
      true,
    ]);
    const partly = index({
      onlyRegions: [province('CA-NS')],
      closedRegions: [{ country: 'CA', postal: ['B9*'] }],
    });
    expect(['CA-NU', 'CA-NS', undefined].map((one) => sellsThere(partly, at('CA', one)))).toEqual([
      false,
      true,
      false,
    ]);
    expect([sellsThere(partly, at('CA', 'CA-NS', 'B9A 1A1')), sellsThere(partly, at('US', 'US-ME'))]).toEqual(
      [false, true],
    );
  });
});

describe('the zone of a place', () => {
  const found = (zones: ReturnType<typeof makeZone>[], ...place: Parameters<typeof at>) => {
    const zone = findZone(indexZones(zones), at(...place));
    return zone && [zone.zone.id, zone.because];
  };
  const rest = makeZone('rest', { remainder: true, includes: [], excludes: [province('CA-NU')] });
  const canada = makeZone('canada', { includes: [{ country: 'CA' }], excludes: [province('CA-YT')] });
  const coast = makeZone('coast', { includes: [province('CA-NS'), { country: 'CA', postal: ['B3H*'] }] });

  test('is that of its most specific entry, else everywhere else', () => {
    const zones = [rest, canada, coast];
    expect(found(zones, 'CA', 'CA-ON')).toEqual(['canada', 'CA']);
    expect(found(zones, 'CA', 'CA-NS')).toEqual(['coast', 'CA-NS']);
    expect(found(zones, 'CA', 'CA-ON', 'B3H 4R2')).toEqual(['coast', 'B3H*']);
    expect(found(zones, 'US')?.[0]).toBe('rest');
  });

  test('is none that excludes it or is switched off', () => {
    expect(found([rest, canada], 'CA', 'CA-YT')?.[0]).toBe('rest');
    expect(found([rest], 'CA', 'CA-NU')).toBeNull();
    expect(found([canada], 'US')).toBeNull();
    expect(found([{ ...canada, active: false }], 'CA', 'CA-ON')).toBeNull();
  });
});
