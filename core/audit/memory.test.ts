import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import type { Book } from '../model/book.ts';
import type { Catalogue } from '../model/good.ts';
import { compile } from '../quote/compile.ts';
import { audit, auditInSteps } from './audit.ts';
import { AuditMemory } from './memory.ts';

const ON = '2026-11-24';

interface Shop {
  book: Book;
  catalogue: Catalogue;
}

/** The demo with few enough products for many audits. */
const DEMO: Shop = {
  book: demoBook,
  catalogue: { ...demoCatalogue, goods: demoCatalogue.goods.filter((_, at) => at % 4 === 0) },
};
const compiledOf = ({ book, catalogue }: Shop) => compile(book, catalogue);

const inBook =
  (change: (book: Book) => Partial<Book>) =>
  (shop: Shop): Shop => ({
    ...shop,
    book: { ...shop.book, ...change(shop.book) },
  });

/** A list with its first entry changed. */
const first = <T>(list: readonly T[], change: (one: T) => Partial<T>): T[] =>
  list.map((one, at) => (at === 0 ? { ...one, ...change(one) } : one));

/** An edit of each part of a shop that orders turn on. */
const EDITS: [string, (shop: Shop) => Shop][] = [
  ['the rates', inBook(({ rates }) => ({ rates: rates.map((rate) => ({ ...rate, freeFrom: 1 })) }))],
  [
    'an adjustment',
    inBook(({ adjustments }) => ({ adjustments: first(adjustments, () => ({ active: false })) })),
  ],
  [
    'the entries of a zone',
    inBook(({ zones }) => ({ zones: first(zones, ({ includes }) => ({ includes: includes.slice(1) })) })),
  ],
  [
    'a table',
    inBook(({ rateTables }) => ({
      rateTables: first(rateTables, ({ rows }) => ({ rows: first(rows, () => ({ amount: 0 })) })),
    })),
  ],
  [
    'areas priced by a table',
    inBook(({ areas, rateTables }) => ({
      areas: areas.map(({ serviceFee: _, ...area }) => ({
        ...area,
        price: { kind: 'table', tableId: 'near' },
      })),
      rateTables: [
        ...rateTables,
        { id: 'near', name: 'Near', basis: 'weight', rows: [{ from: 0, amount: 0 }] },
      ],
    })),
  ],
  [
    'that table',
    inBook(({ rateTables }) => ({
      rateTables: rateTables.map((table) =>
        table.id === 'near' ? { ...table, rows: [{ from: 0, amount: 400 }] } : table,
      ),
    })),
  ],
  [
    'an area',
    inBook(({ areas }) => ({
      areas: areas.map((area) => ({ ...area, price: { kind: 'flat', amount: 0, per: 'order' } })),
    })),
  ],
  [
    'the pickup points',
    inBook(({ pickups }) => ({
      pickups: pickups.map((point) => ({
        ...point,
        charge: 0,
        limits: { subtotal: { min: 9_000, max: 100 } },
      })),
    })),
  ],
  ['a handling group', inBook(({ groups }) => ({ groups: first(groups, () => ({ shipping: 'none' })) }))],
  [
    'the postal list',
    inBook(({ postalList }) => ({ postalList: postalList.map((rule) => ({ ...rule, served: false })) })),
  ],
  ['the store', inBook(({ store }) => ({ store: { ...store, rounding: { to: 5_000, mode: 'nearest' } } }))],
  [
    'a product',
    (shop) => ({
      ...shop,
      catalogue: { ...shop.catalogue, goods: first(shop.catalogue.goods, () => ({ weight: 90_000 })) },
    }),
  ],
  [
    'a product gone',
    (shop) => ({ ...shop, catalogue: { ...shop.catalogue, goods: shop.catalogue.goods.slice(2) } }),
  ],
];

describe('what is remembered of a shop', () => {
  test('is never of a shop that was edited since: one edit after the other', () => {
    const memory = new AuditMemory();
    let shop = DEMO;
    let before = audit(compiledOf(shop), ON, memory);
    for (const [name, edit] of EDITS) {
      shop = edit(shop);
      const found = audit(compiledOf(shop), ON, memory);
      expect([name, found]).toEqual([name, audit(compiledOf(shop), ON)]);
      expect([name, found]).not.toEqual([name, before]);
      before = found;
    }
  }, 120_000);

  test('is all there is to know of a shop that was not edited, and of one rate nearly all', () => {
    const memory = new AuditMemory();
    audit(compiledOf(DEMO), ON, memory);
    const whole = memory.judged;
    audit(compiledOf({ ...DEMO }), ON, memory);
    expect(memory.judged).toBe(whole);
    const rates = demoBook.rates.map((rate, at) => (at === 3 ? { ...rate, freeFrom: 12_345 } : rate));
    audit(compiledOf(inBook(() => ({ rates }))(DEMO)), ON, memory);
    expect(memory.judged - whole).toBeGreaterThan(0);
    expect(memory.judged - whole).toBeLessThan(whole / 4);
  });

  test('survives an audit that was stopped on the way', () => {
    const memory = new AuditMemory();
    const steps = auditInSteps(compiledOf(DEMO), ON, memory);
    expect(steps.next().value).toMatchObject({ done: 0, all: 12 });
    for (let step = 0; step < 6; step += 1) steps.next();
    const begun = memory.judged;
    expect(audit(compiledOf(DEMO), ON, memory)).toEqual(audit(compiledOf(DEMO), ON));
    const whole = new AuditMemory();
    audit(compiledOf(DEMO), ON, whole);
    expect(memory.judged).toBe(whole.judged);
    expect(begun).toBeGreaterThan(0);
  });
});
