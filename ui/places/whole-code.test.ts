import { pastedPatterns } from '../../core/place/pasted-patterns.ts';
import { codeForm, isWholeCode } from './whole-code.ts';

test.each([
  ['IN', '110 021'],
  ['CA', 'B3H-4R2'],
  ['PL', '00950'],
  ['PL', '00-950'],
  ['PT', '1000001'],
  ['PT', '1000 001'],
  ['JP', '1000001'],
  ['US', '92101-1234'],
  ['SE', '11122'],
])('a code of %s is whole however it is parted: %s', (country, code) => {
  expect(isWholeCode(country)(code)).toBe(true);
});

test.each([
  ['PL', '0095'],
  ['IN', '11002'],
  ['CA', 'B3H'],
  ['CA', '12345'],
  ['PT', '10000011'],
  ['US', '9'.repeat(30_000)],
])('what is no code of %s is none, parted or not', (country, code) => {
  expect(isWholeCode(country)(code)).toBe(false);
});

test.each([
  ['PL', '00-950, 00-001 - 00-099, 01*', ['00950', '00001 to 00099', '01*']],
  ['PT', '1000-001\n1100-001 a 1199-999\n12, 1150', ['1000001', '1100001 to 1199999', '12*', '1150*']],
  ['TW', '100 106 114930', ['100*', '106*', '114930']],
  ['US', '92101, 92115-1234', ['92101', '92115']],
  ['IN', '110 001, 110002 560*', ['110001', '110002', '560*']],
  ['JP', '100-0001, 1000002 101', ['1000001', '1000002', '101*']],
  ['BR', '01310-100; 01311-000 a 01319-999', ['01310100', '01311000 to 01319999']],
])('codes of %s are read as they are pasted: %s', (country, text, patterns) => {
  expect(pastedPatterns(country, text, codeForm(country))).toMatchObject({ patterns, unread: [] });
});
