import type { Timing } from '../model/time.ts';
import { compile } from './compile.ts';
import { makeArea, makeBook, makeCatalogue, makePickup, makeYard } from '../testing/book.ts';
import { slotDays } from './slot-days.ts';
import { weekView } from './week-view.ts';

const TUESDAY = '2026-11-24T10:15:00-04:00';
const slots: Timing = {
  kind: 'slot',
  hours: ([2, 4] as const).map((day) => ({ day, from: '13:00', to: '15:00' })),
  minutes: 60,
  horizonDays: 9,
  capacity: 1,
};
const compiled = compile(
  makeBook({
    locations: [makeYard({ closedDates: ['2026-11-26'] })],
    areas: [
      makeArea({
        preparation: { kind: 'cut-off', cutoff: '11:00', readyAt: '12:00', days: 0 },
        methods: [{ id: 'van', name: 'Van', add: 0, timing: slots }],
      }),
    ],
    pickups: [makePickup()],
  }),
  makeCatalogue(),
);
const taken = [{ id: 'ring:van', start: '2026-11-24T13:00:00-04:00', count: 1 }];

describe('the week after an order', () => {
  test('has hours, closed dates and slots day by day, those that are full too, up to the last that can be chosen', () => {
    const view = weekView(compiled, 'ring:van', { placedAt: TUESDAY, slotsTaken: taken });
    expect(view).toMatchObject({ placed: 615, ready: '2026-11-24T12:00:00-04:00', cutoff: '11:00' });
    expect(
      view?.days.map(({ date, open, slots: free, isClosedDate }) => [
        date.slice(8),
        open.length,
        free.length,
        isClosedDate,
      ]),
    ).toEqual([
      ['24', 1, 2, false],
      ['25', 1, 0, false],
      ['26', 0, 0, true],
      ['27', 1, 0, false],
      ['28', 0, 0, false],
      ['29', 0, 0, false],
      ['30', 1, 0, false],
      ['01', 1, 2, false],
      ['02', 1, 0, false],
      ['03', 1, 2, false],
    ]);
    expect(view?.days[0]?.slots.map(({ left }) => left)).toEqual([0, 1]);
  });

  test('has the days by which it is there, where they are told', () => {
    const timing: Timing = { kind: 'days', min: 1, max: 6 };
    const { days, arrives } =
      weekView(
        compile(
          makeBook({
            locations: [makeYard({ closedDates: ['2026-11-26'] })],
            pickups: [makePickup({ timing })],
          }),
          makeCatalogue(),
        ),
        'counter',
        { placedAt: TUESDAY },
      ) ?? {};
    expect(arrives).toEqual({ earliest: '2026-11-25', latest: '2026-12-03' });
    expect(days?.at(-1)?.date).toBe('2026-12-03');
  });

  test('is a plain week where nothing can be chosen, and none of what the book has not', () => {
    expect(weekView(compiled, 'counter', { placedAt: TUESDAY })?.days).toHaveLength(7);
    expect(weekView(compiled, 'gone', { placedAt: TUESDAY })).toBeNull();
  });
});

test('the days of a choice are those with times, whatever its import terms', () => {
  const days = slotDays(
    compiled,
    { areaId: 'ring', methodId: 'van', terms: 'DAP' },
    { placedAt: TUESDAY, slotsTaken: taken },
  );
  expect(days.map(({ date, slots: times }) => [date, times.map(({ left }) => left)])).toEqual([
    ['2026-11-24', [0, 1]],
    ['2026-12-01', [1, 1]],
    ['2026-12-03', [1, 1]],
  ]);
  expect(slotDays(compiled, { rateId: 'counter' }, { placedAt: TUESDAY })).toEqual([]);
});

test('of several areas, methods and points each has its own times and preparation', () => {
  const byHour = (from: string, to: string): Timing => ({
    kind: 'slot',
    hours: [{ day: 3, from, to }],
    minutes: 60,
    horizonDays: 3,
  });
  const method = (id: string, from: string, to: string) => ({
    id,
    name: id,
    add: 0,
    timing: byHour(from, to),
  });
  const several = compile(
    makeBook({
      locations: [makeYard()],
      areas: [
        makeArea({ id: 'far', methods: [method('van', '08:00', '09:00'), method('bike', '09:00', '10:00')] }),
        makeArea({
          preparation: { kind: 'cut-off', cutoff: '11:00', readyAt: '12:00', days: 0 },
          methods: [method('van', '13:00', '14:00'), method('bike', '14:00', '15:00')],
        }),
      ],
      pickups: [
        makePickup({ id: 'gate', timing: byHour('10:00', '11:00') }),
        makePickup({ timing: byHour('16:00', '17:00') }),
      ],
    }),
    makeCatalogue(),
  );
  const order = { placedAt: TUESDAY };
  const startsOf = (slotted: readonly { slots: readonly { start: string }[] }[] = []): string[] =>
    slotted.flatMap((day) => day.slots.map(({ start }) => start.slice(0, 16)));
  const weekOf = (id: string) => weekView(several, id, order);
  expect(
    ['far:van', 'far:bike', 'ring:van', 'ring:bike', 'gate', 'counter'].map((id) =>
      startsOf(weekOf(id)?.days),
    ),
  ).toEqual(['08', '09', '13', '14', '10', '16'].map((hour) => [`2026-11-25T${hour}:00`]));
  expect(weekOf('far:van')?.cutoff).toBeNull();
  expect(weekOf('ring:bike')?.cutoff).toBe('11:00');
  expect(startsOf(slotDays(several, { pickupId: 'counter' }, order))).toEqual(['2026-11-25T16:00']);
  expect(startsOf(slotDays(several, { areaId: 'ring', methodId: 'bike' }, order))).toEqual([
    '2026-11-25T14:00',
  ]);
});
