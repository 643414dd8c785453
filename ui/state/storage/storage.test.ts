import { day, DECEMBER, NOVEMBER, open, rename, west } from '../../testing/opened-shop.ts';
import { makeMemoryStore, makeTabs, type MemoryStore } from '../../testing/memory-store.ts';
import { nextEdition } from '../../../core/formats/edition.ts';
import { added } from '../basket.ts';
import { isDemoBook } from '../demo.ts';
import { demoShop } from '../demo-shop.ts';
import { edit, initialDraft, undone } from '../draft.ts';
import { editionPublished } from '../editions.ts';
import { orderPlaced } from '../orders.ts';
import { coloursChosen } from '../session.ts';
import { savedNow } from '../storage-status.ts';
import { makeStore, type AppStore } from '../store.ts';
import {
  KEYS,
  readDraft,
  readDraftDocument,
  readGoods,
  writeDraft,
  writeGoods,
  type KeptDraft,
  type KeptGoods,
} from './documents.ts';
import { editionKey, writeEdition } from './load-editions.ts';
import { carryOver } from './device-store.ts';

const NOTES = { changedAt: null, stamp: null, goods: 'emporos/catalogue/one:1' };
const draftOf = (text: string, goods: KeptGoods): KeptDraft | null => {
  const document = readDraftDocument(text);
  return document && readDraft(document, goods);
};

test('the demo shop’s book is told from others by its name and its first location', () => {
  const { book } = demoShop();
  expect(isDemoBook(book)).toBe(true);
  expect(isDemoBook({ ...book, locations: [] })).toBe(false);
});

describe('what is kept', () => {
  test('comes back with its history, the test orders, orders, basket and colours with it', async () => {
    const device = makeMemoryStore();
    const { store, writer } = await open(device);
    store.dispatch(rename('Prairies'));
    store.dispatch(edit('copyTestOrder', { id: 'two-pots', name: 'Again' }, 'new test order'));
    store.dispatch(coloursChosen('dark'));
    store.dispatch(added('seed-lupin'));
    store.dispatch(savedNow('2026-11-26T09:00:00.000Z'));
    for (const one of [DECEMBER, NOVEMBER]) store.dispatch(orderPlaced(one));
    await writer.flush();
    const again = (await open(device)).store;
    const { draft, orders, basket, session, storage } = again.getState();
    expect(draft.workbook).toEqual(store.getState().draft.workbook);
    expect([orders, basket]).toEqual([[NOVEMBER, DECEMBER], [{ sku: 'seed-lupin', quantity: 1 }]]);
    expect([session.colours, storage.savedAt]).toEqual(['dark', '2026-11-26T09:00:00.000Z']);
    expect(storage.changedAt).toBe(store.getState().storage.changedAt);
    again.dispatch(undone());
    again.dispatch(undone());
    expect(again.getState().draft.workbook).toEqual(demoShop());
  });

  test('is written a moment after the change, once for many, with the goods it names', async () => {
    const device = makeMemoryStore();
    const { store } = await open(device);
    const keys = () => device.writes.map(({ key }) => key);
    for (const name of ['P', 'Pr', 'Pra']) store.dispatch(rename(name));
    expect([keys(), store.getState().storage.state]).toEqual([[], 'keeping']);
    await jest.advanceTimersByTimeAsync(400);
    expect(keys()).toEqual([KEYS.stamp, 'emporos/catalogue/one:3', KEYS.draft]);
    expect(store.getState().storage.state).toBe('kept');
    store.dispatch(rename('Prair'));
    await jest.advanceTimersByTimeAsync(400);
    expect(keys().slice(3)).toEqual([KEYS.stamp, KEYS.draft]);
  });

  test('keeps the orders of each month apart', async () => {
    const device = makeMemoryStore();
    const { store, writer } = await open(device);
    for (const one of [NOVEMBER, DECEMBER]) store.dispatch(orderPlaced(one));
    await writer.flush();
    expect([...device.kept.keys()].sort()).toEqual(['emporos/orders/2026-11', 'emporos/orders/2026-12']);
  });

  test('that no longer parses is set aside and not written over', async () => {
    const broken = '{"version": 1, "book": {}';
    const device = makeMemoryStore(
      new Map([
        [KEYS.draft, broken],
        ['emporos/orders/2026-11', '{"version": 9}'],
      ]),
    );
    const { store } = await open(device);
    const { aside, news } = store.getState().storage;
    expect(news.map(({ document, why }) => `${document} ${why}`)).toEqual([
      'draft unreadable',
      'orders/2026-11 unreadable',
    ]);
    expect(store.getState().draft.workbook).toEqual(demoShop());
    expect(aside.map(({ key }) => device.kept.get(key))).toEqual([broken, '{"version": 9}']);
    device.kept.delete(KEYS.draft);
    const again = (await open(device)).store.getState().storage;
    expect(again.aside.map(({ document }) => document)).toContain('draft');
  });

  test('a history that cannot be read does not cost the draft', () => {
    const draft = initialDraft(demoShop());
    const text = writeDraft(draft, NOTES).replace('"past":[]', '"past":[{"label":7}]');
    const goods = readGoods(writeGoods(draft));
    if (!goods) throw new Error('the goods were not read');
    expect(draftOf(text, goods)?.draft).toMatchObject({
      workbook: draft.workbook,
      past: [],
    });
  });
});

