import fc from 'fast-check';
import { dateOf } from './calendar.ts';
import { makeClock } from './clock.ts';

test('a moment is written with how far the zone is from UTC then, to either side', () => {
  const noon = Date.parse('2026-11-24T12:00:00Z');
  expect(makeClock('UTC').text(noon)).toBe('2026-11-24T12:00:00+00:00');
  expect(makeClock('Asia/Kathmandu').text(noon)).toBe('2026-11-24T17:45:00+05:45');
  expect(makeClock('America/St_Johns').text(noon)).toBe('2026-11-24T08:30:00-03:30');
  expect(makeClock('America/Halifax').text(Date.parse('2026-07-01T12:00:00Z'))).toBe(
    '2026-07-01T09:00:00-03:00',
  );
});

test('what is written is the same moment again, and the local day and minutes are those written', () => {
  const clocks = ['America/Halifax', 'Europe/Lisbon', 'Australia/Lord_Howe', 'Pacific/Apia'].map(makeClock);
  const seconds = fc.integer({ min: 1_700_000_000, max: 1_900_000_000 });
  fc.assert(
    fc.property(fc.constantFrom(...clocks), seconds, (clock, second) => {
      const moment = second * 1000;
      const text = clock.text(moment);
      expect(Date.parse(text)).toBe(moment);
      const { day, minutes } = clock.local(moment);
      expect(text.slice(0, 10)).toBe(dateOf(day));
      const [hours = 0, past = 0, rest = 0] = text.slice(11, 19).split(':').map(Number);
      expect(minutes).toBeCloseTo(hours * 60 + past + rest / 60, 6);
    }),
  );
});

test('what was asked before changes no answer', () => {
  const used = makeClock('America/Halifax');
  const moments = Array.from({ length: 300 }, (_, at) => Date.parse('2026-03-07T00:00:00Z') + at * 600_000);
  const first = moments.map(used.text);
  expect(moments.map(used.text)).toEqual(first);
  expect(moments.map((moment) => makeClock('America/Halifax').text(moment))).toEqual(first);
});
