import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Rate } from '../model/rate.ts';
import { compile } from '../quote/compile.ts';
import { problemKey } from '../model/accepted.ts';
import { audit } from './audit.ts';
import { AuditMemory } from './memory.ts';

const ON = '2026-11-24';
type Shop = [Book, Good[]];
type Fault = (shop: Shop) => Shop;

const goods =
  (sku: string, part: Partial<Good>): Fault =>
  ([book, all]) => [book, all.map((good) => (good.sku === sku ? { ...good, ...part } : good))];
const book =
  (change: (book: Book) => Partial<Book>): Fault =>
  ([one, all]) => [{ ...one, ...change(one) }, all];
const rate = (id: string, part: Partial<Rate>): Fault =>
  book(({ rates }) => ({ rates: rates.map((one) => (one.id === id ? { ...one, ...part } : one)) }));

/** One fault each, as a shopkeeper may make it in the demo shop. */
const FAULTS: Record<string, Fault> = {
  'a weight is gone': goods('trowel', { weight: undefined }),
  'a size is gone': goods('trowel', { size: undefined }),
  'a price was forgotten': rate('parcel-maritimes', { price: { kind: 'flat', amount: 0, per: 'order' } }),
  'free far too early': rate('parcel-central', { freeFrom: 100 }),
  'the parcel limit is in grams, not kilograms': rate('parcel-central', { limits: { weight: { max: 30 } } }),
  'limits the wrong way round': rate('express-central', { limits: { weight: { min: 9_000, max: 3_000 } } }),
  'least charge above the free threshold': rate('parcel-central', {
    freeFrom: 6_000,
    bounds: { min: 7_000 },
  }),
  'a rate is gone': book(({ rates }) => ({ rates: rates.filter(({ id }) => id !== 'parcel-west') })),
  'a step from twice': rate('parcel-west', {
    price: {
      kind: 'steps',
      basis: 'weight',
      per: 'order',
      steps: [
        { from: 0, amount: 900 },
        { from: 0, amount: 950 },
      ],
    },
  }),
  'steps that fall': rate('parcel-central', {
    price: {
      kind: 'steps',
      basis: 'weight',
      per: 'order',
      steps: [
        { from: 0, amount: 900 },
        { from: 5_000, amount: 800 },
      ],
    },
  }),
  'a country that no zone takes': book(({ zones }) => ({
    zones: zones.map((one) => ({ ...one, remainder: false })),
  })),
  'a zone is switched off': book(({ zones }) => ({
    zones: zones.map((one) => (one.id === 'central' ? { ...one, active: false } : one)),
  })),
  'a province is in two zones': book(({ zones }) => ({
    zones: zones.map((one) =>
      one.id === 'west'
        ? { ...one, includes: [...one.includes, { country: 'CA', subdivision: 'CA-ON' }] }
        : one,
    ),
  })),
  'a discount eats the charge': book(({ adjustments }) => ({
    adjustments: [
      ...adjustments,
      {
        id: 'gift',
        name: 'Gift',
        active: true,
        when: [],
        to: { kinds: ['shipping'] },
        effect: { do: 'add', amount: -900_000, per: 'order' },
      },
    ],
  })),
  'an adjustment of last year': book(({ adjustments }) => ({
    adjustments: [
      ...adjustments,
      {
        id: 'gift',
        name: 'Gift',
        active: true,
        when: [{ test: 'dates', to: '2025-01-01' }],
        to: {},
        effect: { do: 'free' },
      },
    ],
  })),
  'a group that nothing takes': book(({ groups }) => ({
    groups: groups.map((one) => (one.id === 'seeds' ? { ...one, shipping: 'none' } : one)),
  })),
  'an area that covers nothing': book(({ areas }) => ({
    areas: areas.map((one, at) =>
      at === 0 ? { ...one, covers: { kind: 'postal', country: 'CA', patterns: [] } } : one,
    ),
  })),
  'a code that is not served': book(({ postalList }) => ({
    postalList: [...postalList, { country: 'CA', pattern: 'E2L*', served: false, cashOnDelivery: false }],
  })),
};

/** The entries of a shop by their keys, with how many rules each names. */
const entriesOf = ([one, all]: Shop, memory: AuditMemory): Map<string, number> =>
  new Map(
    audit(compile(one, { ...demoCatalogue, goods: all }), ON, memory)
      .filter(({ isVast }) => !isVast)
      .map((entry) => [problemKey(entry), entry.where.length]),
  );

test('each fault that is put into the demo is told, in 1.2 new entries on average', () => {
  const memory = new AuditMemory();
  const shop: Shop = [demoBook, demoCatalogue.goods];
  const before = entriesOf(shop, memory);
  let added = 0;
  for (const [name, fault] of Object.entries(FAULTS)) {
    const now = [...entriesOf(fault(shop), memory)];
    added += now.filter(([key]) => !before.has(key)).length;
    expect([name, now.some(([key, reach]) => reach > (before.get(key) ?? 0))]).toEqual([name, true]);
  }
  expect(added / Object.keys(FAULTS).length).toBeLessThanOrEqual(1.2);
}, 60_000);
