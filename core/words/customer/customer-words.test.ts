import { IntlMessageFormat } from 'intl-messageformat';
import { ENGLISH_WORDS, FRENCH_WORDS } from '../../testing/words.ts';
import { CATALOGUES } from './customer-words.ts';
import { ENGLISH, type MessageId } from './english.ts';
import { FRENCH } from './french.ts';

type Part = ReturnType<IntlMessageFormat['getAst']>[number];

/** The names of the figures that a message asks for, those within its plurals and selections too. */
const namesIn = (parts: readonly Part[]): string[] =>
  parts.flatMap((part) => [
    ...('value' in part && part.type !== 0 ? [part.value] : []),
    ...('options' in part ? Object.values(part.options).flatMap(({ value }) => namesIn(value)) : []),
  ]);
const namesOf = (message: string, language: string): string[] => {
  const made = new IntlMessageFormat(message, language, undefined, { ignoreTag: true });
  return [...new Set(namesIn(made.getAst()))].sort();
};

describe('the texts of the customer’s side', () => {
  test('ask for the same figures in every language, and none is left in the other', () => {
    const differing = (Object.keys(ENGLISH) as MessageId[]).filter(
      (id) => namesOf(ENGLISH[id], 'en').join() !== namesOf(FRENCH[id], 'fr').join(),
    );
    expect(differing).toEqual([]);
    const figures = /^[{}\w\s,;.×#-]*$/;
    const same = (Object.keys(ENGLISH) as MessageId[]).filter(
      (id) => ENGLISH[id] === FRENCH[id] && !figures.test(ENGLISH[id]),
    );
    expect(same).toEqual([]);
  });

  test('have the marks of their language: no straight quotes, no double spaces', () => {
    for (const catalogue of Object.values(CATALOGUES))
      for (const text of Object.values(catalogue)) expect(text).not.toMatch(/["']| {2}/);
  });
});

describe('figures and days', () => {
  const slot = { start: '2026-11-30T09:00:00-04:00', end: '2026-11-30T10:00:00-04:00' };

  test('follow the language', () => {
    expect(ENGLISH_WORDS.price(2_264_066)).toBe('CAD\u00A022,640.66');
    expect(FRENCH_WORDS.price(2_264_066)).toBe('22\u00A0640,66\u00A0CAD');
    expect([ENGLISH_WORDS.weight(3_200), FRENCH_WORDS.weight(3_200)]).toEqual(['3.2 kg', '3,2 kg']);
    expect([ENGLISH_WORDS.slot(slot), FRENCH_WORDS.slot(slot)]).toEqual([
      'Mon 30 Nov, 09:00 to 10:00',
      'lun. 30 nov., 09:00 à 10:00',
    ]);
    expect(FRENCH_WORDS.span('2026-11-26', '2026-11-30')).toBe('jeu. 26 à lun. 30 nov.');
    expect([1, 7].map(FRENCH_WORDS.weekday)).toEqual(['lun.', 'dim.']);
    expect(FRENCH_WORDS.country('DE')).toBe('Allemagne');
  });

  test.each([
    ['2026-11-23', 'today', 'aujourd’hui'],
    ['2026-11-24', 'tomorrow', 'demain'],
    ['2026-11-27', 'Friday', 'vendredi'],
    ['2026-12-01', '1 December', 'le 1er décembre'],
  ])('%s is said as %s and %s', (date, english, french) => {
    expect(ENGLISH_WORDS.spokenDay(date, '2026-11-23')).toBe(english);
    expect(FRENCH_WORDS.spokenDay(date, '2026-11-23')).toBe(french);
  });

  test('are counted by the language’s own rule', () => {
    const counted = (count: number) =>
      [ENGLISH_WORDS, FRENCH_WORDS].map(({ say }) => say('measure.units', { count }));
    expect([0, 1, 2].map(counted)).toEqual([
      ['0 units', '0 article'],
      ['1 unit', '1 article'],
      ['2 units', '2 articles'],
    ]);
  });
});
