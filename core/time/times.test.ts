import fc from 'fast-check';
import type { OpeningHours, Preparation, Timing } from '../model/time.ts';
import type { Weekday } from '../model/unit.ts';
import { makeYard } from '../testing/book.ts';
import { dayOf, minutesOf, weekdayOf } from './calendar.ts';
import { makeClock } from './clock.ts';
import { indexBooked } from './booked.ts';
import { timePlan, type Times } from './times.ts';

const clock = makeClock('America/Halifax');
const everyDay = (from: string, to: string): OpeningHours[] =>
  ([1, 2, 3, 4, 5, 6, 7] as Weekday[]).map((day) => ({ day, from, to }));
const AT_ONCE: Preparation = { kind: 'open-minutes', minutes: 0 };

const timesOf = (
  timing: Timing,
  placedAt: string,
  {
    preparation = AT_ONCE,
    withinDays,
    taken,
    closed = [] as string[],
    hours = everyDay('08:00', '18:00'),
  }: {
    preparation?: Preparation;
    withinDays?: number;
    taken?: { start: string; count: number }[];
    closed?: string[];
    hours?: OpeningHours[];
  } = {},
): Times =>
  timePlan(makeYard({ hours, closedDates: closed }), preparation, timing, clock, withinDays).at(
    placedAt,
    taken ? (indexBooked(taken.map((one) => ({ id: 'x', ...one }))).get('x') ?? null) : null,
  );
const starts = (times: Times): string[] =>
  times.ok ? (times.slots ?? []).map(({ start }) => start.slice(5, 16)) : [];
const slots = (part: Partial<Extract<Timing, { kind: 'slot' }>> = {}): Timing => ({
  kind: 'slot',
  hours: everyDay('10:00', '12:30'),
  minutes: 60,
  horizonDays: 1,
  ...part,
});

describe('slots', () => {
  test('are cut from the hours, a shorter last piece dropped, from ready on, up to the horizon', () => {
    expect(starts(timesOf(slots(), '2026-11-24T10:30:00-04:00'))).toEqual([
      '11-24T11:00',
      '11-25T10:00',
      '11-25T11:00',
    ]);
    expect(starts(timesOf(slots(), '2026-11-24T11:00:00-04:00'))[0]).toBe('11-24T11:00');
  });

  test('lie on open days alone, and within the way’s days where that is sooner', () => {
    expect(starts(timesOf(slots(), '2026-11-24T12:00:00-04:00', { closed: ['2026-11-25'] }))).toEqual([]);
    expect(timesOf(slots(), '2026-11-24T12:00:00-04:00', { withinDays: 0 })).toEqual({
      ok: false,
      next: '2026-11-25T10:00:00-04:00',
    });
  });

  test('count the orders taken against the one that holds their start', () => {
    const taken = [
      { start: '2026-11-24T14:00:00Z', count: 1 },
      { start: '2026-11-24T11:59:00-04:00', count: 2 },
      { start: '2026-11-24T12:00:00-04:00', count: 9 },
    ];
    const left = timesOf(slots({ capacity: 2, horizonDays: 0 }), '2026-11-24T09:00:00-04:00', { taken });
    expect(left).toMatchObject({ ok: true, slots: [{ start: '2026-11-24T10:00:00-04:00', left: 1 }] });
  });

  test('that a change of the clocks skips are left out, and none is offered twice', () => {
    const night = slots({ hours: everyDay('01:00', '05:00'), minutes: 30, horizonDays: 0 });
    expect(
      starts(timesOf(night, '2026-03-08T00:00:00-04:00', { hours: everyDay('00:00', '08:00') })),
    ).toEqual(['03-08T01:00', '03-08T01:30', '03-08T03:00', '03-08T03:30', '03-08T04:00', '03-08T04:30']);
  });

  test('before and after the cut-off of the same day', () => {
    const sameDay = {
      preparation: { kind: 'cut-off', cutoff: '11:00', readyAt: '14:00', days: 0 } as const,
      withinDays: 0,
    };
    const evening = slots({ hours: everyDay('15:00', '18:00'), horizonDays: 5 });
    expect(starts(timesOf(evening, '2026-11-24T10:59:00-04:00', sameDay))).toEqual([
      '11-24T15:00',
      '11-24T16:00',
      '11-24T17:00',
    ]);
    expect(timesOf(evening, '2026-11-24T11:00:00-04:00', sameDay)).toEqual({
      ok: false,
      next: '2026-11-25T15:00:00-04:00',
    });
  });
});

