import { keptTogether } from './kept-together.ts';

test('a figure keeps its unit, and all other words may part', () => {
  expect(keptTogether('5 kg to 450 kg, handling 4 %')).toBe('5\u00a0kg to 450\u00a0kg, handling 4\u00a0%');
  expect(keptTogether('Parcel · Moncton · 2 items')).toBe('Parcel · Moncton · 2\u00a0items');
  expect(keptTogether('Thu 26 Nov, zone 3')).toBe('Thu 26 Nov, zone 3');
});
