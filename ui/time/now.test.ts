import { dayNow } from './now.ts';

test('the day is the shop’s own, whatever day it is in UTC', () => {
  jest.setSystemTime(new Date('2026-11-30T02:30:00Z'));
  expect(dayNow({ timeZone: 'America/Halifax' })).toBe('2026-11-29');
  expect(dayNow({ timeZone: 'Asia/Tokyo' })).toBe('2026-11-30');
});
