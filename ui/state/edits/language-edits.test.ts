import { makeBook, makeCatalogue } from '../../../core/testing/book.ts';
import type { Workbook } from '../workbook.ts';
import { languageEdits } from './language-edits.ts';

const workbook = (): Workbook => ({
  book: makeBook({ translations: [{ language: 'fr', text: 'Parcel', as: 'Colis' }] }),
  catalogue: makeCatalogue(),
  testOrders: [],
});

test('many translations at once are as one after another; those without words change nothing', () => {
  const texts = [
    { text: 'Parcel', as: 'Paquet' },
    { text: 'Express', as: 'Exprès' },
    { text: 'Pallet', as: '' },
  ];
  const atOnce = workbook();
  languageEdits.setTranslations(atOnce, { language: 'fr', texts });
  const oneByOne = workbook();
  for (const one of texts.filter(({ as }) => as !== ''))
    languageEdits.setTranslation(oneByOne, { language: 'fr', ...one });
  expect(atOnce.book.translations).toEqual(oneByOne.book.translations);
  expect(atOnce.book.translations).toHaveLength(2);
});

test('nothing to set leaves the very same translations', () => {
  const { book, ...rest } = workbook();
  const { translations } = book;
  languageEdits.setTranslations({ book, ...rest }, { language: 'fr', texts: [{ text: 'Parcel', as: '' }] });
  expect(book.translations).toBe(translations);
});
