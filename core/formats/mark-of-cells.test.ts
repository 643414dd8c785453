import { markOfCells } from './mark-of-cells.ts';

test.each([
  [['12.50', '3'], ',', '.'],
  [['12,50 EUR', '1.200,00'], '.', ','],
  [['1,200.50'], ',', '.'],
  [['2.20462 lb'], ',', '.'],
  [['1.234', '2.500'], ',', ','],
  [['1.234', '2.500'], '.', '.'],
  [['1,5', '2.5'], '.', '.'],
  [['2026-11-29', 'B3H 4R2', '10.0.0.1', ''], ',', ','],
] as const)('%j, where people write %j, has decimals marked by %j', (cells, otherwise, mark) => {
  expect(markOfCells([['name', 'amount'], cells], otherwise)).toBe(mark);
});
