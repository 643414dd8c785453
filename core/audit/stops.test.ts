import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import type { Book } from '../model/book.ts';
import type { Problem } from '../model/problem.ts';
import type { Catalogue, Good } from '../model/good.ts';
import type { QuoteRequest } from '../model/request.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { seeded } from '../seeded.ts';
import { makeBook, makeCatalogue, makeGood, makeGroup, makeRate, makeZone } from '../testing/book.ts';
import { acceptanceOf, causeKey, printOf } from '../model/accepted.ts';
import { audit } from './audit.ts';
import { countsFrom } from './nearby-places.ts';
import { placeClasses } from './place-classes.ts';

const ON = '2026-11-24';
const AT = `${ON}T12:00:00-04:00`;
const SIZE = { length: 300, width: 200, height: 100 };
const pot = makeGood('pot', { size: SIZE });

const stopsOf = (book: Book, catalogue: Catalogue): Problem[] =>
  audit(compile(book, catalogue, answersAtOnce), ON).filter(({ gravity }) => gravity === 'stops');
const causes = (book: Book, ...goods: Good[]): string[] =>
  stopsOf(book, makeCatalogue(...goods)).map((one) => `${one.code} ${causeKey(one)}`);

const three = ['a', 'b', 'c'].map((id, at) =>
  makeZone(id, { includes: [{ country: ['CA', 'US', 'FR'][at] ?? '' }], remainder: id === 'a' }),
);
const service = [
  { id: 'parcel', name: 'Parcel' },
  { id: 'van', name: 'Van' },
];
const inAll = (part: Parameters<typeof makeRate>[0] = {}): Book =>
  makeBook({
    zones: three,
    services: service.slice(0, 1),
    rates: three.map(({ id }) => makeRate({ id: `parcel-${id}`, zoneId: id, ...part })),
  });

describe('one cause is one entry', () => {
  test('a size that is not known, in three zones', () => {
    const book = inAll({ limits: { longestSide: { max: 1_000 } } });
    const found = stopsOf(book, makeCatalogue(pot, makeGood('gloves', { name: 'Gloves', size: undefined })));
    expect(found.map((one) => `${one.code} ${causeKey(one)}`)).toEqual(['size-missing good:gloves']);
    expect(found[0]).toMatchObject({
      text: 'Gloves cannot be bought in a, b and c: the size is not known.',
      reach: '3 zones · 1 product',
      goods: ['gloves'],
    });
  });

  test('a group that nothing carries, with all its goods', () => {
    const soil = ['loam', 'grit'].map((id) => makeGood(id, { groupIds: ['soil'] }));
    const book = { ...inAll(), groups: [makeGroup('soil', { name: 'Soil', shipping: 'none' })] };
    expect(causes(book, pot, ...soil)).toEqual(['group-not-sent group:soil']);
  });

  test('a limit that keeps single goods and many', () => {
    const book = makeBook({
      ...inAll(),
      rates: inAll().rates.map((rate, at) =>
        at === 1 ? { ...rate, limits: { weight: { max: 700 } } } : rate,
      ),
    });
    expect(causes(book, pot, makeGood('urn', { weight: 900 }))).toEqual(['no-choice rate:parcel-b']);
  });

  test('two causes in one zone are two, and mending one leaves the other', () => {
    const group = makeGroup('soil', { shipping: 'none' });
    const book: Book = {
      ...inAll({ limits: { weight: { max: 700 } } }),
      zones: three.slice(0, 1),
      groups: [group],
    };
    const one = { ...book, rates: book.rates.slice(0, 1) };
    const goods = [pot, makeGood('loam', { groupIds: ['soil'] }), makeGood('urn', { weight: 900 })];
    expect(causes(one, ...goods).sort()).toEqual(['group-not-sent group:soil', 'no-choice rate:parcel-a']);
    const mended = { ...one, groups: [{ ...group, shipping: 'any' as const }] };
    expect(causes(mended, ...goods)).toEqual(['no-choice rate:parcel-a']);
  });

  test('orders beyond any likely size come last and say so', () => {
    const book = inAll({ limits: { units: { max: 5_000 } } });
    const found = audit(compile(book, makeCatalogue(pot, makeGood('odd', { weight: 6, size: SIZE }))), ON);
    expect(found.at(-1)).toMatchObject({ gravity: 'stops', isVast: true });
    expect(found[0]?.isVast).toBeUndefined();
  });

  test('a service for one channel only stops what is ordered elsewhere, in one entry a zone', () => {
    const book = inAll({ channels: ['pos'] });
    expect(causes(book, pot)).toEqual([]);
    const both = {
      ...book,
      rates: book.rates.map((rate, at) => (at === 0 ? { ...rate, channels: undefined } : rate)),
    };
    expect(causes(both as Book, pot).every((one) => one.startsWith('zone-without-rate zone:'))).toBe(true);
  });
});

