import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoShop } from '../demo-shop.ts';
import {
  readDraft,
  readDraftDocument,
  readGoods,
  readSession,
  type KeptDraft,
  type KeptGoods,
} from './documents.ts';
import { upToDate, VERSIONS, type DocumentKind } from './versions.ts';

const draftOf = (text: string, goods: KeptGoods): KeptDraft | null => {
  const document = readDraftDocument(text);
  return document && readDraft(document, goods);
};

describe('a document of an earlier version', () => {
  const { book, catalogue, testOrders } = demoShop();
  const versionOne = (name: string): string =>
    readFileSync(join(__dirname, '../../../core/testing/version-1', `${name}.json`), 'utf8');

  test('is read as one of today: a draft and goods as a program before book version 2 kept them', () => {
    const goods = readGoods(versionOne('goods'));
    const kept = goods && draftOf(versionOne('draft'), goods);
    expect(kept?.draft.workbook.book).toMatchObject({ version: 2, store: { postalSpareDays: 0 } });
    expect(kept?.draft.workbook.book.postalList.length).toBeGreaterThan(0);
    // Its steps of undo point at names that are gone.
    expect([kept?.draft.past, kept?.draft.future]).toEqual([[], []]);
    expect(kept?.changedAt).toBe('2026-11-20T12:00:00Z');
  });

  const draft1 = { version: 1, goodsStamp: 0, book, trials: testOrders, past: [], future: [] };
  const session1 = { version: 1, trialId: 'two-pots', colours: 'dark', letterKeys: false };

  test('is read as one of today: a draft', () => {
    expect(draftOf(JSON.stringify(draft1), { catalogue, goodsStamp: 0 })).toMatchObject({
      draft: { workbook: { book, testOrders } },
      changedAt: null,
    });
  });

  test('that names a zone which is gone is read without the name', () => {
    const [group] = book.groups;
    const groups = [{ ...group, shipping: ['gone', 'parcel'], onlyZones: ['maritimes', 'gone'] }];
    const draft2 = { ...draft1, version: 2, changedAt: null, book: { ...book, groups, adjustments: [] } };
    const bare = { ...catalogue, goods: catalogue.goods.map(({ groupIds: _, ...good }) => good) };
    const kept = draftOf(JSON.stringify(draft2), { catalogue: bare, goodsStamp: 0 });
    expect(kept?.draft.workbook.book.groups).toEqual([
      { ...group, shipping: ['parcel'], onlyZones: ['maritimes'] },
    ]);
  });

  test('takes its test orders, and the steps of undo that lead into them, by their name of today', () => {
    const [first] = testOrders;
    const change = { op: 'replace', path: ['trials', 0, 'name'], value: 'Renamed' };
    const other = { op: 'replace', path: ['book', 'trials'], value: 1 };
    const step = { label: 'Name', visit: null, patches: [change, other], inverse: [change] };
    const draft5 = { ...draft1, version: 5, goods: 'emporos/catalogue', changedAt: null, past: [step] };
    const kept = draftOf(JSON.stringify(draft5), { catalogue, goodsStamp: 0 });
    expect(kept?.draft.workbook.testOrders[0]).toEqual(first);
    const now = { ...change, path: ['testOrders', 0, 'name'] };
    expect(kept?.draft.past).toEqual([{ ...step, patches: [now, other], inverse: [now] }]);
  });

  test('is read as one of today: how the device has the program', () => {
    expect(readSession(JSON.stringify(session1))).toEqual({
      session: { testOrderId: 'two-pots', colours: 'dark', letterKeys: false, found: [] },
      basket: [],
      savedAt: null,
    });
  });

  test('has a step to the next from every version, and no step changes what it is given', () => {
    for (const kind of Object.keys(VERSIONS) as DocumentKind[]) {
      for (let version = 1; version <= VERSIONS[kind]; version += 1) {
        const old = Object.freeze({ version, mark: kind });
        expect(upToDate(kind, old)).toMatchObject({ version: VERSIONS[kind], mark: kind });
      }
    }
  });

  test('from a later program, or none at all, is left for its schema to refuse', () => {
    for (const value of [{ version: 99 }, { version: '1' }, null, 'draft'])
      expect(upToDate('draft', value)).toBe(value);
  });
});
