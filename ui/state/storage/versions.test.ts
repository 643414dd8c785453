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
  const { book, catalogue, trials } = demoShop();
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

  const draft1 = { version: 1, goodsStamp: 0, book, trials, past: [], future: [] };
  const session1 = { version: 1, trialId: 'two-pots', colours: 'dark', letterKeys: false };

  test('is read as one of today: a draft', () => {
    expect(draftOf(JSON.stringify(draft1), { catalogue, goodsStamp: 0 })).toMatchObject({
      draft: { workbook: { book, trials } },
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

  test('is read as one of today: how the device has the program', () => {
    expect(readSession(JSON.stringify(session1))).toEqual({
      session: { trialId: 'two-pots', colours: 'dark', letterKeys: false },
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
