import { rowsOf } from './segments.tsx';

const labels = (...all: string[]) => all.map((label) => ({ label }));
const shown = (width: number, ...all: string[]): string[] =>
  rowsOf(labels(...all), width).map((row) => row.map(({ label }) => label).join(' '));

test('segments stand in one row where there is room, else in as few even rows as let each be read', () => {
  const six = ['Flat', 'Steps', 'Percent', 'Goods', 'Table', 'Carrier'];
  expect(shown(Number.POSITIVE_INFINITY, ...six)).toEqual([six.join(' ')]);
  expect(shown(500, ...six)).toEqual([six.join(' ')]);
  expect(shown(350, ...six)).toEqual(['Flat Steps Percent', 'Goods Table Carrier']);
  expect(shown(170, ...six)).toEqual(['Flat Steps', 'Percent Goods', 'Table Carrier']);
  expect(shown(10, 'all 33', 'lacking, 2')).toEqual(['all 33', 'lacking, 2']);
});