describe('an edition', () => {
  const published = (note: string, publishedAt = '2026-11-24T12:00:00Z') => {
    const { book, catalogue } = demoShop();
    return nextEdition([], book, catalogue, { note, publishedAt });
  };

  test('is kept once published, and is there when the program is opened again', async () => {
    const device = makeMemoryStore();
    const { store, writer } = await open(device);
    store.dispatch(editionPublished(published('First')));
    await writer.flush();
    const again = await open(device);
    expect(again.store.getState().editions.map(({ note }) => note)).toEqual(['First']);
  });

  test('of another tab under the same number is kept beside it', async () => {
    const device = makeMemoryStore();
    const { store, writer } = await open(device);
    const other = published('From the other tab');
    await device.setItem(editionKey(other), writeEdition(other));
    store.dispatch(editionPublished(published('Mine')));
    await writer.flush();
    await jest.advanceTimersByTimeAsync(50);
    const kept = (of: AppStore) => of.getState().editions.map(({ number, note }) => `${number} ${note}`);
    expect(kept(store)).toEqual(['1 From the other tab', '2 Mine']);
    expect(kept((await open(device)).store)).toEqual(['1 From the other tab', '2 Mine']);
  });
});

describe('a long list of the book', () => {
  const rows = Array.from({ length: 3_000 }, (_, at) => ({ country: 'CA', from: at, amount: 1 }));
  const taken = (): AppStore => {
    const store = makeStore({ draft: initialDraft(demoShop()) });
    store.dispatch(edit('setStore', { changes: { name: 'Before' } }, 'name'));
    store.dispatch(edit('replaceRows', { id: 'pallets-west', basis: 'weight', rows }, 'rows'));
    store.dispatch(edit('setStore', { changes: { name: 'After' } }, 'name'));
    return store;
  };

  test('is kept beside the goods, and comes back with the book', () => {
    const { draft } = taken().getState();
    const text = writeDraft(draft, NOTES);
    expect(text).not.toContain('"from":2999');
    const goods = readGoods(writeGoods(draft));
    if (!goods) throw new Error('the goods were not read');
    expect(draftOf(text, goods)?.draft.workbook.book).toEqual(draft.workbook.book);
  });

  test('that was taken in whole is undone while the page is open, and not after', () => {
    const store = taken();
    const { draft } = store.getState();
    const goods = readGoods(writeGoods(draft));
    if (!goods) throw new Error('the goods were not read');
    const again = draftOf(writeDraft(draft, NOTES), goods)?.draft;
    expect(again?.past.map(({ label }) => label)).toEqual(['name']);
    store.dispatch(undone());
    store.dispatch(undone());
    expect(store.getState().draft.workbook.book.rateTables[0]?.rows).toHaveLength(30);
  });
});

