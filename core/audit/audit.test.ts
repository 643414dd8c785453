import type { Adjustment } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import type { Problem } from '../model/problem.ts';
import type { Good } from '../model/good.ts';
import type { Rate } from '../model/rate.ts';
import { compile } from '../quote/compile.ts';
import { makeBook, makeCatalogue, makeGood, makeRate, makeZone, tiers } from '../testing/book.ts';
import { audit } from './audit.ts';
import { GRAVITIES, type FindingCode } from './finding.ts';

const ON = '2026-11-24';
type Part = Parameters<typeof makeBook>[0];
const auditOf = (part: Part, ...goods: Good[]): Problem[] =>
  audit(compile(makeBook(part), makeCatalogue(...goods)), ON);
const sized = { length: 300, width: 200, height: 100 };
const POT = makeGood('pot', { size: sized });
const VASE = makeGood('vase', { size: sized, groupIds: ['g'] });
/** The world in one zone with one flat rate: nothing is wrong. */
const WORLD: Part = { zones: [makeZone('country', { remainder: true })] };
const services = ['Parcel', 'van'].map((name) => ({ id: name.toLowerCase(), name }));
const rates = (...parts: Partial<Rate>[]): Part => ({
  ...WORLD,
  services,
  rates: parts.map((part) => makeRate(part)),
});
const rule = (part: Partial<Adjustment>): Part => ({
  ...WORLD,
  adjustments: [
    { id: 'rule', name: 'Rule', active: true, when: [], to: {}, effect: { do: 'free' }, ...part },
  ],
});
const zones = (...made: ReturnType<typeof makeZone>[]): Part => ({
  zones: made,
  rates: made.map(({ id }) => makeRate({ id: `rate-${id}`, zoneId: id })),
});
const table = (rows: Book['rateTables'][number]['rows']): Part => ({
  ...rates({ price: { kind: 'table', tableId: 'far' } }),
  rateTables: [{ id: 'far', name: 'Far', basis: 'weight', rows }],
});

test('a sound book has no problems', () => {
  expect(auditOf(WORLD, POT)).toEqual([]);
});

