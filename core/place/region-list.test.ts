import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import type { SellsTo } from '../model/place.ts';
import { compile } from '../quote/compile.ts';
import { closedZones } from '../coverage/closed-zones.ts';
import { splitCountries, subdivisionReach } from '../coverage/subdivision-reach.ts';
import { makeBook, makeZone } from '../testing/book.ts';
import { withoutRegion, withPatterns, withRegion } from './region-list.ts';

describe('a list of regions', () => {
  const list = [
    { country: 'US' },
    { country: 'CA', postal: ['B3H*'] },
    { country: 'CA', subdivision: 'CA-NS' },
  ];

  test('takes a country or a subdivision once', () => {
    expect(withRegion(list, { country: 'US' })).toEqual(list);
    expect(withRegion(list, { country: 'CA' })).toEqual([...list, { country: 'CA' }]);
    expect(withRegion(list, { country: 'CA', subdivision: 'CA-NB' })).toHaveLength(4);
  });

  test('keeps all patterns of a country together, each once, where they stood', () => {
    const split = [...list, { country: 'CA', postal: ['B3J*'] }];
    expect(withPatterns(split, 'CA', ['B3H*', 'B3K*', 'B3K*'])).toEqual({
      regions: [
        { country: 'US' },
        { country: 'CA', postal: ['B3H*', 'B3J*', 'B3K*'] },
        { country: 'CA', subdivision: 'CA-NS' },
      ],
      added: 1,
    });
    expect(withPatterns([], 'US', ['90210'])).toEqual({
      regions: [{ country: 'US', postal: ['90210'] }],
      added: 1,
    });
    expect(withPatterns(list, 'US', []).regions).toEqual(list);
  });

  test('loses the one that is taken out', () => {
    expect(withoutRegion(list, 1)).toEqual([list[0], list[2]]);
  });
});

describe('the subdivisions of countries that zones split', () => {
  const compiled = compile(demoBook, demoCatalogue);

  test('stand each in its zone, closed ones and those without a rate told apart', () => {
    expect(splitCountries(demoBook).sort()).toEqual(['CA', 'NO', 'US']);
    expect(subdivisionReach(compiled, 'CA-NS')).toMatchObject({
      sold: true,
      zone: { id: 'maritimes' },
      withoutRate: false,
    });
    expect(subdivisionReach(compiled, 'US-AK')).toMatchObject({ zone: { id: 'remaining' } });
    expect(subdivisionReach(compiled, 'NO-21')).toMatchObject({ sold: false });
  });

  test('of a zone that is switched off do not count', () => {
    const zones = [makeZone('off', { active: false, includes: [{ country: 'CA', subdivision: 'CA-NS' }] })];
    expect(splitCountries(makeBook({ zones, rates: [] }))).toEqual([]);
  });
});

test('a zone is closed where the shop sells to none of the places it names', () => {
  const zones = [
    makeZone('both', { includes: [{ country: 'CA' }, { country: 'US' }] }),
    makeZone('north', { includes: [{ country: 'CA', subdivision: 'CA-NU' }] }),
    makeZone('codes', { includes: [{ country: 'US', postal: ['902*'] }] }),
    makeZone('none', { includes: [] }),
    makeZone('rest', { includes: [], remainder: true }),
  ];
  const closedWith = (sellsTo: Partial<SellsTo>) => [
    ...closedZones(
      makeBook({
        store: { sellsTo: { mode: 'everywhere', countries: [], closedRegions: [], ...sellsTo } },
        zones,
        rates: [],
      }),
    ),
  ];
  expect(closedWith({})).toEqual([]);
  expect(closedWith({ countries: ['US'] })).toEqual(['codes']);
  expect(closedWith({ closedRegions: [{ country: 'CA', subdivision: 'CA-NU' }] })).toEqual(['north']);
  expect(closedWith({ mode: 'listed', countries: ['DE'] })).toEqual(['both', 'north', 'codes']);
});
