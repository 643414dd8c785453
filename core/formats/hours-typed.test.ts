import { datesText, typedDates } from './dates-typed.ts';
import { spansText, typedSpans, withDay } from './hours-typed.ts';

describe('opening hours as they are typed', () => {
  test.each([
    ['9-17', '09:00–17:00'],
    ['09:00–12:00, 13:00–17:30', '09:00–12:00, 13:00–17:30'],
    ['1pm to 5:30pm; 8am-12pm', '08:00–12:00, 13:00–17:30'],
    ['22-24', '22:00–24:00'],
    ['closed', ''],
    ['  ', ''],
  ])('%j is %j', (text, written) => {
    const typed = typedSpans(text);
    expect(typed.ok && spansText(withDay([], 3, typed.spans), 3)).toBe(written);
  });

  test.each([
    ['9', 'unread'],
    ['9-25', 'unread'],
    ['13pm-14', 'unread'],
    ['17-9', 'reversed'],
    ['9-12, 11-14', 'overlap'],
  ])('%j is refused: %s', (text, why) => {
    expect(typedSpans(text)).toMatchObject({ ok: false, why });
  });

  test('replace one day of a week and leave the others, in order', () => {
    const week = [
      { day: 5, from: '09:00', to: '12:00' },
      { day: 2, from: '09:00', to: '12:00' },
    ] as const;
    expect(withDay(week, 5, [{ from: '10:00', to: '11:00' }])).toEqual([
      { day: 2, from: '09:00', to: '12:00' },
      { day: 5, from: '10:00', to: '11:00' },
    ]);
    expect(withDay(week, 2, [])).toHaveLength(1);
  });
});

describe('closed dates as they are typed', () => {
  test('are single dates and ranges, each once, and written back as they were', () => {
    const typed = typedDates('2027-01-01, 2026-12-30 to 2027-01-02\n2026-12-25; ');
    expect(typed).toEqual({
      ok: true,
      dates: ['2026-12-25', '2026-12-30', '2026-12-31', '2027-01-01', '2027-01-02'],
    });
    expect(typed.ok && datesText(typed.dates)).toBe('2026-12-25, 2026-12-30 to 2027-01-02');
  });

  test.each(['25 December', '2026-02-30', '2026-12-26 to 2026-12-25', '2020-01-01 to 2026-01-01'])(
    'that cannot be read are named: %s',
    (text) => {
      expect(typedDates(`2026-12-25, ${text}`)).toEqual({ ok: false, text });
    },
  );
});