describe('days', () => {
  const day: Timing = { kind: 'day', hours: everyDay('09:00', '17:00'), horizonDays: 1, capacity: 1 };

  test('are whole spans; one that has begun is offered from ready on, and keeps its count', () => {
    const times = timesOf(day, '2026-11-24T10:20:00-04:00');
    expect(times).toMatchObject({
      slots: [
        { start: '2026-11-24T10:20:00-04:00', end: '2026-11-24T17:00:00-04:00', left: 1 },
        { start: '2026-11-25T09:00:00-04:00', end: '2026-11-25T17:00:00-04:00', left: 1 },
      ],
    });
    const taken = [{ start: '2026-11-24T09:00:00-04:00', count: 1 }];
    expect(starts(timesOf(day, '2026-11-24T10:20:00-04:00', { taken }))).toEqual(['11-25T09:00']);
  });

  test('after the day it is ready are open days; 0 is that day', () => {
    const said: Timing = { kind: 'days', min: 0, max: 2 };
    expect(timesOf(said, '2026-11-24T10:00:00-04:00', { closed: ['2026-11-25'] })).toMatchObject({
      arrives: { earliest: '2026-11-24', latest: '2026-11-27' },
    });
    expect(timesOf(said, '2026-11-24T19:00:00-04:00', { withinDays: 0 })).toEqual({
      ok: false,
      next: '2026-11-25',
    });
  });
});

describe('times that are only said', () => {
  const placedAt = '2026-11-24T10:00:00-04:00';
  const ready = '2026-11-24T10:00:00-04:00';
  const said = (min: number, max: number): Timing => ({ kind: 'days', min, max });

  test('come with when the order is ready', () => {
    expect(timesOf({ kind: 'words', text: 'on Tuesdays' }, placedAt)).toEqual({
      ok: true,
      ready,
      arrives: { words: 'on Tuesdays' },
    });
    expect(timesOf(said(1, 3), placedAt)).toEqual({
      ok: true,
      ready,
      arrives: { earliest: '2026-11-25', latest: '2026-11-27' },
    });
  });

  test('may fall on the last day that is allowed, and not after it', () => {
    expect(timesOf(said(2, 5), placedAt, { withinDays: 2 })).toMatchObject({ ok: true });
    expect(timesOf(said(3, 5), placedAt, { withinDays: 2 })).toEqual({ ok: false, next: '2026-11-27' });
  });

  test('are none to choose from', () => {
    const plan = timePlan(makeYard({ hours: everyDay('08:00', '18:00') }), AT_ONCE, said(0, 1), clock);
    expect([plan.all(placedAt, null), plan.ready(placedAt)]).toEqual([[], ready]);
    const never = timePlan(makeYard({ hours: [] }), AT_ONCE, slots(), clock);
    expect([never.all(placedAt, null), never.ready(placedAt)]).toEqual([[], null]);
  });
});

test('a day that ends when the order is ready is not offered any more', () => {
  const day: Timing = { kind: 'day', hours: everyDay('09:00', '17:00'), horizonDays: 1 };
  expect(starts(timesOf(day, '2026-11-24T16:59:00-04:00'))).toEqual(['11-24T16:59', '11-25T09:00']);
  expect(starts(timesOf(day, '2026-11-24T17:00:00-04:00'))).toEqual(['11-25T09:00']);
});

test('the next time past those that can be chosen is the first with room', () => {
  const taken = ['24', '25', '26'].map((day) => ({ start: `2026-11-${day}T10:00:00-04:00`, count: 1 }));
  const one = slots({ hours: everyDay('10:00', '11:00'), capacity: 1 });
  expect(timesOf(one, '2026-11-24T09:00:00-04:00', { taken })).toEqual({
    ok: false,
    next: '2026-11-27T10:00:00-04:00',
  });
});

