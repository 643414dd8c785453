import { cellPatterns } from './cell-patterns.ts';
import { ANY_CODE, codeFormOf } from './code-shapes.ts';

const FIVE = codeFormOf((code) => /^\d{5}$/.test(code));

test.each([
  ['90210', ['90210']],
  ['902', ['902*']],
  ['902*', ['902*']],
  ['90200-90299', ['90200 to 90299']],
  ['90200 to 90299', ['90200 to 90299']],
  ['90210 10001', ['90210', '10001']],
  ['B3H', null],
  ['90210 B3H', null],
  ['90299-90200', null],
])('%s of a country whose codes have five figures', (text, patterns) =>
  expect(cellPatterns('US', text, FIVE)).toEqual(patterns),
);

test('where nothing is known of a country, a code is taken as it is written', () => {
  expect(cellPatterns('', 'B3H 4R2', ANY_CODE)).toEqual(['B3H 4R2']);
});
