import { unitInHeading } from '../formats/list-columns.ts';
import { typedDistance, typedLength, typedVolume, typedWeight } from '../formats/typed.ts';
import { unitFactor, WRITTEN_UNITS, type UnitKind } from './written-units.ts';

const READERS = { weight: typedWeight, length: typedLength, volume: typedVolume, distance: typedDistance };
const KINDS = Object.keys(WRITTEN_UNITS) as UnitKind[];
const EVERY_WORD = KINDS.flatMap((kind) =>
  WRITTEN_UNITS[kind].flatMap(({ name, words, factor }) =>
    words.map((word) => ({ kind, name, word, factor })),
  ),
);

test('no word means two units of a kind, and a unit is named by one of its words', () => {
  for (const kind of KINDS) {
    const words = WRITTEN_UNITS[kind].flatMap((one) => one.words);
    expect(new Set(words).size).toBe(words.length);
    for (const { name, words: own } of WRITTEN_UNITS[kind]) expect(own).toContain(name.toLowerCase());
  }
});

test.each(EVERY_WORD)('“1000 $word” is read as $kind', ({ kind, word, factor }) => {
  expect(unitFactor(kind, word)).toBe(factor);
  const typed = READERS[kind](`1000 ${word}`, 'metric');
  expect(typed.ok && typed.value / factor).toBeCloseTo(1_000, 9);
});

test.each(EVERY_WORD.filter(({ word }) => /^[a-z0-9 ]+$/.test(word)))(
  'a heading “Figure ($word)” is in that unit',
  ({ kind, name, word }) => {
    const names = WRITTEN_UNITS[kind].map((one) => one.name);
    expect(unitInHeading(`Figure (${word})`, names)).toBe(name);
  },
);
