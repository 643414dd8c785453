import fc from 'fast-check';
import { goodsSheet } from './goods-table.ts';
import { sheetOf } from './list-format.ts';
import { LISTS } from './lists.ts';
import { ordersSheet } from './orders-csv.ts';
import { ratesSheet } from './rates-sheet.ts';
import { roundSheet } from './round-files.ts';
import { sheetText, sheetValue } from './sheet-cell.ts';

test('a plain number in a column of numbers is one, and anything else stays the text that it is', () => {
  expect(sheetValue('12.50', true)).toBe(12.5);
  expect(sheetValue('-3', true)).toBe(-3);
  expect(sheetValue('', true)).toBeNull();
  for (const text of ['1,250.00', '12 kg', '1e5', '1234567890123456'])
    expect(sheetValue(text, true)).toBe(text);
  expect(sheetValue('04101', false)).toBe('04101');
});

test('what was written is read again as the same figure', () => {
  fc.assert(
    fc.property(fc.integer({ min: -1e12, max: 1e12 }), fc.integer({ min: 0, max: 99 }), (whole, part) => {
      const text = `${whole}.${String(part).padStart(2, '0')}`;
      expect(Number(sheetText(sheetValue(text, true)))).toBe(Number(text));
    }),
  );
});

test('days, moments, yes and no are read as the lists write them', () => {
  expect(sheetText(new Date('2026-11-24T00:00:00Z'))).toBe('2026-11-24');
  expect(sheetText(new Date('2026-11-24T10:15:00Z'))).toBe('2026-11-24T10:15:00.000Z');
  expect([sheetText(true), sheetText(false), sheetText(null), sheetText(0.1)]).toEqual([
    'yes',
    'no',
    '',
    '0.1',
  ]);
});

test.each([
  ...Object.values(LISTS).map(({ columns }) => sheetOf(columns)),
  goodsSheet(),
  ordersSheet(),
  ratesSheet(),
  roundSheet(),
])('every column has a heading of its own and says what it holds', (...columns) => {
  const headings = columns.map(({ heading }) => heading);
  expect(new Set(headings).size).toBe(headings.length);
  for (const { about } of columns) expect(about).toMatch(/^\S.{5,}\.$/);
});