describe('a write that fails', () => {
  test('is told, and tried again until it succeeds, with the newest text', async () => {
    const device = makeMemoryStore();
    device.refuse = () => new Error('the disk is full');
    const { store } = await open(device);
    store.dispatch(rename('Prairies'));
    await jest.advanceTimersByTimeAsync(400);
    expect(store.getState().storage).toMatchObject({ state: 'failed', reason: 'the disk is full' });
    store.dispatch(rename('Plains'));
    device.refuse = () => null;
    await jest.advanceTimersByTimeAsync(1_500);
    expect(store.getState().storage).toMatchObject({ state: 'kept', reason: null });
    expect(device.kept.get(KEYS.draft)).toContain('Plains');
  });

  test('whichever it is, loses nothing: each write of a day failed in turn', async () => {
    const whole = makeMemoryStore();
    await day(await open(whole));
    const plain = (device: MemoryStore) =>
      Object.fromEntries(
        [...device.kept].map(([key, text]) => [key, text.replace(/"changedAt":"[^"]*"/, '')]),
      );
    for (let fails = 1; fails <= whole.writes.length; fails += 1) {
      const device = makeMemoryStore();
      device.refuse = (at) => (at === fails ? new Error('blocked') : null);
      await day(await open(device));
      expect(plain(device)).toEqual(plain(whole));
    }
  }, 60_000);
});

describe('documents that were kept in the small storage before', () => {
  test('are carried over once, each copied before it is taken away', async () => {
    const from = makeMemoryStore(
      new Map([
        ['emporos/draft', 'old'],
        ['emporos/session', 'old'],
        ['other', 'not ours'],
      ]),
    );
    const to = makeMemoryStore(new Map([['emporos/session', 'new']]));
    to.refuse = () => new Error('blocked');
    await expect(carryOver(from, to)).rejects.toThrow('blocked');
    expect(from.kept.get('emporos/draft')).toBe('old');
    to.refuse = () => null;
    await carryOver(from, to);
    expect([...to.kept].sort()).toEqual([
      ['emporos/draft', 'old'],
      ['emporos/session', 'new'],
    ]);
    expect([...from.kept.keys()]).toEqual(['other']);
  });
});

describe('two tabs', () => {
  const two = async () => {
    const device = makeMemoryStore();
    const tab = makeTabs();
    const first = await open(device, tab('first'));
    const second = await open(device, tab('second'));
    return { device, first, second };
  };
  const settled = () => jest.advanceTimersByTimeAsync(2_000);

  test('show each other’s changes, and can take them back', async () => {
    const { first, second } = await two();
    first.store.dispatch(rename('Prairies'));
    await settled();
    expect(west(second.store)).toBe('Prairies');
    expect(second.store.getState().session.message?.text).toContain('another tab');
    second.store.dispatch(undone());
    await settled();
    expect([west(first.store), west(second.store)]).toEqual(['West', 'West']);
    expect(second.store.getState().storage.aside).toEqual([]);
  });

  test('that change it at the same moment lose neither: one stands, the other is set aside and told', async () => {
    const { device, first, second } = await two();
    first.store.dispatch(rename('Prairies'));
    second.store.dispatch(rename('Plains'));
    await Promise.all([first.writer.flush(), second.writer.flush()]);
    await settled();
    expect([west(first.store), west(second.store)]).toEqual(['Plains', 'Plains']);
    const { news } = second.store.getState().storage;
    expect(news.map(({ document, why }) => `${document} ${why}`)).toEqual([
      'draft other-tab',
      'catalogue/first:1 other-tab',
    ]);
    expect(device.kept.get(news[0]?.key ?? '')).toContain('Prairies');
  });

  test('place orders side by side, each once in both, and then fall silent', async () => {
    const { device, first, second } = await two();
    first.store.dispatch(orderPlaced(NOVEMBER));
    second.store.dispatch(orderPlaced({ ...NOVEMBER, number: '1003', recipient: 'Ada Quill' }));
    await settled();
    const numbers = (store: AppStore) => store.getState().orders.map(({ number }) => number);
    expect([numbers(first.store), numbers(second.store)]).toEqual([
      ['1001', '1003'],
      ['1001', '1003'],
    ]);
    const writes = device.writes.length;
    await settled();
    expect(device.writes.length).toBe(writes);
  });
});