const CASES: [FindingCode, Part, string, string][] = [
  [
    'no-zone',
    {},
    'store:store zone:country',
    'No zone takes all other countries, although the shop sells there: nothing can be bought.',
  ],
  [
    'postal-not-served',
    { ...WORLD, postalList: [{ country: 'CA', pattern: 'B3*', served: false, cashOnDelivery: false }] },
    'postal:CA:B3*',
    'The postal list does not serve B3A 1A1 in Canada, although the shop sells there.',
  ],
  [
    'zone-without-rate',
    { ...WORLD, rates: [] },
    'zone:country',
    'country has no rate that is switched on: nothing can be bought there.',
  ],
  [
    'no-choice',
    rates({ limits: { weight: { max: 100 } } }),
    'rate:parcel-country zone:country',
    'pot cannot be bought in country: Parcel to country takes nothing above 100 g.',
  ],
  [
    'goods-not-sent',
    {
      ...rates({ limits: { weight: { max: 100 }, units: { min: 2 } } }),
      groups: [{ id: 'g', name: 'Vases', shipping: 'none', delivery: 'any', pickup: 'any' }],
    },
    'zone:country',
    'vase cannot be bought in country: more than one rule keeps them out.',
  ],
  [
    'withheld-by-adjustment',
    rule({ when: [{ test: 'measure', of: 'units', min: 5 }], effect: { do: 'withhold' } }),
    'adjustment:rule zone:country',
    '“Rule” leaves some orders of country without any choice when the basket has 5 units or more.',
  ],
  [
    'no-choice',
    rates({ limits: { weight: { max: 30_000 } } }),
    'rate:parcel-country zone:country',
    'Above 30 kg, nothing can be bought in country: Parcel to country ends there.',
  ],
  [
    'free-price',
    rates({ price: { kind: 'flat', amount: 0, per: 'order' } }),
    'rate:parcel-country',
    'Parcel to country charges nothing, although no rule makes it free.',
  ],
  [
    'free-price',
    rates({
      price: tiers('weight', [
        { from: 0, amount: 500 },
        { from: 5_000, amount: 0 },
      ]),
    }),
    'rate:parcel-country:5000',
    'Parcel to country charges nothing, although no rule makes it free.',
  ],
  [
    'free-price',
    table([{ from: 0, amount: 0 }]),
    'table:far:1 rate:parcel-country',
    'Far charges nothing, although no rule makes it free.',
  ],
  [
    'free-by-adjustment',
    rule({ effect: { do: 'add', amount: -9_000, per: 'order' } }),
    'adjustment:rule rate:parcel-country',
    '“Rule” brings the charge of Parcel to country down to 0 without making it free.',
  ],
  [
    'free-by-rounding',
    { ...WORLD, store: { rounding: { to: 5_000, mode: 'nearest' } } },
    'store:store rate:parcel-country',
    'Rounding brings a small charge of Parcel to country down to 0.',
  ],
  [
    'below-handling',
    rates({ handling: { amount: 900, per: 'order' }, bounds: { max: 500 } }),
    'rate:parcel-country',
    'Parcel to country can charge less than its handling costs.',
  ],
  [
    'always-free',
    rates({ freeFrom: 1_000 }),
    'rate:parcel-country',
    'Parcel to country is free for every order: its free threshold is not above the cheapest order, 10.00.',
  ],
  [
    'discount-meets-free',
    {
      ...rule({ effect: { do: 'percent', points: -1_000, of: 'charge' } }),
      rates: [makeRate({ freeFrom: 5_000 })],
    },
    'adjustment:rule rate:parcel-country',
    '“Rule” takes money off Parcel to country, which can be free as well.',
  ],
  [
    'price-falls',
    rates({
      price: tiers('weight', [
        { from: 0, amount: 900 },
        { from: 2_000, amount: 700 },
      ]),
    }),
    'rate:parcel-country:2000',
    'Parcel to country costs 2.00 less from 2 kg, although the order is larger.',
  ],
  [
    'step-never-acts',
    rates({
      price: tiers('weight', [
        { from: 0, amount: 500 },
        { from: 40_000, amount: 900 },
      ]),
      limits: { weight: { max: 30_000 } },
    }),
    'rate:parcel-country:40000',
    'The step of Parcel to country from 40 kg is never used: the rate’s limit ends before it.',
  ],
  [
    'row-never-acts',
    table([
      { from: 0, amount: 5 },
      { from: 0, amount: 6 },
    ]),
    'table:far:2',
    'Row 2 of Far is never used.',
  ],
  [
    'rows-overlap',
    table([
      { from: 0, amount: 5 },
      { from: 10, amount: 6 },
    ]),
    'table:far:2',
    'Rows 1 and 2 of Far overlap; the first applies.',
  ],
  [
    'table-gap',
    table([
      { from: 0, to: 10, amount: 5 },
      { from: 20, amount: 6 },
    ]),
    'table:far:2',
    'Far has no row from 10 g to 20 g for the place of row 2.',
  ],
  [
    'zone-never-decides',
    zones(makeZone('country', { remainder: true }), makeZone('again')),
    'zone:again',
    'again gets no orders: other zones take all its places.',
  ],
  [
    'entry-never-decides',
    zones(
      makeZone('country', { remainder: true, includes: [{ country: 'CA', postal: ['B3H*'] }] }),
      makeZone('other', {
        includes: [{ country: 'CA', postal: ['B3H1*', 'B2*'] }],
        excludes: [{ country: 'CA', postal: ['B3H*'] }],
      }),
    ),
    'zone:other:B3H1*',
    'B3H 1* in other is never used: other entries take all its places.',
  ],
  [
    'zones-contest',
    zones(
      makeZone('country', { remainder: true }),
      makeZone('other', { includes: [{ country: 'CA' }, { country: 'US' }] }),
    ),
    'zone:country:CA zone:other:CA',
    'country and other both list Canada; country gets it, because it comes first.',
  ],
  [
    'zone-off',
    zones(makeZone('country', { remainder: true }), makeZone('off', { active: false })),
    'zone:off zone:country',
    'off is switched off, and its customers go to country.',
  ],
  [
    'wide-pattern',
    zones(
      makeZone('country', { remainder: true, includes: [{ country: 'CA', postal: ['B*'] }] }),
      makeZone('province', { includes: [{ country: 'CA', subdivision: 'CA-NS' }] }),
    ),
    'zone:country:B* zone:province',
    'B* in country takes precedence over the provinces or states of province.',
  ],
  [
    'adjustment-never-acts',
    rule({ when: [{ test: 'dates', to: '2020-01-01' }] }),
    'adjustment:rule',
    '“Rule”: it ended on 2020-01-01, so it never applies again.',
  ],
  [
    'minimum-above-free',
    rates({ freeFrom: 2_000, bounds: { min: 2_500 } }),
    'rate:parcel-country',
    'Parcel to country never costs less than 25.00, more than the 20.00 from which it is free.',
  ],
  [
    'minimum-decides',
    rates({ bounds: { min: 900 } }),
    'rate:parcel-country',
    'Parcel to country always costs its minimum, 9.00: no price of it is higher.',
  ],
  [
    'maximum-below-first',
    rates({ bounds: { max: 800 } }),
    'rate:parcel-country',
    'Parcel to country always costs its maximum, 8.00: every price of it is higher.',
  ],
  [
    'bounds-contradict',
    rates({ bounds: { min: 300, max: 200 } }),
    'rate:parcel-country',
    'Parcel to country has a minimum of 3.00 and a maximum of 2.00: the maximum applies.',
  ],
  [
    'limits-contradict',
    rates({}, { id: 'odd', serviceId: 'van', limits: { weight: { min: 9, max: 3 } } }),
    'rate:odd:weight',
    'The weight limits of van to country contradict each other: no basket meets them.',
  ],
  [
    'zone-not-sold',
    {
      ...zones(makeZone('country', { remainder: true }), makeZone('far', { includes: [{ country: 'US' }] })),
      store: { sellsTo: { mode: 'listed', countries: ['CA'], closedRegions: [] } },
    },
    'zone:far',
    'The shop sells to no place of far: its rates are never used.',
  ],
  [
    'rows-elsewhere',
    {
      ...table([
        { from: 0, amount: 5 },
        { country: 'US', from: 0, amount: 6 },
        { subdivision: 'FR-75C', from: 0, amount: 6 },
      ]),
      zones: [makeZone('country', { includes: [{ country: 'CA' }] })],
    },
    'table:far:2',
    '2 of the 3 rows of Far are for places that no zone using it takes.',
  ],
  [
    'step-never-acts',
    rates({
      freeFrom: 5_000,
      price: tiers('subtotal', [
        { from: 0, amount: 500 },
        { from: 6_000, amount: 300 },
      ]),
    }),
    'rate:parcel-country:6000',
    'The step of Parcel to country from 60.00 is never used: the rate is free from there.',
  ],
  [
    'free-out-of-reach',
    rates({ freeFrom: 9_000, limits: { subtotal: { max: 5_000 } } }),
    'rate:parcel-country',
    'Parcel to country is never free: it takes orders up to 50.00, and is free from 90.00.',
  ],
  [
    'takes-no-good',
    rates({}, { id: 'van', serviceId: 'van', limits: { weight: { max: 100 } } }),
    'rate:van',
    'van to country takes no product: each one alone is above its limit of 100 g.',
  ],
  [
    'adjustment-never-acts',
    rule({
      when: [
        { test: 'measure', of: 'weight', max: 500 },
        { test: 'measure', of: 'weight', min: 900 },
      ],
    }),
    'adjustment:rule',
    '“Rule”: two of its conditions on the weight exclude each other, so it never applies.',
  ],
  [
    'adjustment-never-acts',
    {
      ...WORLD,
      adjustments: [
        {
          id: 'rule',
          name: 'Rule',
          active: true,
          when: [],
          to: {},
          effect: { do: 'add', amount: 200, per: 'order' },
        },
        { id: 'over', name: 'Over', active: true, when: [], to: {}, effect: { do: 'set', amount: 900 } },
      ],
    },
    'adjustment:rule',
    '“Rule”: “Over” below it sets the charge wherever this one applies, so it changes nothing.',
  ],
  [
    'group-unused',
    { ...WORLD, groups: [{ id: 'g', name: 'Vases', shipping: 'any', delivery: 'any', pickup: 'any' }] },
    'group:g',
    'No product is in the group Vases.',
  ],
  [
    'location-unused',
    {
      ...WORLD,
      locations: ['yard', 'stall'].map((id) => ({
        id,
        name: id,
        address: { country: 'CA' },
        hours: [],
        closedDates: [],
      })),
    },
    'location:stall',
    'Nothing leaves from stall.',
  ],
];

