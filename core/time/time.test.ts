import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import type { OpeningHours, Preparation } from '../model/time.ts';
import type { Weekday } from '../model/unit.ts';
import { makeBook, makeRate, makeRequest, onlyChoice, quoted } from '../testing/book.ts';
import { dateOf, dayOf, minutesOf, weekdayOf } from './calendar.ts';
import { makeClock } from './clock.ts';
import { instantOf, localMoment } from './local-moment.ts';
import { openDays } from './open-days.ts';
import { readyAt } from './preparation.ts';

const clock = makeClock('America/Halifax');
const week = (days: Weekday[], from: string, to: string): OpeningHours[] =>
  days.map((day) => ({ day, from, to }));
const ready = (hours: OpeningHours[], closed: string[], placed: string, plan: Preparation): string | null => {
  const at = readyAt(clock, openDays(hours, closed), Date.parse(placed), plan);
  return at === null ? null : clock.text(at);
};
const OFFICE = week([1, 2, 3, 4, 5], '08:30', '16:30');

describe('the moment of a local time', () => {
  test('is what the calendar of the zone says, where clocks are changed too', () => {
    const zones = [
      'America/Halifax',
      'Europe/Dublin',
      'Australia/Lord_Howe',
      'America/St_Johns',
      'Asia/Kolkata',
    ];
    const changes = ['2026-03-08', '2026-03-29', '2026-04-05', '2026-10-04', '2026-10-25', '2026-11-01'];
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        fc.oneof(fc.constantFrom(...changes.map(dayOf)), fc.integer({ min: 0, max: 60_000 })),
        fc.integer({ min: 0, max: 1_439 }),
        (zone, day, minutes) => {
          const time = Temporal.PlainTime.from({ hour: Math.floor(minutes / 60), minute: minutes % 60 });
          const local = Temporal.PlainDate.from(dateOf(day)).toZonedDateTime({
            timeZone: zone,
            plainTime: time,
          });
          expect(makeClock(zone).moment(day, minutes)).toBe(local.epochMilliseconds);
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('when an order is ready', () => {
  test('worked example 12: minutes tick only while the location is open', () => {
    expect(ready(OFFICE, [], '2026-11-27T15:00:00-04:00', { kind: 'open-minutes', minutes: 150 })).toBe(
      '2026-11-30T09:30:00-04:00',
    );
  });

  test('worked example 13: at the cut-off is too late, and a closed day does not count', () => {
    const hours = week([1, 2, 4, 5], '08:30', '16:30');
    const batch: Preparation = { kind: 'cut-off', cutoff: '13:00', readyAt: '15:30', days: 0 };
    expect(ready(hours, [], '2026-11-24T13:00:00-04:00', batch)).toBe('2026-11-26T15:30:00-04:00');
    expect(ready(hours, [], '2026-11-24T12:59:59-04:00', batch)).toBe('2026-11-24T15:30:00-04:00');
    expect(ready(hours, ['2026-11-26'], '2026-11-24T13:00:00-04:00', batch)).toBe(
      '2026-11-27T15:30:00-04:00',
    );
  });

  test('working days begin on the placed day unless it has closed, and nothing is ready before it was placed', () => {
    const days = (count: number): Preparation => ({ kind: 'working-days', days: count });
    expect(ready(OFFICE, [], '2026-11-24T16:29:00-04:00', days(1))).toBe('2026-11-25T08:30:00-04:00');
    expect(ready(OFFICE, [], '2026-11-24T16:30:00-04:00', days(1))).toBe('2026-11-26T08:30:00-04:00');
    expect(ready(OFFICE, [], '2026-11-24T11:00:00-04:00', days(0))).toBe('2026-11-24T11:00:00-04:00');
  });

  test('running out at closing is ready at closing; a place that never opens is never ready', () => {
    expect(ready(OFFICE, [], '2026-11-27T15:00:00-04:00', { kind: 'open-minutes', minutes: 90 })).toBe(
      '2026-11-27T16:30:00-04:00',
    );
    for (const plan of [
      { kind: 'open-minutes', minutes: 1 },
      { kind: 'working-days', days: 0 },
      { kind: 'cut-off', cutoff: '13:00', readyAt: '15:30', days: 0 },
    ] as const) {
      expect(ready([], [], '2026-11-27T15:00:00-04:00', plan)).toBeNull();
    }
  });

  test('real minutes are counted across a change of the clocks', () => {
    const night = week([7], '00:00', '06:00');
    expect(ready(night, [], '2026-11-01T00:30:00-03:00', { kind: 'open-minutes', minutes: 120 })).toBe(
      '2026-11-01T01:30:00-04:00',
    );
    expect(ready(night, [], '2026-03-08T01:30:00-04:00', { kind: 'open-minutes', minutes: 60 })).toBe(
      '2026-03-08T03:30:00-03:00',
    );
  });

  test('as-received agrees with counting every open minute', () => {
    const span = fc.record({
      day: fc.integer({ min: 1, max: 7 }),
      from: fc.integer({ min: 0, max: 22 }),
      length: fc.integer({ min: 1, max: 6 }),
    });
    const hour = (value: number): string => `${String(Math.min(value, 23)).padStart(2, '0')}:00`;
    fc.assert(
      fc.property(
        fc.array(span, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 1, max: 600 }),
        fc.nat(10_000),
        (spans, minutes, offset) => {
          const hours = spans
            .map(({ day, from, length }) => ({
              day: day as Weekday,
              from: hour(from),
              to: hour(from + length),
            }))
            .filter(({ from, to }) => from < to);
          fc.pre(hours.length > 0);
          const placed = Date.parse('2026-10-26T00:00:00-03:00') + offset * 60_000;
          const isOpen = (at: number): boolean => {
            const local = clock.local(at);
            return hours.some(
              (one) =>
                one.day === weekdayOf(local.day) &&
                minutesOf(one.from) <= local.minutes &&
                local.minutes < minutesOf(one.to),
            );
          };
          let at = placed;
          for (let left = minutes; left > 0; at += 60_000) if (isOpen(at)) left -= 1;
          expect(readyAt(clock, openDays(hours, []), placed, { kind: 'open-minutes', minutes })).toBe(at);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('local time', () => {
  test('a skipped time moves on by the gap, one that occurs twice is the earlier', () => {
    expect(instantOf({ date: '2026-03-08', time: '02:30' }, 'America/Halifax')).toBe(
      '2026-03-08T03:30:00-03:00',
    );
    expect(instantOf({ date: '2026-11-01', time: '01:30' }, 'America/Halifax')).toBe(
      '2026-11-01T01:30:00-03:00',
    );
    expect(localMoment('2026-11-24T03:59:00Z', 'America/Halifax')).toEqual({
      date: '2026-11-23',
      time: '23:59',
    });
  });

  test('days are numbered as the calendar runs', () => {
    expect([
      weekdayOf(dayOf('2026-11-23')),
      weekdayOf(dayOf('1969-12-28')),
      dateOf(dayOf('2028-02-29')),
    ]).toEqual([1, 7, '2028-02-29']);
  });
});

describe('when a parcel arrives', () => {
  const locations = (closedDates: string[] = []) => [
    {
      id: 'yard',
      name: 'Yard',
      address: { country: 'CA' },
      hours: week([1, 2, 3, 4, 5, 6], '09:00', '17:30'),
      closedDates,
    },
  ];
  const arrives = (placedAt: string, transit: { min: number; max: number }, closed?: string[]) =>
    onlyChoice(
      quoted(
        makeBook({ locations: locations(closed), rates: [makeRate({ transit })] }),
        makeRequest({ placedAt }),
      ),
    ).arrives;

  test('working days after the day it is handed over, without weekends and closed dates', () => {
    expect(arrives('2026-11-27T10:00:00-04:00', { min: 1, max: 2 })).toEqual({
      earliest: '2026-11-30',
      latest: '2026-12-01',
    });
    expect(arrives('2026-11-27T17:30:00-04:00', { min: 0, max: 1 })).toEqual({
      earliest: '2026-11-30',
      latest: '2026-11-30',
    });
    expect(arrives('2026-12-24T10:00:00-04:00', { min: 1, max: 1 }, ['2026-12-25'])).toEqual({
      earliest: '2026-12-28',
      latest: '2026-12-28',
    });
  });

  test('no location and no transit say nothing about arrival', () => {
    expect(
      onlyChoice(quoted(makeBook({ rates: [makeRate({ transit: { min: 1, max: 1 } })] }))).arrives,
    ).toBeUndefined();
    expect(onlyChoice(quoted(makeBook({ locations: locations() }))).arrives).toBeUndefined();
  });
});
