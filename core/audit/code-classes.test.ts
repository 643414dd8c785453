import fc from 'fast-check';
import { parsePattern, patternTakes } from '../place/postal.ts';
import { codeClasses } from './code-classes.ts';

const takers = (country: string, patterns: readonly string[], code: string): string =>
  patterns
    .flatMap((text, at) => {
      const pattern = parsePattern(country, text);
      return pattern && patternTakes(pattern, code) ? [at] : [];
    })
    .join();

test('one code stands for each class, written as codes of the country are', () => {
  expect(codeClasses('CA', ['B3H*', 'B3*', 'B2G 2L2']).sort()).toEqual(['B2G2L2', 'B3A1A1', 'B3H1A1']);
  expect(codeClasses('US', ['90200 to 90299'])).toEqual(['90200']);
  expect(codeClasses('CA', [])).toEqual([]);
});

test('every class that some code is of is found, and none that no code is of', () => {
  const character = fc.constantFrom('A', 'B', '1', '?');
  const body = fc.array(character, { minLength: 1, maxLength: 3 }).map((list) => list.join(''));
  const pattern = fc.oneof(
    body,
    body.map((text) => `${text}*`),
    fc.constantFrom('*', 'A to B', '11 to B1', '1A to AB', 'AA to AB'),
  );
  /** Every code of up to four characters of a small alphabet that has one beyond each side of the patterns' own. */
  const letters = ['0', '1', '5', 'A', 'B', 'Z'];
  const codes: string[] = [''];
  for (let at = 0; at < codes.length && (codes[at] as string).length < 4; at += 1)
    for (const letter of letters) codes.push((codes[at] as string) + letter);
  fc.assert(
    fc.property(fc.array(pattern, { maxLength: 5 }), (patterns) => {
      const wanted = new Set(codes.slice(1).map((code) => takers('XX', patterns, code)));
      wanted.delete('');
      const found = codeClasses('XX', patterns).map((code) => takers('XX', patterns, code));
      expect(new Set(found)).toEqual(wanted);
      expect(found).toHaveLength(wanted.size);
    }),
    { numRuns: 60 },
  );
});