describe('the audit finds, with the rules to open', () => {
  test.each(CASES)('%s in %#', (code, part, where, text) => {
    const problems = auditOf(part, POT, ...(part?.groups && code === 'goods-not-sent' ? [VASE] : []));
    const found = problems
      .filter((one) => one.code === code)
      .map((one) => [one.where.map(({ kind, id }) => `${kind}:${id}`).join(' '), one.text]);
    expect(found).toContainEqual([where, text]);
    for (const one of problems) expect(one.gravity).toBe(GRAVITIES[one.code as FindingCode]);
  });

  test('what the goods lack, where some rate needs it', () => {
    const codes = (part: Part, good: Good): string[] => auditOf(part, good).map(({ code }) => code);
    const bare = makeGood('bare', { weight: undefined });
    const byWeight = rates({ price: tiers('weight', [{ from: 0, amount: 500 }]) });
    const bySide = rates({ limits: { longestSide: { max: 1_000 } } });
    expect(codes(byWeight, bare)).toContain('weight-missing');
    expect(codes(WORLD, bare)).not.toContain('weight-missing');
    expect(codes({ ...byWeight, store: { defaultWeight: 100 } }, bare)).not.toContain('weight-missing');
    expect(codes(bySide, makeGood('bare'))).toContain('size-missing');
    expect(codes(WORLD, makeGood('odd', { weight: 6, size: sized }))).toContain('figures-improbable');
    expect(codes(WORLD, makeGood('odd', { weight: 150_000, size: sized }))).toContain('figures-improbable');
  });
});
