import { makeArea, makeBook, makePickup, makeRate } from '../testing/book.ts';
import { waysOfGetting } from './ways-of-getting.ts';

const off = { active: false };

test.each([
  ['what is shipped', { areas: [], pickups: [] }, { sent: true, collected: false }],
  ['what is brought', { rates: [], areas: [makeArea()], pickups: [] }, { sent: true, collected: false }],
  ['what is collected', { rates: [], areas: [], pickups: [makePickup()] }, { sent: false, collected: true }],
  [
    'what is switched on',
    { rates: [makeRate(off)], areas: [makeArea(off)], pickups: [makePickup()] },
    { sent: false, collected: true },
  ],
  ['both', { pickups: [makePickup()] }, { sent: true, collected: true }],
  ['nothing', { rates: [], areas: [], pickups: [makePickup(off)] }, { sent: false, collected: false }],
])('a shop’s ways go by %s', (_, parts, ways) => {
  expect(waysOfGetting({ book: { ...makeBook(), ...parts } })).toEqual(ways);
});
