import { textWidth } from '../theme/text-width.ts';
import { rowsOf } from './segments.tsx';

const SIX = ['Flat', 'Steps', 'Percent', 'Goods', 'Table', 'Carrier'];
const shown = (room: number): string[] => rowsOf(SIX, 80, room).map((row) => row.join(' '));

test('segments stand in one row where there is room, else in as few even rows as let each be read', () => {
  expect(shown(Number.POSITIVE_INFINITY)).toEqual([SIX.join(' ')]);
  expect(shown(480)).toEqual([SIX.join(' ')]);
  expect(shown(479)).toEqual(['Flat Steps Percent', 'Goods Table Carrier']);
  expect(shown(170)).toEqual(['Flat Steps', 'Percent Goods', 'Table Carrier']);
  expect(shown(10)).toEqual(SIX);
});

test('a longer text is wider, a larger one too, where nothing can be measured', () => {
  expect(textWidth('Percent', 'Any', 13)).toBeGreaterThan(textWidth('Flat', 'Any', 13));
  expect(textWidth('Flat', 'Any', 26)).toBe(2 * textWidth('Flat', 'Any', 13));
});
