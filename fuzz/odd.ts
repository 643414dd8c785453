/** Draws from a seeded generator of numbers from 0 to 1. */
export interface Draw {
  number: () => number;
  /** A whole number from 0 to below a bound. */
  below: (bound: number) => number;
  /** One of a list. */
  of: <T>(list: readonly T[]) => T;
}

export const drawFrom = (number: () => number): Draw => {
  const below = (bound: number): number => Math.floor(number() * bound);
  return { number, below, of: <T>(list: readonly T[]): T => list[below(list.length)] as T };
};

const nested = (depth: number): unknown => {
  let value: unknown = 0;
  for (let level = 0; level < depth; level += 1) value = [value];
  return value;
};

/** Numbers at the edges of what is kept. */
export const EDGES: readonly number[] = [
  0,
  1,
  2,
  5,
  7,
  24,
  31,
  59,
  60,
  99,
  100,
  365,
  366,
  400,
  401,
  999,
  1_000,
  1_001,
  1_440,
  2_000,
  9_999,
  10_000,
  50_000,
  99_999,
  100_000,
  100_001,
  1_000_000,
  40_100_000,
  100_000_000,
  1_000_000_000,
  90_000_000_000,
  Number.MAX_SAFE_INTEGER,
];

/** Values that nothing expects. */
const ODD: readonly unknown[] = [
  null,
  true,
  false,
  -1,
  -0.5,
  0.1,
  1e308,
  2 ** 53,
  1e21,
  '',
  ' ',
  '0',
  '\u0000',
  'é',
  '🪴',
  '__proto__',
  'constructor',
  '2026-02-30',
  '2026-02-30T10:00:00Z',
  '0001-01-01T00:00:00Z',
  '9999-12-31',
  '24:00',
  '25:61',
  'x'.repeat(3_000),
  ' '.repeat(3_000),
  '*',
  '?',
  'A*',
  'A to',
  '00000 to 99999',
  [],
  {},
  [null],
  [[]],
  { kind: 'flat' },
  { kind: '' },
  { __proto__: null },
  nested(2_000),
];
export const oddValue = (draw: Draw): unknown => (draw.number() < 0.3 ? draw.of(EDGES) : draw.of(ODD));

const PIECES: readonly string[] = [
  ' ',
  '\t',
  '\n',
  '\r\n',
  ',',
  ';',
  '.',
  '-',
  '–',
  ' to ',
  '*',
  '?',
  ':',
  '"',
  "'",
  '=',
  '+',
  '@',
  '|',
  '%',
  '$',
  'CA',
  'CA: ',
  'US',
  'B3H',
  'B3H 4R2',
  '90210',
  '04101 to 04199',
  '1',
  '12',
  '1,5',
  '1.5',
  '1,234.50',
  '12.50',
  'kg',
  ' kg',
  'lb',
  ' 4 oz',
  'cm',
  ' x ',
  '×',
  '9-12',
  '13:00',
  '2026-12-24',
  'é',
  '🪴',
  '\u0000',
  '\ufeff',
  'true',
  'null',
  '{',
  '}',
  '[',
  ']',
  'BEGIN:VEVENT\n',
  'END:VEVENT\n',
  'DTSTART:20261224\n',
  'RRULE:FREQ=DAILY\n',
];
/** A text of pieces that readers know, in no sensible order. */
export const oddText = (draw: Draw): string =>
  Array.from({ length: 1 + draw.below(12) }, () => draw.of(PIECES)).join('');
