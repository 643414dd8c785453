import { locatedSentence } from '../words/fault-sentence.ts';
import { guessMapping } from './list-columns.ts';
import { placeless, readList } from './list-format.ts';
import { SHOP_TEXTS, textCells, textsSheet } from './texts-table.ts';

const OWN = ['Parcel', 'By appointment.\nRing twice.', 'Seeds'];
const HEADINGS = textsSheet('fr').map(({ heading }) => heading);

const read = (...rows: string[][]) => {
  const [headings = []] = rows;
  const { faults, ...rest } = readList(
    SHOP_TEXTS,
    rows,
    guessMapping(headings, SHOP_TEXTS.columns),
    { own: OWN },
    placeless('.'),
  );
  return { ...rest, faults: faults.map(locatedSentence) };
};

test('what is written is read again the same, empty translations too', () => {
  expect(HEADINGS).toEqual(['Used for', 'Text', 'French']);
  const rows = [
    textCells({ part: 'ways', text: 'Parcel', as: 'Colis' }),
    textCells({ part: 'messages', text: OWN[1] ?? '', as: '' }),
  ];
  expect(rows[0]).toEqual(['Ways to get an order', 'Parcel', 'Colis']);
  expect(read(HEADINGS, ...rows)).toEqual({
    items: [
      { text: 'Parcel', as: 'Colis' },
      { text: OWN[1], as: '' },
    ],
    rows: [2, 3],
    faults: [],
    faulty: 0,
    isRead: true,
  });
});

test('a text is found again whatever a program did to its ends of lines, and under other headings', () => {
  const { items } = read(['Source', 'Target'], [' By appointment.\r\nRing twice. ', 'Sur rendez-vous.']);
  expect(items).toEqual([{ text: OWN[1], as: 'Sur rendez-vous.' }]);
  expect(read(['source', 'Français'], ['Seeds', 'Graines']).items).toEqual([
    { text: 'Seeds', as: 'Graines' },
  ]);
});

test('a text that is not there, one that is there twice and one too long are named by their rows', () => {
  const { items, faults, faulty } = read(
    HEADINGS,
    ['', 'Parcels', 'Colis'],
    ['', 'Seeds', 'Graines'],
    ['', 'Seeds', 'Semences'],
    ['', 'Parcel', 'x'.repeat(2_001)],
  );
  expect([items, faulty]).toEqual([[{ text: 'Seeds', as: 'Graines' }], 3]);
  expect(faults).toEqual([
    'row 2, Text: “Parcels” is not one of your texts: it may have been changed since the list was saved.',
    'row 4, Text: “Seeds” is already in row 3.',
    `row 5, Translation: “${'x'.repeat(40)}…” was not understood: write at most 2,000 characters.`,
  ]);
});

test('a file without the texts or without a language says which column is missing', () => {
  expect(read(['Used for', 'Text'], ['', 'Parcel']).faults).toEqual([
    'row 1: No column is “Translation”, and each row needs one.',
  ]);
  expect(read(['French'], ['Colis'])).toMatchObject({ items: [], faulty: 1 });
});
