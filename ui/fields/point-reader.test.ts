import { pointText, readPoint } from './point-reader.ts';

const STOCKHOLM = { lat: 59.3293, lng: 18.0686 };
const HALIFAX = { lat: 44.65, lng: -63.58 };

test.each([
  ['59.3293, 18.0686', STOCKHOLM],
  ['59.3293 18.0686', STOCKHOLM],
  [' 59.3293,18.0686 ', STOCKHOLM],
  ['59,3293; 18,0686', STOCKHOLM],
  ['59,3293, 18,0686', STOCKHOLM],
  ['59.3293° N, 18.0686° E', STOCKHOLM],
  ['18.0686 E, 59.3293 N', STOCKHOLM],
  ['N59.3293 E18.0686', STOCKHOLM],
  ['44.65, -63.58', HALIFAX],
  ['44.65° N 63.58° W', HALIFAX],
  ['-33.87, 151.21', { lat: -33.87, lng: 151.21 }],
  ['33.87 S, 151.21 E', { lat: -33.87, lng: 151.21 }],
])('%s is read', (text, value) => expect(readPoint(text)).toEqual({ ok: true, value }));

test.each([
  '',
  '59.3293',
  '91, 0',
  '0, 181',
  '59.3293, 18.0686, 3',
  'Stockholm',
  '59 N, 18 N',
  '1 E, 2 W',
  'N 5 S, 6',
])('“%s” is no point, and an example is given', (text) =>
  expect(readPoint(text)).toEqual({
    ok: false,
    text: 'Write latitude and longitude, such as 44.6592, -63.5987.',
  }),
);

test('what is written is read again as the same', () => {
  expect(readPoint(pointText(HALIFAX))).toEqual({ ok: true, value: HALIFAX });
  expect(pointText(undefined)).toBe('');
});
