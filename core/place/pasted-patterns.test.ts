import fc from 'fast-check';
import { codeFormOf, type CodeForm } from './code-shapes.ts';
import { pastedPatterns } from './pasted-patterns.ts';
import { parsePattern } from './postal.ts';

const wholeOf: Record<string, RegExp> = {
  CA: /^[A-Z]\d[A-Z]\d[A-Z]\d$/,
  US: /^\d{5}$/,
  JP: /^\d{7}$/,
  IE: /^[A-Z]\d\d[A-Z0-9]{4}$/,
  BR: /^\d{8}$/,
  FR: /^\d{5}$/,
  PL: /^\d{5}$/,
  PT: /^\d{4}(\d{3})?$/,
};
const formOf = (country: string): CodeForm => {
  const isWhole = (code: string): boolean => wholeOf[country]?.test(code) ?? true;
  return codeFormOf(isWhole);
};
const pasted = (country: string, text: string) => pastedPatterns(country, text, formOf(country));

test('what no code of the country begins with is not understood', () => {
  expect(pasted('CA', '90210, B3H, 902*, BB3, B3H4R2X')).toMatchObject({
    patterns: ['B3H*'],
    unread: ['90210', '902*', 'BB3', 'B3H4R2X'],
  });
  expect(pasted('US', '90210 B3H 902*')).toMatchObject({ patterns: ['90210', '902*'], unread: ['B3H'] });
  expect(pasted('US', '90210\n902*\nB3H 4R2')).toMatchObject({
    patterns: ['90210', '902*'],
    unread: ['B3H4R2'],
  });
  expect(pasted('CA', '*')).toMatchObject({ patterns: ['*'], unread: [] });
});

describe('postal codes pasted in any shape', () => {
  test.each([
    ['CA', 'B3H 4R2, b3j1s9; B3K-2T5\nB3L', ['B3H4R2', 'B3J1S9', 'B3K2T5', 'B3L*']],
    ['CA', 'B3H B3J B3K', ['B3H*', 'B3J*', 'B3K*']],
    ['CA', 'B3H 4R2 B3J 1S9', ['B3H4R2', 'B3J1S9']],
    ['CA', '• B3H*\n• "B3?1*"\n- X0A%\n B3H…', ['B3H*', 'B3?1*', 'X0A*']],
    ['CA', 'B3H-B3K', ['B3H to B3K']],
    ['US', '90200-90299, 10001 to 10099, 90210-1234', ['90200 to 90299', '10001 to 10099', '90210']],
    ['US', '90210 90211\t90212|90213.', ['90210', '90211', '90212', '90213']],
    ['JP', '100-0001, 〒100-0002', ['1000001', '1000002']],
    ['US', '92101 922*', ['92101', '922*']],
    ['US', '041 042', ['041*', '042*']],
    ['US', '041 0421', ['041*', '0421*']],
    ['US', '04101-04199, 041 042 0431', ['04101 to 04199', '041*', '042*', '0431*']],
    ['CA', 'B3H 4*, B3? 1*, B3H B3J*', ['B3H4*', 'B3?1*', 'B3H*', 'B3J*']],
    ['IE', 'F91, F92 A1X2', ['F91*', 'F92A1X2']],
    ['US', '92101-92115', ['92101 to 92115']],
    ['US', '92101 - 92115 92120 922?1', ['92101 to 92115', '92120', '922?1']],
    ['CA', 'B3H B3J B3K*', ['B3H*', 'B3J*', 'B3K*']],
    ['CA', 'B3H 4R2 B3J 1S9 B3K*', ['B3H4R2', 'B3J1S9', 'B3K*']],
    ['CA', 'B3H to B3K\nB4A', ['B3H to B3K', 'B4A*']],
    ['BR', '01311-000 to 01319-999; 01310-100, 04*', ['01311000 to 01319999', '01310100', '04*']],
    ['BR', '01311-000 a 01319-999 04001-000', ['01311000 to 01319999', '04001000']],
    ['BR', '01311-000 – 01319-999', ['01311000 to 01319999']],
    ['BR', '01310–100', ['01310100']],
    ['JP', '100-0001 - 108-9999', ['1000001 to 1089999']],
    ['PL', '00-001..00-999', ['00001 to 00999']],
    ['PT', '1100, 1150-001', ['1100*', '1150001']],
    ['FR', '75001 à 75020, 92000', ['75001 to 75020', '92000']],
    ['CA', 'B3H-1A1 to B3K-9Z9', ['B3H1A1 to B3K9Z9']],
    ['US', '92101-0001 to 92115-9999', ['92101 to 92115']],
  ])('%s: %j', (country, text, patterns) => {
    expect(pasted(country, text)).toMatchObject({ patterns, unread: [] });
  });

  test('say what was there twice, what was taken as a beginning and what was not understood', () => {
    expect(pasted('CA', 'B3H, b3h*, Halifax & around, the village, B3H 4R2, 90299 to 90200')).toEqual({
      patterns: ['B3H*', 'B3H4R2'],
      repeated: 1,
      beginnings: 1,
      unread: ['Halifax & around', 'the village', '90299 to 90200'],
    });
    expect(pasted('CA', 'B3H Halifax, B3J').unread).toEqual(['B3H Halifax']);
    expect(pasted('CA', ' \n,;')).toEqual({ patterns: [], repeated: 0, beginnings: 0, unread: [] });
  });

  test('never give a pattern that the book would refuse, whatever is pasted', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.constantFrom('CA', 'US', 'JP', 'GB'), (text, country) => {
        const { patterns } = pasted(country, text);
        expect(patterns.every((pattern) => parsePattern(country, pattern) !== null)).toBe(true);
        expect(new Set(patterns).size).toBe(patterns.length);
      }),
    );
  });
});