test('words need no ready time; what is chosen or counted does', () => {
  const never = { hours: [] };
  expect(timesOf({ kind: 'words', text: 'by arrangement' }, '2026-11-24T10:00:00-04:00', never)).toEqual({
    ok: true,
    arrives: { words: 'by arrangement' },
  });
  expect(timesOf({ kind: 'days', min: 0, max: 0 }, '2026-11-24T10:00:00-04:00', never)).toEqual({
    ok: false,
    next: null,
  });
  expect(timesOf(slots(), '2026-11-24T10:00:00-04:00', never)).toEqual({ ok: false, next: null });
});

test('all of them list what is full too', () => {
  const plan = timePlan(
    makeYard({ hours: everyDay('08:00', '18:00') }),
    AT_ONCE,
    slots({ capacity: 1, horizonDays: 0 }),
    clock,
  );
  const taken = indexBooked([{ id: 'x', start: '2026-11-24T10:00:00-04:00', count: 1 }]).get('x') ?? null;
  expect(plan.all('2026-11-24T09:00:00-04:00', taken).map(({ left }) => left)).toEqual([0, 1]);
});

/** The same by the minute: a slot is there where every minute of the clock that it holds lies in the hours of an open day. */
describe('against walking through every minute', () => {
  const quarter = (n: number): string =>
    `${String(Math.floor(n / 4)).padStart(2, '0')}:${String((n % 4) * 15).padStart(2, '0')}`;
  const span = fc
    .tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 90 }), fc.integer({ min: 1, max: 20 }))
    .map(([day, from, length]) => ({
      day: day as Weekday,
      from: quarter(from),
      to: quarter(Math.min(95, from + length)),
    }))
    .filter(({ from, to }) => from < to);
  const apart = (spans: OpeningHours[]): OpeningHours[] =>
    spans.filter((one, at) =>
      spans
        .slice(0, at)
        .every((other) => other.day !== one.day || other.to < one.from || one.to < other.from),
    );

  /** Local minutes from midnight on that exist on a day, each once: what the clocks of that day show. */
  const minutesOn = (day: number): Map<number, number> => {
    const shown = new Map<number, number>();
    const midnight = clock.moment(day, 0);
    for (let at = midnight; clock.local(at).day === day; at += 60_000) {
      const { minutes } = clock.local(at);
      if (!shown.has(minutes)) shown.set(minutes, at);
    }
    return shown;
  };

  const walked = (hours: OpeningHours[], minutes: number, placed: number, horizon: number): number[] => {
    const found = new Set<number>();
    const first = clock.local(placed).day;
    for (let day = first; day <= first + horizon; day += 1) {
      const shown = minutesOn(day);
      for (const one of hours.filter((open) => open.day === weekdayOf(day)))
        for (let from = minutesOf(one.from); from + minutes <= minutesOf(one.to); from += minutes) {
          const begin = [...Array(minutes).keys()]
            .map((n) => shown.get(from + n))
            .find((at) => at !== undefined);
          if (begin !== undefined && begin >= placed && shown.has(from)) found.add(begin);
        }
    }
    return [...found].sort((a, b) => a - b);
  };

  test('slots agree over a change of the clocks, apart from those that it cuts into', () => {
    fc.assert(
      fc.property(
        fc.array(span, { minLength: 1, maxLength: 4 }).map(apart),
        fc.constantFrom(15, 30, 60),
        fc.nat(14 * 1_440),
        fc.constantFrom('2026-10-25T00:00:00-03:00', '2026-03-01T00:00:00-04:00'),
        (hours, minutes, offset, from) => {
          const placed = Date.parse(from) + offset * 60_000;
          const timing: Timing = { kind: 'slot', hours, minutes, horizonDays: 9 };
          const times = timesOf(timing, new Date(placed).toISOString(), {
            hours: everyDay('00:00', '24:00'),
          });
          const offered = times.ok ? (times.slots ?? []).map(({ start }) => Date.parse(start)) : [];
          const changed = dayOf('2026-03-08');
          const isCut = (at: number): boolean =>
            clock.local(at).day === changed &&
            clock.local(at).minutes >= 120 &&
            clock.local(at).minutes < 240;
          const rest = (list: number[]): number[] => list.filter((at) => !isCut(at)).sort((a, b) => a - b);
          expect(rest(offered)).toEqual(rest(walked(hours, minutes, placed, 9)));
        },
      ),
      { numRuns: 60 },
    );
  });
});
