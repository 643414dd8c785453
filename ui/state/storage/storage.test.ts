import { demoShop } from '../demo.ts';
import { edit, initialDraft, undone } from '../draft.ts';
import { coloursChosen } from '../session.ts';
import { makeStore } from '../store.ts';
import { KEYS, readDraft, writeDraft } from './documents.ts';
import { keepStore } from './keep.ts';
import { readStart } from './start.ts';
import { makeWriter, type Shelf } from './writer.ts';

const shelfOf = (kept: Map<string, string> = new Map()): Shelf & { kept: Map<string, string> } => ({
  kept,
  getItem: async (key) => kept.get(key) ?? null,
  setItem: async (key, text) => {
    kept.set(key, text);
  },
});
const quiet = { began: () => undefined, kept: () => undefined, failed: () => undefined };

const storeOver = async (shelf: Shelf) => {
  const store = makeStore(await readStart(shelf, demoShop));
  return { store, writer: keepStore(store, shelf) };
};
const rename = (name: string) => edit('setZone', { id: 'west', changes: { name } }, 'West: name');

describe('what is kept', () => {
  test('comes back with its history, and the trials and colours with it', async () => {
    const shelf = shelfOf();
    const { store, writer } = await storeOver(shelf);
    store.dispatch(rename('Prairies'));
    store.dispatch(edit('copyTrial', { id: 'two-pots', name: 'Again' }, 'new trial'));
    store.dispatch(coloursChosen('dark'));
    await writer.flush();
    const again = (await storeOver(shelf)).store;
    expect(again.getState().draft.workbook).toEqual(store.getState().draft.workbook);
    expect(again.getState().session.colours).toBe('dark');
    again.dispatch(undone());
    again.dispatch(undone());
    expect(again.getState().draft.workbook).toEqual(demoShop());
  });

  test('is written a moment after the change, once for many, with the catalogue it names', async () => {
    const shelf = shelfOf();
    const writes: string[] = [];
    const counted = {
      ...shelf,
      setItem: async (key: string, text: string) => {
        writes.push(key);
        await shelf.setItem(key, text);
      },
    };
    const { store } = await storeOver(counted);
    for (const name of ['P', 'Pr', 'Pra']) store.dispatch(rename(name));
    expect([writes, store.getState().storage.state]).toEqual([[], 'keeping']);
    await jest.advanceTimersByTimeAsync(400);
    expect([writes, store.getState().storage.state]).toEqual([[KEYS.catalogue, KEYS.draft], 'kept']);
  });

  test('that no longer parses is set aside and not written over', async () => {
    const shelf = shelfOf(new Map([[KEYS.draft, '{"version": 1, "book": {}']]));
    const { store } = await storeOver(shelf);
    expect(store.getState().storage.setAside).toEqual(['draft']);
    expect(store.getState().draft.workbook).toEqual(demoShop());
    const aside = [...shelf.kept].find(([key]) => key.startsWith('emporos/aside/draft/'));
    expect(aside?.[1]).toBe('{"version": 1, "book": {}');
  });

  test('a history that cannot be read does not cost the draft', () => {
    const draft = initialDraft(demoShop());
    const text = writeDraft(draft).replace('"past":[]', '"past":[{"label":7}]');
    expect(readDraft(text, { catalogue: draft.workbook.catalogue, goodsStamp: 0 })).toMatchObject({
      workbook: draft.workbook,
      past: [],
    });
  });
});

describe('a history', () => {
  test('goes with the goods it was made over: over other goods it is dropped and the draft kept', async () => {
    const shelf = shelfOf();
    const { store, writer } = await storeOver(shelf);
    const { book, catalogue, trials } = demoShop();
    const goods = { ...catalogue, goods: catalogue.goods.slice(1) };
    store.dispatch(rename('Prairies'));
    await writer.flush();
    const before = shelf.kept.get(KEYS.catalogue) ?? '';
    store.dispatch(edit('replaceShop', { book, catalogue: goods, trials }, 'fewer goods'));
    await writer.flush();
    const whole = (await storeOver(shelf)).store.getState().draft;
    expect([whole.past.length, whole.workbook.catalogue]).toEqual([2, goods]);
    shelf.kept.set(KEYS.catalogue, before);
    const torn = (await storeOver(shelf)).store.getState();
    expect([torn.draft.past.length, torn.draft.workbook.catalogue]).toEqual([0, catalogue]);
    expect(torn.storage.setAside).toEqual([]);
  });
});

describe('a write that fails', () => {
  test('is told, and tried again until it succeeds, with the newest text', async () => {
    let full = true;
    const shelf = shelfOf();
    const failing = {
      ...shelf,
      setItem: async (key: string, text: string) => {
        if (full) throw new Error('the disk is full');
        await shelf.setItem(key, text);
      },
    };
    const { store } = await storeOver(failing);
    store.dispatch(rename('Prairies'));
    await jest.advanceTimersByTimeAsync(400);
    expect(store.getState().storage).toMatchObject({ state: 'failed', reason: 'the disk is full' });
    store.dispatch(rename('Plains'));
    full = false;
    await jest.advanceTimersByTimeAsync(1_500);
    expect(store.getState().storage).toMatchObject({ state: 'kept', reason: null });
    expect(shelf.kept.get(KEYS.draft)).toContain('Plains');
  });

  test('does not lose what was asked for after it', async () => {
    const shelf = shelfOf();
    let times = 0;
    const flaky = {
      ...shelf,
      setItem: async (key: string, text: string) => {
        times += 1;
        if (times === 1) throw new Error('busy');
        await shelf.setItem(key, text);
      },
    };
    const writer = makeWriter(flaky, quiet);
    writer.ask('a', () => '1');
    writer.ask('b', () => '2');
    await jest.advanceTimersByTimeAsync(5_000);
    expect([...shelf.kept].sort()).toEqual([
      ['a', '1'],
      ['b', '2'],
    ]);
  });
});
