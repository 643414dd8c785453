import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { HandlingGroup } from '../model/good.ts';
import { makeArea, makePickup, makeRate, makeZone, tiers } from '../testing/book.ts';
import {
  distanceFigure,
  lengthFigure,
  measureFigure,
  exampleAmount,
  moneyFigure,
  plainMoney,
  priceFigure,
  volumeFigure,
  weightFigure,
} from './figure.ts';
import { groupPhrase } from './group-phrase.ts';
import { wordedFaults } from './fault-sentence.ts';
import { ratePhrase } from '../price/rate-phrase.ts';
import { sentence, spokenCodes } from './sentence.ts';

const CORE = join(__dirname, '..');
const METRIC = { decimals: 2, units: 'metric' as const };

const sources = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return sources(path);
    return /\.ts$/.test(name) && !/\.test\.ts$/.test(name) ? [readFileSync(path, 'utf8')] : [];
  });

/** The members of a union of string literals, as its file writes them. */
const members = (file: string, start: string): string[] => {
  const text = readFileSync(join(CORE, file), 'utf8');
  const body = text.slice(text.indexOf(start), text.indexOf(';\n', text.indexOf(start) + start.length));
  return [...body.matchAll(/(?:\| |code: )'([a-z-]+)'/g)].map(([, code]) => code ?? '');
};

describe('the phrase of a handling group', () => {
  const book = {
    services: [{ id: 'parcel', name: 'Parcel' }],
    zones: [makeZone('north', { name: 'North' }), makeZone('south', { name: 'South' })],
    areas: [makeArea({ id: 'hill', name: 'The hill' })],
    pickups: [makePickup({ id: 'yard', name: 'The yard' })],
  };
  const group = { id: 'g', name: 'G', delivery: 'any' as const, pickup: 'any' as const };

  test.each<[Partial<HandlingGroup>, string]>([
    [{ shipping: 'any' }, 'by any service'],
    [{ shipping: [] }, 'not shipped'],
    [{ shipping: ['parcel'], onlyZones: ['north'] }, 'by Parcel; only to North'],
    [{ shipping: 'any', onlyZones: [] }, 'by any service; to no zone'],
    [{ shipping: 'any', neverZones: ['north', 'south'] }, 'by any service; never to North, South'],
    [{ shipping: 'any', neverZones: [] }, 'by any service'],
    [{ delivery: 'none', pickup: ['yard'] }, 'by any service; not delivered; collected at The yard'],
    [{ delivery: ['hill'], pickup: 'none' }, 'by any service; delivered in The hill; not collected'],
  ])('%j', (part, words) => {
    expect(groupPhrase({ ...group, shipping: 'any', ...part }, book)).toBe(words);
  });
});

describe('the catalogue of words', () => {
  test('has a sentence for every fault', () => {
    expect([...wordedFaults].sort()).toEqual(
      [...new Set(members('model/fault.ts', 'export type FaultCode'))].sort(),
    );
  });

  test('has a sentence for every code that the core says', () => {
    const said = new Set(
      sources(CORE).flatMap((text) =>
        [...text.matchAll(/say: \{\s*code: '([a-z-]+)'/g)].map(([, code]) => code),
      ),
    );
    expect(said.size).toBeGreaterThan(8);
    for (const code of said) expect(spokenCodes).toContain(code);
  });

  test('puts figures in sentences', () => {
    expect(
      sentence(
        { code: 'tier', measure: 'weight', value: 3_200, from: 2_000, amount: 1_400, added: 0, share: 0 },
        METRIC,
      ),
    ).toBe('Weight 3.2 kg, from 2 kg: 14.00');
    expect(
      sentence(
        {
          code: 'handling',
          whose: 'store',
          points: 250,
          of: 1_000,
          share: 25,
          amount: 130,
          count: 3,
          per: 'parcel',
        },
        METRIC,
      ),
    ).toBe('The store’s handling, 2.5 % of 10.00: 0.25, and 3 parcels at 1.30');
    expect(sentence({ code: 'weight-unknown', goods: ['a', 'b', 'c', 'd', 'e'] }, METRIC)).toBe(
      'The weight of a, b, c and 2 more is not known.',
    );
  });
});

describe('figures', () => {
  test('money by the decimals of its currency', () => {
    const figures: [amount: number, decimals: number][] = [
      [1_250, 2],
      [-5, 2],
      [1_250, 0],
      [7, 3],
    ];
    expect(figures.map((figure) => moneyFigure(...figure))).toEqual(['12.50', '-0.05', '1,250', '0.007']);
  });

  test('an amount to write is shown by the decimals of the currency', () => {
    expect([2, 0, 3].map((decimals) => exampleAmount(decimals))).toEqual(['12.50', '1,250', '12.500']);
  });

  test('thousands are separated, in files they are not', () => {
    const amounts = [99_999, 100_000, 2_264_066, -123_456_789];
    expect(amounts.map((amount) => moneyFigure(amount, 2))).toEqual([
      '999.99',
      '1,000.00',
      '22,640.66',
      '-1,234,567.89',
    ]);
    expect(moneyFigure(12_345_678, 4)).toBe('1,234.5678');
    expect(amounts.map((amount) => plainMoney(amount, 2))).toEqual([
      '999.99',
      '1000.00',
      '22640.66',
      '-1234567.89',
    ]);
    expect([
      priceFigure(2_264_066, 2, 'CAD'),
      measureFigure('units', 4_000, { decimals: 2, units: 'metric' }),
    ]).toEqual(['CAD\u00A022,640.66', '4,000 units']);
  });

  test('measures in the shop’s units', () => {
    expect([
      weightFigure(0, 'metric'),
      weightFigure(600, 'metric'),
      weightFigure(3_289, 'imperial'),
      weightFigure(454, 'imperial'),
    ]).toEqual(['0 kg', '600 g', '7 lb 4.02 oz', '1 lb 0.01 oz']);
    expect([lengthFigure(4, 'metric'), lengthFigure(305, 'metric'), lengthFigure(305, 'imperial')]).toEqual([
      '4 mm',
      '30.5 cm',
      '12.01 in',
    ]);
    expect([
      volumeFigure(12_500_000, 'metric'),
      distanceFigure(800, 'metric'),
      distanceFigure(25_000, 'imperial'),
    ]).toEqual(['12.5 L', '800 m', '15.53 mi']);
    expect(measureFigure('units', 1, METRIC)).toBe('1 unit');
  });
});

test('a rate in a few words says what tells most first', () => {
  const steps = [
    { from: 0, amount: 850 },
    { from: 2_000, amount: 2_400 },
  ];
  const rate = makeRate({
    price: tiers('weight', steps),
    freeFrom: 8_500,
    limits: { weight: { max: 30_000 } },
    transit: { min: 1, max: 1 },
    handling: { amount: 180, per: 'order' },
    bounds: { min: 5 },
  });
  expect(ratePhrase(rate, METRIC)).toEqual({
    price: '8.50 to 24.00',
    notes: [
      'by weight',
      'free from 85.00',
      'up to 30 kg',
      'handling 1.80 an order',
      'at least 0.05',
      '1 working day',
    ],
  });
  expect(
    ratePhrase(makeRate({ price: tiers('units', [{ from: 0, amount: 5, percent: 100 }]) }), METRIC).price,
  ).toBe('from 0.05');
});
