import fc from 'fast-check';
import { beginningOf, codeNumber, CodeTable, LONGEST_CODE } from './code-table.ts';
import { rangeIndex } from './range-index.ts';

const code = fc.stringMatching(/^[A-Z0-9]{1,10}$/);

describe('the number of a code', () => {
  test('differs between any two codes, of whatever length', () => {
    fc.assert(
      fc.property(code, code, (a, b) => {
        expect(codeNumber(a) === codeNumber(b)).toBe(a === b);
      }),
    );
  });

  test('gives the number of each of its beginnings', () => {
    fc.assert(
      fc.property(code, fc.nat(LONGEST_CODE), (text, cut) => {
        const length = Math.min(cut, text.length);
        expect(beginningOf(codeNumber(text), text.length, length)).toBe(codeNumber(text.slice(0, length)));
      }),
    );
  });

  test('of a code longer than any real one is that of its first ten characters', () => {
    expect(codeNumber('ABCDEFGHIJKL')).toBe(codeNumber('ABCDEFGHIJ'));
    expect(beginningOf(codeNumber('ABCDEFGHIJKL'), 12, 3)).toBe(codeNumber('ABC'));
  });

  test('is never that of a pattern where a character is neither letter nor digit', () => {
    expect(codeNumber('B3#')).not.toBe(codeNumber('B3'));
    expect(codeNumber('B3#')).not.toBe(codeNumber('B3A'));
  });
});

describe('a table of codes', () => {
  test('keeps what a map would keep, through growing', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(code, fc.nat(1_000)), { maxLength: 200 }), code, (entries, asked) => {
        const table = new CodeTable();
        const map = new Map<string, number>();
        for (const [text, value] of entries) {
          table.set(codeNumber(text), value);
          map.set(text, value);
        }
        for (const [text, value] of map) expect(table.get(codeNumber(text))).toBe(value);
        expect(table.get(codeNumber(asked))).toBe(map.get(asked) ?? -1);
      }),
    );
  });
});

describe('an index of ranges', () => {
  const key = fc.stringMatching(/^[0-9]{3}$/);

  test('finds the same ranges as trying each', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(key, key), { maxLength: 30 }), key, (pairs, asked) => {
        const ranges = pairs.map(([a, b]) => (a < b ? [a, b] : [b, a]) as [string, string]);
        const index = rangeIndex<number>();
        ranges.forEach(([from, to], at) => index.add(from, to, at));
        const tried = ranges.flatMap(([from, to], at) => (from <= asked && asked <= to ? [at] : []));
        expect(index.holding(asked).sort((a, b) => a - b)).toEqual(tried);
      }),
    );
  });

  test('takes ranges after it was asked', () => {
    const index = rangeIndex<string>();
    index.add('100', '199', 'first');
    expect(index.holding('150')).toEqual(['first']);
    index.add('120', '160', 'second');
    expect(index.holding('150').sort()).toEqual(['first', 'second']);
    expect(index.holding('200')).toEqual([]);
  });
});
