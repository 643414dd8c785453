import fc from 'fast-check';
import { placeOf } from './place.ts';
import { normaliseCode, parsePattern, patternTakes, rangeText, writtenPattern } from './postal.ts';

const taken = (pattern: string, ...codes: string[]): boolean[] => {
  const parsed = parsePattern('CA', pattern);
  if (!parsed) throw new Error(`${pattern} is no pattern`);
  return codes.map((code) => patternTakes(parsed, normaliseCode('CA', code)));
};

test('a code is compared without blanks and hyphens, in capitals; one of the United States by five digits', () => {
  expect(['B3H 4R2', 'b3h4r2', 'B3H-4R2', 'b3h - 4r2'].map((code) => normaliseCode('CA', code))).toEqual(
    Array(4).fill('B3H4R2'),
  );
  expect([normaliseCode('US', '04101-1234'), normaliseCode('CA', '04101-1234')]).toEqual([
    '04101',
    '041011234',
  ]);
  const place = (postalCode?: string) =>
    placeOf({ country: 'CA', subdivision: 'CA-NS', ...(postalCode === undefined ? {} : { postalCode }) });
  expect(place('b3h 4r2')).toEqual({ country: 'CA', subdivision: 'CA-NS', code: 'B3H4R2' });
  expect([place().code, place('').code, place(' - ').code]).toEqual([undefined, undefined, undefined]);
});

describe('a pattern', () => {
  test('takes one code, any ending, any character at a place, or a range', () => {
    expect(taken('B3H 4R2', 'B3H4R2', 'b3h 4r2', 'B3H4R3', 'B3H4R')).toEqual([true, true, false, false]);
    expect(taken('B3H*', 'B3H4R2', 'B3H', 'B3', 'B3J4R2')).toEqual([true, true, false, false]);
    expect(taken('B3?1*', 'B3H1R2', 'B3J1', 'B3H2R2', 'B3?')).toEqual([true, true, false, false]);
    expect(taken('?3H', 'B3H', 'A3H', 'B3HX', 'B3')).toEqual([true, true, false, false]);
    expect(taken('*', 'B3H4R2')).toEqual([true]);
  });

  test('of a range takes its ends, and whole codes by how they begin', () => {
    expect(taken('B3H to B3K', 'B3H', 'B3H4R2', 'B3K9Z9', 'B3L', 'B3G', 'B3')).toEqual([
      true,
      true,
      true,
      false,
      false,
      false,
    ]);
  });

  test('says how much of it all its codes have in common', () => {
    const fixed = (pattern: string) => parsePattern('CA', pattern)?.fixed;
    expect(['B3H4R2', 'B3H*', 'B3?1*', '?3H', 'B3H to B3K', '04101 to 04199', '1 to 2'].map(fixed)).toEqual([
      6, 3, 2, 0, 2, 3, 0,
    ]);
    expect(parsePattern('US', '04101-1234')).toMatchObject({ kind: 'exact', code: '04101', fixed: 5 });
  });

  test.each([
    '',
    ' ',
    'B3*H',
    'B3H**',
    'B3/H',
    'B3H to B3',
    'B3K to B3H',
    'B3H to B3J to B3K',
    'B3? to B3J',
    'B3H to B3*',
    ' to ',
    'X'.repeat(81),
    `${'X'.repeat(60)}*`,
  ])('is none: “%s”', (text) => expect(parsePattern('CA', text)).toBeNull());

  test('of a range is written in one way', () => {
    expect(writtenPattern('04101  TO   04199')).toBe('04101 to 04199');
    expect(writtenPattern('b3h*')).toBe('B3H*');
    expect(rangeText('04101', '04199')).toBe('04101 to 04199');
  });

  test('of a range takes what counting from one end to the other meets', () => {
    const number = fc.integer({ min: 10, max: 99 });
    fc.assert(
      fc.property(number, number, number, (a, b, code) => {
        const [from, to] = [Math.min(a, b), Math.max(a, b)];
        expect(taken(`${from} to ${to}`, String(code), `${code}123`)).toEqual(
          Array(2).fill(code >= from && code <= to),
        );
      }),
    );
  });
});
