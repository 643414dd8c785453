import { demoShop } from '../demo-shop.ts';
import { initialDraft } from '../draft.ts';
import { documentFaults } from './document-faults.ts';
import { writeDraft, writeGoods } from './documents.ts';

const draft = initialDraft(demoShop());
const NOTES = { changedAt: null, stamp: null, goods: 'emporos/catalogue/one:1' };

test('what keeps a document from being read is said with its place', () => {
  const text = writeDraft(draft, NOTES).replace('"weight":{"max":30000}', '"weight":{"max":-1}');
  expect(text).toContain('"max":-1');
  expect(documentFaults('draft', text)[0]).toMatch(
    /^rates\[\d+\]\.limits\.weight\.max: This must be at least 0\.$/,
  );
  expect(documentFaults('draft', '{"version": 1,')[0]).toMatch(/^This is not JSON/);
  expect(documentFaults('draft', '{"version": 99}')).toEqual(['It is from a later version of this program.']);
  expect(documentFaults('draft', writeDraft(draft, NOTES))).toEqual([]);
  const goods = writeGoods(draft).replace(/"price":\d+/, '"price":-5');
  expect(documentFaults('catalogue', goods)[0]).toContain('price: This must be at least 0.');
});
