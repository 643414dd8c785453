import type { Book } from '../model/book.ts';
import { makeArea, makeBook, makeGood, makePickup, makeRate, makeYard, makeZone } from '../testing/book.ts';
import { stillToDo, type Shop } from './still-to-do.ts';
import { toDoSentence } from './to-do-sentence.ts';

const SIZE = { length: 300, width: 200, height: 100 };
const pot = makeGood('pot', { name: 'Pot', weight: 900, size: SIZE });
const HOURS = [{ day: 1 as const, from: '09:00', to: '17:00' }];
const POINT = { lat: 44.65, lng: -63.6 };
const yard = (part: Parameters<typeof makeYard>[0] = {}) =>
  makeYard({ id: 'yard', name: 'The yard', hours: HOURS, ...part });

const book = (part: Partial<Omit<Book, 'store'>> = {}): Book =>
  makeBook({ zones: [makeZone('home')], locations: [yard()], ...part });
const done: Shop = {
  book: book(),
  goods: [pot],
  testOrders: [{ expects: [{ kind: 'how-many', of: 'shipping', max: 1 }] }],
  failing: 0,
  isPublished: true,
};
const codes = (part: Partial<Shop>): string[] => stillToDo({ ...done, ...part }).map(({ code }) => code);

test('a shop that has everything has nothing to do', () => expect(codes({})).toEqual([]));

test('a shop that has just begun is told the steps in their order', () => {
  expect(codes({ goods: [], testOrders: [{ expects: [] }], isPublished: false })).toEqual([
    'no-products',
    'nothing-expected',
    'not-published',
  ]);
});

test('a missing weight or size is told only where a rule asks for it', () => {
  const { weight: _, ...noWeight } = pot;
  const { size: __, ...noSize } = pot;
  const byWeight = book({
    rates: [
      makeRate({ price: { kind: 'steps', basis: 'weight', per: 'order', steps: [{ from: 0, amount: 1 }] } }),
    ],
  });
  const bySide = book({ rates: [makeRate({ limits: { longestSide: { max: 900 } } })] });
  expect(codes({ goods: [noWeight] })).toEqual([]);
  expect(codes({ goods: [noWeight], book: byWeight })).toEqual(['no-weight']);
  expect(
    codes({ goods: [noWeight], book: book({ pickups: [makePickup({ limits: { weight: { max: 9 } } })] }) }),
  ).toContain('no-weight');
  const switchedOff = { ...byWeight, rates: byWeight.rates.map((rate) => ({ ...rate, active: false })) };
  expect(codes({ goods: [noWeight], book: switchedOff })).toEqual([]);
  const unused = { id: 't', name: 'T', basis: 'weight' as const, rows: [] };
  expect(codes({ goods: [noWeight], book: book({ rateTables: [unused] }) })).toEqual([]);
  const byTable = makeRate({ price: { kind: 'table', tableId: 't' } });
  expect(codes({ goods: [noWeight], book: book({ rateTables: [unused], rates: [byTable] }) })).toEqual([
    'no-weight',
  ]);
  expect(codes({ goods: [noSize], book: byWeight })).toEqual([]);
  expect(codes({ goods: [noSize], book: bySide })).toEqual(['no-size']);
  expect(codes({ goods: [{ ...noSize, fulfilment: 'digital' }], book: bySide })).toEqual([]);
});

test('hours are asked for only where a day is counted from them', () => {
  const closed = [yard({ hours: [] })];
  expect(codes({ book: book({ locations: closed }) })).toEqual([]);
  const collected = makePickup({ locationId: 'yard' });
  expect(codes({ book: book({ locations: closed, pickups: [collected] }) })).toEqual(['no-hours']);
  expect(codes({ book: book({ locations: closed, pickups: [{ ...collected, active: false }] }) })).toEqual(
    [],
  );
  const sent = makeRate({ transit: { min: 1, max: 2 } });
  expect(codes({ book: book({ locations: closed, rates: [sent] }) })).toEqual(['no-hours']);
});

test('a point is asked for only where a distance is measured from it', () => {
  const nowhere = yard({ address: { country: 'CA' } });
  const somewhere = yard({ address: { country: 'CA', point: POINT } });
  const round = makeArea({ locationId: 'yard', covers: { kind: 'radius', metres: 5_000 } });
  const listed = makeArea({
    locationId: 'yard',
    covers: { kind: 'postal', country: 'CA', patterns: ['B3H*'] },
  });
  const at = (location: typeof nowhere, area: typeof round) =>
    codes({ book: book({ locations: [location], areas: [area] }) });
  expect(at(nowhere, round)).toEqual(['no-point']);
  expect(at(somewhere, round)).toEqual([]);
  expect(at(nowhere, listed)).toEqual([]);
  const near = makePickup({ locationId: 'yard', maxDistance: 9_000 });
  expect(codes({ book: book({ locations: [nowhere], pickups: [near] }) })).toEqual(['no-point']);
});

test('test orders that fail are counted, and each thing is said in full', () => {
  const two = stillToDo({ ...done, failing: 2 });
  expect(two.map((one) => toDoSentence(one).what)).toEqual([
    'Look at 2 test orders that do not get what they should',
  ]);
  expect(toDoSentence({ code: 'tests-fail', count: 1 }).what).toBe(
    'Look at 1 test order that does not get what it should',
  );
  expect(toDoSentence({ code: 'no-size', names: ['Pot'] }).what).toBe('Give Pot a size');
  expect(toDoSentence({ code: 'no-weight', names: ['Pot', 'Urn'] }).what).toBe('Give 2 products a weight');
  expect(toDoSentence({ code: 'no-point', id: 'yard', name: 'The yard' }).what).toBe(
    'Put The yard on the map',
  );
});
