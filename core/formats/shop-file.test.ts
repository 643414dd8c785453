import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { demoTestOrders } from '../../demo/test-orders.ts';
import type { Book } from '../model/book.ts';
import type { PastOrder } from '../model/order.ts';
import { makeBook, makeCatalogue, makeGood, makeRequest } from '../testing/book.ts';
import { locatedSentence } from '../words/fault-sentence.ts';
import { nextEdition } from './edition.ts';
import { readShopFile, writeBookFile, writeGoodsFile, writeShopFile, type Shop } from './shop-file.ts';

const DEMO: Shop = { book: demoBook, catalogue: demoCatalogue, testOrders: demoTestOrders };
const ANY_WAY = demoBook.groups.map(({ id, name }) => ({
  id,
  name,
  shipping: 'any' as const,
  delivery: 'any' as const,
  pickup: 'any' as const,
}));
const HERE: Shop = { book: makeBook({ groups: ANY_WAY }), catalogue: makeCatalogue(), testOrders: [] };
const ORDER: PastOrder = {
  number: '1001',
  request: makeRequest(),
  chosen: {
    id: 'parcel-country',
    kind: 'shipping',
    of: { rateId: 'parcel-country' },
    name: 'Parcel',
    charge: 845,
    total: 845,
  },
  status: 'placed',
  history: [{ status: 'placed', at: '2026-11-24T10:15:00-04:00' }],
};
const SAVED = '2026-11-25T09:00:00-04:00';

const sentences = (text: string): string[] => {
  const read = readShopFile(text, HERE);
  return read.ok ? [] : read.faults.map(locatedSentence);
};

describe('a file of the whole shop', () => {
  test('gives the same shop back, and says when it was saved', () => {
    const read = readShopFile(writeShopFile(DEMO, [ORDER], SAVED), HERE);
    expect(read).toEqual({
      ok: true,
      value: { holds: 'shop', shop: DEMO, orders: [ORDER], editions: [], savedAt: SAVED },
    });
  });

  test('gives its editions and what is accepted back', () => {
    const accepted = [{ code: 'no-choice', where: 'zone:north', note: 'By telephone', print: 'x' }];
    const edition = nextEdition([], demoBook, demoCatalogue, { publishedAt: SAVED, note: 'First' });
    const read = readShopFile(writeShopFile({ ...DEMO, accepted }, [], SAVED, [edition]), HERE);
    expect(read).toMatchObject({ ok: true, value: { shop: { accepted }, editions: [edition] } });
    const bad = JSON.parse(writeShopFile(DEMO, [], SAVED, [edition])) as { editions: object[] };
    expect(sentences(JSON.stringify({ ...bad, editions: [{ ...bad.editions[0], number: 0 }] }))).toEqual([
      'editions[0].number: This must be at least 1.',
    ]);
  });

  test('from before there were orders has none', () => {
    const { orders: _, ...older } = JSON.parse(writeShopFile(DEMO, [ORDER], SAVED)) as Record<
      string,
      unknown
    >;
    const read = readShopFile(JSON.stringify(older), HERE);
    expect(read.ok && read.value.orders).toEqual([]);
  });

  test('with a number given to two orders is refused', () => {
    expect(sentences(writeShopFile(DEMO, [ORDER, ORDER], SAVED))).toEqual([
      'orders[1].number: The order number “1001” is already used by [0].',
    ]);
  });

  test('that is faulty is refused whole, each fault with its place', () => {
    const book = { ...demoBook, rates: [{ ...demoBook.rates[0], freeFrom: -1 }] };
    const catalogue = { ...demoCatalogue, goods: [{ ...demoCatalogue.goods[0], price: 'free' }] };
    const text = JSON.stringify({
      format: 'emporos-shop',
      version: 1,
      savedAt: SAVED,
      book,
      catalogue,
      testOrders: [{}],
    });
    expect(sentences(text)).toEqual([
      'book.rates[0].freeFrom: This must be at least 0.',
      'catalogue.goods[0].price: This must be a number.',
      'testOrders[0].id: This is missing.',
      'testOrders[0].name: This is missing.',
      'testOrders[0].request: This is missing.',
      'testOrders[0].expects: This is missing.',
    ]);
  });

  test('whose goods name a group that its book lacks is refused', () => {
    const catalogue = makeCatalogue(makeGood('pot', { groupIds: ['vases'] }));
    expect(sentences(writeShopFile({ ...HERE, catalogue }, [], SAVED))).toEqual([
      'catalogue.goods[0].groupIds[0]: There is no “vases” in groups.',
    ]);
  });

  test('is told from what is no such file', () => {
    const expected = ['format: This must be one of: emporos-shop, emporos-book, emporos-catalogue.'];
    expect(sentences('{"format": "other"}')).toEqual(expected);
    expect(sentences('[]')).toEqual(expected);
    expect(sentences('{"format": ')[0]).toMatch(/^This is not JSON/);
  });

  test('holds no secret of a carrier account', () => {
    const account = {
      id: 'fulmar',
      credentials: { kind: 'own', accountNumber: '77', secret: 'hush' },
    } as unknown as Book['carriers'][number];
    const text = writeShopFile({ ...DEMO, book: { ...demoBook, carriers: [account] } }, [], SAVED);
    expect(text).toContain('"accountNumber": "77"');
    expect(text).not.toContain('hush');
  });
});

describe('a file of the book or of the goods alone', () => {
  test('goes with what is here', () => {
    expect(readShopFile(writeBookFile(demoBook), HERE)).toEqual({
      ok: true,
      value: { holds: 'book', shop: { ...HERE, book: demoBook }, orders: [], editions: [], savedAt: null },
    });
    expect(readShopFile(writeGoodsFile(demoCatalogue), HERE)).toEqual({
      ok: true,
      value: {
        holds: 'goods',
        shop: { ...HERE, catalogue: demoCatalogue },
        orders: [],
        editions: [],
        savedAt: null,
      },
    });
  });

  test('is checked against what is here', () => {
    const catalogue = makeCatalogue(makeGood('pot', { groupIds: ['vases'] }));
    expect(sentences(writeGoodsFile(catalogue))).toEqual([
      'goods[0].groupIds[0]: There is no “vases” in groups.',
    ]);
  });
});
