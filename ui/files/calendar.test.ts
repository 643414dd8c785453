import { faultSentence } from '../../core/words/fault-sentence.ts';
import { calendarText } from './calendar-file.ts';
import { datesOfCalendar } from './calendar-dates.ts';

const calendar = (...entries: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Test//Test//EN', ...entries, 'END:VCALENDAR', ''].join(
    '\r\n',
  );
const entry = (...lines: string[]): string =>
  ['BEGIN:VEVENT', 'UID:1', 'DTSTAMP:20260101T000000Z', ...lines, 'END:VEVENT'].join('\r\n');
const dates = (text: string) => datesOfCalendar(text, '2026-11-01', '2029-11-01');

describe('closed dates out of a calendar', () => {
  test('are the days of whole-day entries, the end not included', async () => {
    const text = calendar(entry('DTSTART;VALUE=DATE:20261224', 'DTEND;VALUE=DATE:20261227'));
    expect(await dates(text)).toEqual({
      ok: true,
      value: { dates: ['2026-12-24', '2026-12-25', '2026-12-26'], faults: [] },
    });
  });

  test('are the day of an entry with times, and both days of one over midnight', async () => {
    const text = calendar(
      entry('DTSTART:20261203T100000', 'DTEND:20261203T120000'),
      entry('DTSTART:20261210T220000', 'DTEND:20261211T020000'),
      entry('DTSTART:20261214T200000', 'DTEND:20261215T000000'),
    );
    expect(await dates(text)).toEqual({
      ok: true,
      value: { dates: ['2026-12-03', '2026-12-10', '2026-12-11', '2026-12-14'], faults: [] },
    });
  });

  test('repeat as the entry does, but not beyond some years', async () => {
    const text = calendar(
      entry('DTSTART;VALUE=DATE:20251225', 'DTEND;VALUE=DATE:20251226', 'RRULE:FREQ=YEARLY'),
    );
    expect(await dates(text)).toEqual({
      ok: true,
      value: { dates: ['2026-12-25', '2027-12-25', '2028-12-25'], faults: [] },
    });
  });

  test('repeat on however long ago the first of them was', async () => {
    const weekly = calendar(entry('DTSTART;VALUE=DATE:20050103', 'RRULE:FREQ=WEEKLY'));
    const found = await datesOfCalendar(weekly, '2026-11-01', '2026-11-30');
    expect(found).toEqual({
      ok: true,
      value: { dates: ['2026-11-02', '2026-11-09', '2026-11-16', '2026-11-23', '2026-11-30'], faults: [] },
    });
  });

  test('leave out what is excepted, and take what is added', async () => {
    const text = calendar(
      entry(
        'DTSTART;VALUE=DATE:20261202',
        'RRULE:FREQ=WEEKLY;COUNT=3',
        'EXDATE;VALUE=DATE:20261209',
        'RDATE;VALUE=DATE:20261211',
      ),
    );
    expect(await dates(text)).toEqual({
      ok: true,
      value: { dates: ['2026-12-02', '2026-12-11', '2026-12-16'], faults: [] },
    });
  });

  test.each([
    ['no beginning', 'SUMMARY:Stocktaking'],
    ['a beginning that is no date', 'SUMMARY:Stocktaking', 'DTSTART:soon'],
    [
      'a rule that is none',
      'SUMMARY:Stocktaking',
      'DTSTART;VALUE=DATE:20261201',
      'RRULE:FREQ=WEEKLY;BYMONTH=13',
    ],
    [
      'a rule that no day meets',
      'SUMMARY:Stocktaking',
      'DTSTART;VALUE=DATE:20251201',
      'RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30',
    ],
    [
      'a rule that never comes on',
      'SUMMARY:Stocktaking',
      'DTSTART;VALUE=DATE:20251201',
      'RRULE:FREQ=DAILY;INTERVAL=7;BYDAY=TU',
    ],
    ['a rule of seconds', 'SUMMARY:Stocktaking', 'DTSTART:19700101T000000', 'RRULE:FREQ=SECONDLY'],
  ])('tell an entry with %s, and take the rest', async (_, ...lines) => {
    const read = await dates(calendar(entry(...lines), entry('DTSTART;VALUE=DATE:20261224')));
    expect(read).toMatchObject({
      ok: true,
      value: { dates: ['2026-12-24'], faults: [{ code: expect.stringMatching(/^calendar-/) }] },
    });
    expect(read.ok && read.value.faults.map(faultSentence).join()).toMatch(/^“Stocktaking” was left out/);
  });

  test('of an entry that takes centuries are those that are asked for', async () => {
    const read = await dates(calendar(entry('DTSTART;VALUE=DATE:15000101', 'DTEND;VALUE=DATE:99990101')));
    expect(read.ok && [read.value.dates.length, read.value.dates[0], read.value.dates.at(-1)]).toEqual([
      1_097,
      '2026-11-01',
      '2029-11-01',
    ]);
  });

  test('that are past, or none, are told; so is a file that is no calendar', async () => {
    const past = calendar(entry('DTSTART;VALUE=DATE:20200101', 'DTEND;VALUE=DATE:20200102'));
    expect(await dates(past)).toMatchObject({ ok: false, faults: [{ code: 'no-calendar-dates' }] });
    expect(await dates('name,date\nx,y')).toMatchObject({ ok: false, faults: [{ code: 'no-calendar' }] });
  });
});

test('an order goes into a calendar with its time in universal time, its words escaped', async () => {
  const text = await calendarText(
    {
      uid: 'order-1001@emporos.invalid',
      title: 'Wrack & Thistle: order 1001',
      start: '2026-11-27T15:00:00-04:00',
      end: '2026-11-27T16:00:00-04:00',
      where: '18 Kelp Row, Halifax',
      text: 'Ring twice.\nBring the crate.',
    },
    '2026-11-24T10:15:00Z',
  );
  expect(text).toContain('DTSTART:20261127T190000Z');
  expect(text).toContain('DTEND:20261127T200000Z');
  expect(text).toContain('LOCATION:18 Kelp Row\\, Halifax');
  expect(text).toContain('Ring twice.\\nBring the crate.');
  expect(await datesOfCalendar(text, '2026-11-01', '2026-12-31')).toEqual({
    ok: true,
    value: { dates: ['2026-11-27'], faults: [] },
  });
});
