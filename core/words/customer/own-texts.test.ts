import { quote } from '../../quote/quote.ts';
import { compile } from '../../quote/compile.ts';
import {
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makePickup,
  makeRate,
  makeRequest,
} from '../../testing/book.ts';
import { inLanguage, ownLanguage, ownTexts } from './own-texts.ts';

const catalogue = makeCatalogue(makeGood('pot', { name: 'Kelp mulch' }));
const book = makeBook({
  store: { languages: ['en', 'fr'] },
  services: [{ id: 'parcel', name: 'Parcel', note: 'Next day' }],
  rates: [makeRate({ message: 'Ring us.' })],
  areas: [makeArea({ instructions: 'Leave the gate open.' })],
  pickups: [makePickup({ name: 'The Yard' })],
  translations: [
    { language: 'fr', text: 'Parcel', as: 'Colis' },
    { language: 'fr', text: 'Kelp mulch', as: 'Paillis d’algues' },
    { language: 'fr', text: 'Ring us.', as: 'Appelez-nous.' },
  ],
});

test('a shop in another language has every text that is translated, and the rest as it is', () => {
  const french = inLanguage(book, catalogue, 'fr');
  expect(french.book.services[0]).toEqual({ id: 'parcel', name: 'Colis', note: 'Next day' });
  expect(french.book.rates[0]?.message).toBe('Appelez-nous.');
  expect(french.book.pickups[0]?.name).toBe('The Yard');
  expect(french.catalogue.goods[0]?.name).toBe('Paillis d’algues');
});

test('the charges and choices are the same; only their names are read in another language', () => {
  const french = inLanguage(book, catalogue, 'fr');
  const [own, read] = [
    quote(compile(book, catalogue), makeRequest()),
    quote(compile(french.book, french.catalogue), makeRequest()),
  ];
  const figures = (quoted: typeof own) =>
    quoted.choices.map(({ id, charge, total }) => ({ id, charge, total }));
  expect(figures(read)).toEqual(figures(own));
  expect([own, read].map(({ choices }) => choices[0]?.name)).toEqual(['Parcel', 'Colis']);
});

test('the shop’s own language, and one that nothing is translated into, are the very same shop', () => {
  expect(ownLanguage(book)).toBe('en');
  expect(inLanguage(book, catalogue, 'en').book).toBe(book);
  const untranslated = { ...book, translations: [] };
  expect(inLanguage(untranslated, catalogue, 'fr')).toEqual({ book: untranslated, catalogue });
  expect(inLanguage(untranslated, catalogue, 'fr').book).toBe(untranslated);
});

test('the texts to translate are each there once, with what they are for', () => {
  const texts = ownTexts(
    { ...book, payments: [{ id: 'p', name: 'Parcel', kind: 'online', for: [] }] },
    catalogue,
  );
  expect(texts.filter(({ text }) => text === 'Parcel')).toEqual([{ text: 'Parcel', part: 'ways' }]);
  expect(texts).toEqual(
    expect.arrayContaining([
      { text: 'Next day', part: 'ways' },
      { text: 'Leave the gate open.', part: 'ways' },
      { text: 'Ring us.', part: 'messages' },
      { text: 'Kelp mulch', part: 'goods' },
    ]),
  );
});
