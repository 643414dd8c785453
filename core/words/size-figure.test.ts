import { sizeFigure } from './figure.ts';

test.each([
  [{ length: 600, width: 450, height: 450 }, 'metric', '60 × 45 × 45 cm'],
  [{ length: 240, width: 165, height: 18 }, 'metric', '24 cm × 16.5 cm × 18 mm'],
  [{ length: 254, width: 127, height: 51 }, 'imperial', '10 × 5 × 2.01 in'],
] as const)('a size of %o is told in one unit where it can be', (size, units, text) => {
  expect(sizeFigure(size, units)).toBe(text);
});
