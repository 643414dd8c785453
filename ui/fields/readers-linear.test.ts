import { readRegions, readCountries, readCountry, readSubdivision, readPattern } from './place-readers.ts';
import { pastedSteps } from '../../core/formats/pasted-steps.ts';
import { typedMoney } from '../../core/formats/typed.ts';
import { pastedPatterns } from '../../core/place/pasted-patterns.ts';
import { normaliseCode, parsePattern, writtenPattern } from '../../core/place/postal.ts';
import { regionsFromText } from '../../core/place/region-text.ts';
import { codeForm } from '../places/whole-code.ts';
import { parseCsv } from '../files/csv.ts';
import { datesOfCalendar } from '../files/calendar-dates.ts';
import { fileName } from '../files/files.ts';
import {
  optional,
  readCountWithin,
  readDate,
  readDates,
  readMeasure,
  readMoney,
  readName,
  readPercent,
  readSize,
  readSpans,
  readTime,
  readTokens,
  signed,
} from './readers.ts';
import { readPoint } from './point-reader.ts';

const LENGTH = 40_000;
const MOST_MS = 100;
const SPEECH = { decimals: 2, units: 'metric' } as const;

const READERS: Record<string, (text: string) => unknown> = {
  money: readMoney(SPEECH),
  'signed money': signed(readMoney(SPEECH)),
  'money of any size': (text) => typedMoney(text, 2),
  weight: readMeasure('weight', SPEECH),
  volume: readMeasure('volume', { ...SPEECH, units: 'imperial' }),
  'longest side': readMeasure('longestSide', SPEECH),
  units: readMeasure('units', SPEECH),
  size: readSize(SPEECH),
  percent: readPercent,
  count: readCountWithin(0, 9),
  name: optional(readName),
  date: readDate,
  dates: readDates,
  time: readTime,
  spans: readSpans,
  tokens: readTokens,
  country: readCountry,
  countries: readCountries,
  subdivision: readSubdivision,
  pattern: readPattern('CA'),
  'pattern of a code': (text) => parsePattern('US', writtenPattern(text)),
  code: (text) => normaliseCode('GB', text),
  point: readPoint,
  regions: (text) => readRegions(text, 'CA'),
  'regions by code': (text) => regionsFromText(text),
  patterns: (text) => pastedPatterns('CA', text, codeForm('CA')),
  steps: (text) => pastedSteps(text, 'weight', 'from', SPEECH),
  csv: (text) => parseCsv(text),
  'file name': (text) => fileName(text, 'shop', '2026-11-29'),
  calendar: (text) => datesOfCalendar(`BEGIN:VCALENDAR\n${text}`, '2026-01-01', '2026-12-31'),
};

/** What makes a pattern that looks back try again and again: runs of what it may repeat, and an end it does not take. */
const RUNS = [
  ' ',
  '\t',
  '1',
  '1,',
  '1.',
  '-',
  '- ',
  '"',
  "'",
  '*',
  '?',
  'A',
  'a1',
  'to ',
  ' to ',
  ' – ',
  '.',
  ':',
  'CA:',
  'x',
  '1 x ',
  '1x',
  '%',
  '+',
  ';',
  '1 kg ',
  '1 kg',
  '\n',
  '$',
  '12:00-',
  ' 1',
];

const timed = (read: (text: string) => unknown, text: string): number => {
  const from = performance.now();
  read(text);
  return performance.now() - from;
};

/** The shortest of several: what else the machine does, and when memory is swept, only ever adds to it. */
const best = (read: (text: string) => unknown, text: string): number =>
  Math.min(...[0, 1, 2, 3, 4].map(() => timed(read, text)));

/** A part short enough that looking back takes 256 times as long for the whole, reading it once 16 times. */
const PART = 16;
const MOST_TIMES = 80;

/** The first text that a reader takes too long for, and far longer than its length explains. */
const slowText = (read: (text: string) => unknown): string | null => {
  for (const run of RUNS)
    for (const start of ['', 'a', 'CA: '])
      for (const end of ['', '!', '1']) {
        const textOf = (length: number): string => start + run.repeat(Math.ceil(length / run.length)) + end;
        if (timed(read, textOf(LENGTH)) < MOST_MS) continue;
        const whole = best(read, textOf(LENGTH));
        if (whole >= MOST_MS && whole > MOST_TIMES * best(read, textOf(LENGTH / PART)))
          return JSON.stringify([start, run, end]);
      }
  return null;
};

beforeAll(() => void jest.useRealTimers());

test.each(Object.entries(READERS))('%s is read in time that grows with the text alone', (_, read) => {
  expect(slowText(read)).toBeNull();
});

test('a pattern that tries again from every place is told', () => {
  const looksBack = (text: string): boolean => / +$/.test(`${text.slice(0, text.length / 4)}!`);
  expect(slowText(looksBack)).toMatch(/^\[""," ",/);
});
