import type { OpeningHours } from '../../model/time.ts';
import { ENGLISH_WORDS, FRENCH_WORDS } from '../../testing/words.ts';
import { weekText } from './week-text.ts';

const open = (days: readonly number[], from: string, to: string): OpeningHours[] =>
  days.map((day) => ({ day, from, to }) as OpeningHours);

test('days alike stand together, and two spans of a day are one after the other', () => {
  const hours = [
    ...open([6], '08:00', '13:00'),
    ...open([1, 2, 3, 5], '13:00', '17:30'),
    ...open([1, 2, 3, 5], '09:00', '12:00'),
  ];
  expect(weekText(hours, ENGLISH_WORDS)).toBe(
    'Mon to Wed 09:00–12:00, 13:00–17:30; Fri 09:00–12:00, 13:00–17:30; Sat 08:00–13:00',
  );
  expect(weekText(open([6, 7], '08:00', '13:00'), ENGLISH_WORDS)).toBe('Sat and Sun 08:00–13:00');
  expect(weekText(open([1, 2, 3], '08:00', '13:00'), FRENCH_WORDS)).toMatch(/^lun\S* à mer\S* 08:00–13:00$/);
  expect(weekText([], ENGLISH_WORDS)).toBe('');
});