describe('of the demo shop', () => {
  const compiled = compile(demoBook, demoCatalogue, answersAtOnce);
  const found = stopsOf(demoBook, demoCatalogue);
  const hasChoice = (request: QuoteRequest): boolean =>
    quote(compiled, request).choices.some((one) =>
      countsFrom(compiled, one, request.destination?.country ?? ''),
    );

  test('no two entries have one cause, and each has an order without a choice', () => {
    expect(new Set(found.map(causeKey)).size).toBe(found.length);
    for (const { example } of found) expect(example && hasChoice(example)).toBe(false);
  });

  /** Whether a sentence says that something cannot be bought in a zone: not where else it goes instead. */
  const isNamed = (text: string, name: string): boolean => {
    const [, zones = ''] = /cannot be bought in (.*?)(: | when |$)/.exec(text) ?? [];
    return new RegExp(`(^|, | and )${name}(, | and |$)`).test(zones);
  };

  test('what is said of goods and zones holds for each of them', () => {
    const { classes } = placeClasses(compiled);
    let asked = 0;
    for (const { goods = [], text, example, where } of found) {
      if (/ parts of | some places of /.test(text)) continue;
      const places = classes.filter(
        ({ served, zone }) =>
          served &&
          zone &&
          (isNamed(text, zone.zone.name) ||
            (/ in \d+ zones/.test(text) && where.some(({ id }) => id === zone.zone.id))),
      );
      const quantities = text.includes('one alone') ? [1] : [1, 3, 20, 200];
      for (const { destination } of places)
        for (const [sku, quantity] of goods.flatMap((one) =>
          quantities.map((count) => [one, count] as const),
        )) {
          asked += 1;
          const request = {
            ...example,
            destination,
            lines: [{ sku, quantity }],
            placedAt: example?.placedAt ?? AT,
          };
          expect([text, sku, destination, hasChoice(request)]).toEqual([text, sku, destination, false]);
        }
    }
    expect(asked).toBeGreaterThan(20);
  });

  test('giving what one product lacks removes exactly its entry', () => {
    const key = 'size-missing good:gloves';
    const goods = demoCatalogue.goods.map((good) => (good.sku === 'gloves' ? { ...good, size: SIZE } : good));
    const keys = (list: readonly Problem[]): string[] => list.map((one) => `${one.code} ${causeKey(one)}`);
    expect(keys(found)).toContain(key);
    expect(keys(stopsOf(demoBook, { ...demoCatalogue, goods })).sort()).toEqual(
      keys(found)
        .filter((one) => one !== key)
        .sort(),
    );
  });
});

test('nothing goes above a limit beyond which nothing is said to go', () => {
  const book = makeBook({ ...inAll({ limits: { weight: { max: 9_000 } } }) });
  const goods = [
    pot,
    makeGood('urn', { weight: 900 }),
    makeGood('leaflet', { weight: 20, chargeFree: true }),
  ];
  const catalogue = makeCatalogue(...goods);
  const compiled = compile(book, catalogue);
  const texts = stopsOf(book, catalogue).map(({ text }) => text);
  expect(texts).toContain('Above 9 kg, nothing can be bought in b: Parcel to b ends there.');
  const random = seeded(7);
  for (let at = 0; at < 200; at += 1) {
    const lines = goods.map(({ sku }) => ({ sku, quantity: 1 + Math.floor(random() * 30) }));
    const weight = lines.reduce((sum, { quantity }, line) => sum + quantity * (goods[line]?.weight ?? 0), 0);
    const { choices } = quote(compiled, { destination: { country: 'US' }, lines, placedAt: AT });
    expect([weight > 9_000, choices.length]).toEqual([weight > 9_000, weight > 9_000 ? 0 : 1]);
  }
});

test('steps measure what is charged for: a limit of steps is not told of all orders where some goods are free', () => {
  const steps = {
    kind: 'steps' as const,
    basis: 'weight' as const,
    per: 'order' as const,
    steps: [{ from: 0, amount: 900 }],
    until: 9_000,
  };
  const book = makeBook({ ...inAll({ price: steps }) });
  const free = makeGood('leaflet', { weight: 20, chargeFree: true });
  const text = (...goods: Good[]): string => stopsOf(book, makeCatalogue(...goods))[0]?.text ?? '';
  expect(text(pot)).toMatch(/^Above 9 kg, nothing|^Parcel to a has a gap/);
  expect(text(pot, free)).not.toMatch(/^Above 9 kg, nothing/);
});

test('an acceptance is of the cause with what it reaches, and lapses when either changes', () => {
  const book = inAll({ limits: { longestSide: { max: 1_000 } } });
  const [problem] = stopsOf(book, makeCatalogue(makeGood('gloves', { size: undefined })));
  if (!problem) throw new Error('nothing was found');
  const catalogue = makeCatalogue(makeGood('gloves', { size: undefined }));
  const accepted = [
    { code: problem.code, where: causeKey(problem), note: 'meant', print: printOf(problem, book, catalogue) },
  ];
  const isAccepted = (one: Problem, of = book): boolean =>
    acceptanceOf(one, accepted, of, catalogue) !== null;
  expect(isAccepted(problem)).toBe(true);
  expect(isAccepted({ ...problem, places: [...(problem.places ?? []), 'MX'] })).toBe(false);
  expect(isAccepted({ ...problem, goods: ['gloves', 'boots'] })).toBe(false);
  expect(isAccepted({ ...problem, where: [{ kind: 'good', id: 'boots' }] })).toBe(false);
});
