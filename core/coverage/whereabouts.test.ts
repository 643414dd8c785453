import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { compile } from '../quote/compile.ts';
import { makeBook, makeCatalogue, makeZone } from '../testing/book.ts';
import { contestedEntries } from './contested.ts';
import { countryReach } from './country-reach.ts';
import { subdivisionOfCode } from '../place/subdivision-of-code.ts';
import { pastedCodes, whereaboutsOfCode } from './whereabouts.ts';

const demo = compile(demoBook, demoCatalogue);

describe('where a code falls', () => {
  test('says the zone, the entry that decides, who else names it, and what ships there', () => {
    const found = whereaboutsOfCode(demo, 'CA', 'j0m 1c0');
    expect(found).toMatchObject({
      sold: true,
      assumedSubdivision: true,
      zone: { zone: { id: 'north' }, because: 'J0M*' },
    });
    expect(found.alsoIn).toMatchObject([{ zone: { id: 'central' }, entry: 'CA-QC' }]);
    expect(found.services.map((service) => service.id)).toEqual(['seed-mail', 'express']);
  });

  test('of a closed country is not sold to; of one that no zone names falls to everywhere else', () => {
    expect(whereaboutsOfCode(demo, 'CU', '10100')).toMatchObject({ sold: false });
    expect(whereaboutsOfCode(demo, 'JP', '100-0001')).toMatchObject({
      sold: true,
      assumedSubdivision: false,
      zone: { zone: { id: 'remaining' }, because: 'all remaining places' },
      alsoIn: [],
    });
  });

  test('of no zone at all says so', () => {
    const bare = compile(makeBook({ zones: [], rates: [] }), makeCatalogue());
    expect(whereaboutsOfCode(bare, 'CA', 'B3H 1A1')).toMatchObject({ zone: null, services: [] });
  });

  test.each([
    ['B3H1A1', 'CA-NS'],
    ['X0A0H0', 'CA-NU'],
    ['X1A2B3', 'CA-NT'],
    ['H2X', 'CA-QC'],
    ['Z1A', undefined],
    ['X9Z', undefined],
  ])('%s lies in %s', (code, subdivision) => {
    expect(subdivisionOfCode('CA', code)).toBe(subdivision);
    expect(subdivisionOfCode('US', code)).toBeUndefined();
  });

  test('codes are pasted in any shape, each once', () => {
    expect(pastedCodes(' b3h 4r2, B3H 4R2;\nc1a\t90210,,')).toEqual(['B3H 4R2', 'C1A', '90210']);
  });
});

describe('how a country stands', () => {
  test('by its zone, the zones that take parts of it, and what is closed in it', () => {
    expect(countryReach(demo, 'CA')).toMatchObject({
      sold: true,
      zone: { id: 'remaining' },
      withoutRate: false,
    });
    expect(countryReach(demo, 'CA').parts.map((zone) => zone.id)).toEqual([
      'maritimes',
      'newfoundland',
      'central',
      'west',
      'north',
    ]);
    expect(countryReach(demo, 'NO')).toMatchObject({ sold: true, closedRegions: 1, parts: [] });
    expect(countryReach(demo, 'CU').sold).toBe(false);
  });

  test('a zone with nothing switched on is without a rate', () => {
    const rates = demoBook.rates.map((rate) =>
      rate.zoneId === 'europe' ? { ...rate, active: false } : rate,
    );
    expect(countryReach(compile({ ...demoBook, rates }, demoCatalogue), 'FR').withoutRate).toBe(true);
    expect(countryReach(demo, 'FR').withoutRate).toBe(false);
  });
});

describe('what two zones name', () => {
  test('is listed with the zone that has it', () => {
    const contests = contestedEntries(demoBook.zones);
    expect(contests.find(({ entry }) => entry === 'J0M*')).toMatchObject({
      winner: { id: 'north' },
      losers: [{ id: 'central' }],
    });
    expect(contests.every(({ winner }) => winner.id === 'north')).toBe(true);
  });

  test('counts excludes, the order of equals, and only active zones', () => {
    const postal = [{ country: 'CA', postal: ['B3?1*', '100 to 199'] }];
    const zones = [
      makeZone('first', { includes: postal, excludes: [{ country: 'CA', postal: ['B311'] }] }),
      makeZone('second', { includes: postal }),
      makeZone('off', { includes: postal, active: false }),
    ];
    expect(contestedEntries(zones)).toMatchObject([
      { entry: 'B3?1*', winner: { id: 'second' }, losers: [{ id: 'first' }] },
      { entry: '100 to 199', winner: { id: 'first' }, losers: [{ id: 'second' }] },
    ]);
    expect(contestedEntries([makeZone('alone')])).toEqual([]);
  });
});
