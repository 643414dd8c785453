import { iso31661 } from 'iso-3166';
import { pastedPatterns } from '../../core/place/pasted-patterns.ts';
import { codeExamples, codeExamplesText } from './code-examples.ts';
import { codeForm } from './whole-code.ts';

const COUNTRIES = iso31661.map(({ alpha2 }) => alpha2).filter((code) => codeExamples(code) !== null);

test('the examples of most countries are known', () => expect(COUNTRIES.length).toBeGreaterThan(120));

test.each(COUNTRIES)('the examples of codes of %s are read as a code, a beginning and a range', (country) => {
  const { patterns, unread } = pastedPatterns(country, codeExamplesText(country), codeForm(country));
  expect(unread).toEqual([]);
  expect(patterns.length).toBeGreaterThanOrEqual(3);
});

test.each([
  ['CA', 'B3H 4R2, B3J*, B3H to B3K'],
  ['CH', '1234, 12*, 1200 to 1299'],
  ['PL', '12-345, 12*, 12-300 to 12-399'],
  ['GB', 'M1 1AE, M2, M1 to M9'],
  ['AE', ''],
])('in %s they are “%s”', (country, text) => expect(codeExamplesText(country)).toBe(text));
