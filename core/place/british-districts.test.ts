import { districtPatterns } from './british-districts.ts';
import { codeFormOf } from './code-shapes.ts';
import { pastedPatterns } from './pasted-patterns.ts';
import { normaliseCode, parsePattern, patternTakes } from './postal.ts';
import { patternNames } from './written-code.ts';

const FORM = codeFormOf((code) => /^[A-Z]{1,2}\d[A-Z0-9]?\d[A-Z]{2}$/.test(code.replace(/\s/g, '')));
const pasted = (text: string) => pastedPatterns('GB', text, FORM);

/** Whether codes as pasted take an address's code. */
const takes = (text: string, code: string): boolean =>
  pasted(text).patterns.some((pattern) => {
    const parsed = parsePattern('GB', pattern);
    return parsed !== null && patternTakes(parsed, normaliseCode('GB', code));
  });

test.each([
  ['E1', 'E1 6AN', 'E10 7QL'],
  ['e1', 'E1W 2AA', 'E2 0AA'],
  ['M1', 'M1 0AB', 'M10 1AB'],
  ['SW1', 'SW1A 1AA', 'SW10 9AA'],
  ['W1', 'W1U 3AA', 'W11 1AA'],
  ['EC1', 'EC1A 1BB', 'EC2A 1AA'],
  ['EC1A', 'EC1A 1BB', 'EC1M 3AA'],
  ['E', 'E14 5AB', 'EH1 1AA'],
  ['BT', 'BT94 1AA', 'B9 1AA'],
  ['AB31 5', 'AB31 5XX', 'AB31 6XX'],
  ['E1 5', 'E1 5AA', 'E15 1AA'],
  ['PA20-PA49', 'PA20 0AA', 'PA2 0SX'],
  ['PA20 to PA49', 'PA49 1AA', 'PA4 9AA'],
  ['IV1-IV28', 'IV28 3AA', 'IV30 1AA'],
  ['IV1 – IV28', 'IV9 3AA', 'IV63 1AA'],
  ['KA27-28', 'KA28 0AA', 'KA2 8AA'],
  ['SW3 SW4-SW6', 'SW5 9AB', 'SW7 2AZ'],
  ['E1 6AN', 'E1 6AN', 'E1 6AB'],
])('%s takes %s and not %s', (text, inside, outside) => {
  expect(pasted(text).unread).toEqual([]);
  expect([takes(text, inside), takes(text, outside)]).toEqual([true, false]);
});

test('a list as carriers write it is read whole, each district once', () => {
  const { patterns, unread, repeated } = pasted('HS1-HS9, IV1-IV28; KW1-KW17\nZE1-3 ZE2');
  expect(patterns).toHaveLength(9 + 28 + 17 + 3);
  expect([unread, repeated]).toEqual([[], 1]);
});

test.each(['IV28-IV1', 'IV1-KW17', 'IV1-KW3-ZE1'])('%s is no run of districts, and is named', (text) => {
  expect(pasted(text)).toMatchObject({ patterns: [], unread: [text] });
});

test('codes of other countries are not districts', () => {
  expect(districtPatterns('CA', ['B3'])).toBeNull();
  expect(districtPatterns('IM', ['IM1'])).toEqual(['IM1???']);
});

test('districts are called by their names again, three in a row by their ends, an area whole', () => {
  const { patterns } = pasted('IV1-IV28, PA20, PA21, AB31 5, E, BT*, E1 6AN');
  const names = ['IV1 to IV28', 'PA20', 'PA21', 'AB31 5', 'E', 'BT*', 'E1 6AN'];
  expect(patternNames('GB', patterns)).toEqual(names);
});
