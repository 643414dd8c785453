import fc from 'fast-check';
import type { Region, Zone } from '../model/place.ts';
import { makeZone } from '../testing/book.ts';
import { placeOf, type Place } from './place.ts';
import { normaliseCode, parsePattern, patternTakes } from './postal.ts';
import { findZone, indexSellsTo, indexZones, sellsThere } from './zone-index.ts';
import { claimsOn } from './place-index.ts';

const codeIn = fc.stringMatching(/^[AB][12][AB]([12]([AB][12]?)?)?$/);
const pattern = fc.oneof(
  codeIn,
  codeIn.map((code) => `${code.slice(0, 3)}*`),
  codeIn.map((code) => `${code.slice(0, 1)}*`),
  codeIn.map((code) => `${code.slice(0, 2)}?${code.slice(3)}`),
  codeIn.map((code) => `?${code.slice(1, 3)}*`),
  fc.tuple(codeIn, codeIn).map(([a, b]) => [a.slice(0, 3), b.slice(0, 3)].sort().join('..')),
);
const region: fc.Arbitrary<Region> = fc.oneof(
  fc.constantFrom('CA', 'US').map((country) => ({ country })),
  fc.constantFrom('CA-NS', 'CA-NB').map((subdivision) => ({ country: 'CA', subdivision })),
  fc.array(pattern, { minLength: 1, maxLength: 5 }).map((postal) => ({ country: 'CA', postal })),
);
const place: fc.Arbitrary<Place> = fc.record({
  country: fc.constantFrom('CA', 'US', 'FR'),
  subdivision: fc.constantFrom(undefined, 'CA-NS', 'CA-NB'),
  code: fc.option(codeIn, { nil: undefined }),
});

/** How specific a region is for a place, by the rule as it is written; null where it does not hold it. */
const rankOf = ({ country, subdivision, postal }: Region, at: Place): number | null => {
  if (country !== at.country) return null;
  if (subdivision) return subdivision === at.subdivision ? 1 : null;
  if (!postal) return 0;
  const ranks = postal.flatMap((text) => {
    const parsed = parsePattern(country, text);
    if (!parsed || at.code === undefined || !patternTakes(parsed, at.code)) return [];
    return [parsed.kind === 'exact' ? 1_000 : 2 + parsed.fixed];
  });
  return ranks.length === 0 ? null : Math.max(...ranks);
};

/** The zone by trying each entry of each zone. */
const scanned = (zones: readonly Zone[], at: Place): string | null => {
  const ranks = zones
    .filter((zone) => zone.active && !zone.excludes.some((one) => rankOf(one, at) !== null))
    .map((zone) => {
      const own = zone.includes.map((one) => rankOf(one, at)).filter((rank) => rank !== null);
      return { id: zone.id, rank: own.length > 0 ? Math.max(...own) : zone.remainder ? -1 : null };
    });
  const best = Math.max(...ranks.map(({ rank }) => rank ?? -2), -2);
  return best === -2 ? null : (ranks.find(({ rank }) => rank === best)?.id ?? null);
};

describe('the zone of a place', () => {
  test('agrees with trying every entry of every zone', () => {
    const zones = fc.array(
      fc.record({
        includes: fc.array(region, { maxLength: 4 }),
        excludes: fc.array(region, { maxLength: 1 }),
        active: fc.boolean(),
      }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(zones, fc.boolean(), place, (parts, remainder, at) => {
        const made = parts.map((part, i) => makeZone(`z${i}`, { ...part, remainder: remainder && i === 0 }));
        expect(findZone(indexZones(made), at)?.zone.id ?? null).toBe(scanned(made, at));
      }),
      { numRuns: 2_000 },
    );
  });

  test('is named by the entry that decides, the most specific first', () => {
    const zones = [
      makeZone('nation'),
      makeZone('range', { includes: [{ country: 'CA', postal: ['B2A to B2Z'] }] }),
      makeZone('exact', { includes: [{ country: 'CA', postal: ['b2g 2l2'] }] }),
      makeZone('wild', { includes: [{ country: 'CA', postal: ['B2G?L*'] }] }),
    ];
    const index = indexZones(zones);
    const found = (code?: string) =>
      findZone(index, { country: 'CA', subdivision: undefined, code })?.because;
    expect([found('B2G2L2'), found('B2G9L9'), found('B2K1A1'), found('C1A1A1'), found()]).toEqual([
      'b2g 2l2',
      'B2G?L*',
      'B2A to B2Z',
      'CA',
      'CA',
    ]);
    const claims = claimsOn(index.places, { country: 'CA', subdivision: undefined, code: 'B2G2L2' });
    expect(claims.map((claim) => claim.owner.id)).toEqual(['exact', 'wild', 'range', 'nation']);
  });

  test('of two equal entries the zone listed first takes it', () => {
    const zones = ['first', 'second'].map((id) =>
      makeZone(id, { includes: [{ country: 'CA', postal: ['B3H*'] }] }),
    );
    expect(findZone(indexZones(zones), placeOf({ country: 'CA', postalCode: 'B3H 1A1' }))?.zone.id).toBe(
      'first',
    );
  });
});

describe('postal patterns', () => {
  test.each([
    ['CA', 'b3h-4r2 ', 'B3H4R2'],
    ['US', '90210-1234', '90210'],
    ['GB', 'sw1a 1aa', 'SW1A1AA'],
  ])('%s %s is compared as %s', (country, code, normal) => {
    expect(normaliseCode(country, code)).toBe(normal);
  });

  test.each(['', '*B3', 'B3*H', 'B3H to B3', 'B3Z to B3A', 'B3H..', 'B3#', '12345678901'])(
    '%p is no pattern',
    (text) => {
      expect(parsePattern('CA', text)).toBeNull();
    },
  );

  test('a longer code than any real one is held by beginnings and not by exact codes', () => {
    const index = indexZones([
      makeZone('start', { includes: [{ country: 'CA', postal: ['1234*'] }] }),
      makeZone('exact', { includes: [{ country: 'CA', postal: ['1234567890'] }] }),
    ]);
    expect(findZone(index, { country: 'CA', subdivision: undefined, code: '12345678901' })?.zone.id).toBe(
      'start',
    );
  });
});

describe('where the shop sells', () => {
  const at = (country: string, subdivision?: string): Place => ({ country, subdivision, code: undefined });

  test('a list opens or closes, and a region is closed inside an open country', () => {
    const everywhere = indexSellsTo({
      mode: 'everywhere',
      countries: ['KP'],
      closedRegions: [{ country: 'NO', subdivision: 'NO-21' }],
    });
    expect(
      [at('CA'), at('KP'), at('NO'), at('NO', 'NO-21')].map((one) => sellsThere(everywhere, one)),
    ).toEqual([true, false, true, false]);
    const listed = indexSellsTo({ mode: 'listed', countries: ['CA'], closedRegions: [] });
    expect([at('CA'), at('US')].map((one) => sellsThere(listed, one))).toEqual([true, false]);
  });
});
