import type { OpeningHours } from '../model/time.ts';
import type { Weekday } from '../model/unit.ts';
import { makeYard } from '../testing/book.ts';
import { departuresFrom } from './arrival.ts';
import { dateOf, dayOf } from './calendar.ts';
import { makeClock } from './clock.ts';

const clock = makeClock('America/Halifax');
const week = (days: Weekday[]): OpeningHours[] => days.map((day) => ({ day, from: '09:00', to: '17:30' }));
const WEEKDAYS = week([1, 2, 3, 4, 5]);
/** A Tuesday. */
const MORNING = '2026-11-24T10:00:00-04:00';

describe('when an order leaves', () => {
  const leaves = (part: Parameters<typeof makeYard>[0], placedAt = MORNING) => {
    const handOver = departuresFrom(makeYard({ hours: WEEKDAYS, ...part }), clock).handOver(placedAt);
    return handOver && { ...handOver, day: dateOf(handOver.day) };
  };

  test('on the day it is placed, or the next open one where the place has closed', () => {
    expect(leaves({})).toEqual({ day: '2026-11-24' });
    expect(leaves({}, '2026-11-24T17:30:00-04:00')).toEqual({ day: '2026-11-25' });
    expect(leaves({ closedDates: ['2026-11-24', '2026-11-25'] })).toEqual({ day: '2026-11-26' });
    expect(leaves({}, '2026-11-28T10:00:00-04:00')).toEqual({ day: '2026-11-30' });
  });

  test('once it is prepared, where the location says how long that takes', () => {
    expect(leaves({ preparation: { kind: 'open-minutes', minutes: 480 } })).toEqual({
      day: '2026-11-25',
      ready: '2026-11-25T09:30:00-04:00',
    });
    expect(leaves({ preparation: { kind: 'cut-off', cutoff: '10:00', days: 0, readyAt: '15:00' } })).toEqual({
      day: '2026-11-25',
      ready: '2026-11-25T15:00:00-04:00',
    });
  });

  test('never from a place that never opens, prepared or not', () => {
    expect(leaves({ hours: [] })).toBeNull();
    expect(leaves({ hours: [], preparation: { kind: 'open-minutes', minutes: 0 } })).toBeNull();
    expect(leaves({ hours: [], preparation: { kind: 'working-days', days: 0 } })).toBeNull();
    expect(
      leaves({ hours: [], preparation: { kind: 'cut-off', cutoff: '10:00', days: 0, readyAt: '15:00' } }),
    ).toBeNull();
  });
});

describe('when it arrives', () => {
  const arrives = (from: string, min: number, max: number, closedDates: string[] = []) => {
    const { arrival } = departuresFrom(makeYard({ hours: WEEKDAYS, closedDates }), clock);
    const { earliest, latest } = arrival(dayOf(from), { min, max });
    return [earliest, latest];
  };

  test('Monday to Friday count, Friday among them, and closed dates do not', () => {
    expect(arrives('2026-11-26', 1, 2)).toEqual(['2026-11-27', '2026-11-30']);
    expect(arrives('2026-11-26', 1, 2, ['2026-11-27'])).toEqual(['2026-11-30', '2026-12-01']);
  });

  test('in no days on the day itself, or on the next that counts', () => {
    expect(arrives('2026-11-27', 0, 0)).toEqual(['2026-11-27', '2026-11-27']);
    expect(arrives('2026-11-28', 0, 1)).toEqual(['2026-11-30', '2026-11-30']);
  });
});
