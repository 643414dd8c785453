import type { Box } from '../model/pack.ts';
import { holdsPlace } from '../place/place-index.ts';
import { makeArea, makeBook, makePickup, makeYard } from '../testing/book.ts';
import { makeClock } from '../time/clock.ts';
import { makeParts, type PartName } from './compiled-parts.ts';

const box = (id: string, carrier?: string): Box => ({
  id,
  name: id,
  inside: { length: 300, width: 200, height: 100 },
  tare: 100,
  maxWeight: 20_000,
  ...(carrier === undefined ? {} : { carrierBox: { carrier, code: 'B1' } }),
});

describe('packing', () => {
  const boxes = [box('plain'), box('own', 'gannet'), box('other', 'tern'), box('unlisted')];
  const plan = { kind: 'boxes' as const, boxIds: ['plain', 'own', 'other'] };
  const packing = makeParts().packing(boxes)(plan);
  const idsFor = (carrier: string): string[] => packing(carrier).boxes.map(({ id }) => id);

  test('the store’s own plan uses the boxes that it lists, a carrier’s leaves out those of others', () => {
    expect(idsFor('')).toEqual(['plain', 'own', 'other']);
    expect(idsFor('gannet')).toEqual(['plain', 'own']);
    expect(idsFor('heron')).toEqual(['plain']);
  });

  test('is made once for each carrier, so that what was packed is remembered', () => {
    expect(packing('gannet')).toBe(packing('gannet'));
    expect(packing('gannet')).not.toBe(packing('tern'));
  });
});

test('places that a rule names hold their addresses, and are indexed once', () => {
  const { regions } = makeParts();
  const named = [{ country: 'CA', subdivision: 'CA-NS' }, { country: 'PT' }];
  const holds = (country: string, subdivision?: string): boolean =>
    holdsPlace(regions(named), { country, subdivision, code: undefined });
  expect([holds('CA', 'CA-NS'), holds('CA', 'CA-QC'), holds('PT'), holds('ES')]).toEqual([
    true,
    false,
    true,
    false,
  ]);
  expect(regions(named)).toBe(regions(named));
});

test('a table is reported on: what no row holds, and where the charge falls', () => {
  const rows = [
    { from: 0, to: 1_000, amount: 900 },
    { from: 1_000, to: 2_000, amount: 700 },
  ];
  const table = { id: 't', name: 'T', basis: 'weight' as const, rows };
  const { tableReport } = makeParts();
  expect(tableReport(table)).toEqual({
    odd: [{ kind: 'hole', row: 1, from: 2_000, to: undefined }],
    falls: [{ row: 1, at: 1_000, by: 200 }],
  });
  expect(tableReport(table)).toBe(tableReport(table));
});

test.each([
  ['area', makeArea()],
  ['pickup', makePickup()],
] as const)('a part at a location, %s, is made again for another location, clock or store', (name, part) => {
  const made: PartName[] = [];
  const parts = makeParts({ onMade: (one) => made.push(one) });
  const { store } = makeBook();
  const make = parts[name] as (...args: unknown[]) => unknown;
  const [yard, clock] = [makeYard(), makeClock('America/Halifax')];
  const first = make(part, yard, clock, store);
  expect(make(part, yard, clock, store)).toBe(first);
  expect(made).toEqual([name]);
  make(part, { ...yard }, clock, store);
  make(part, yard, makeClock('Pacific/Fiji'), store);
  make(part, yard, clock, { ...store });
  expect(made).toEqual([name, name, name, name]);
});

test('each part that is made is told by its name', () => {
  const made: PartName[] = [];
  const parts = makeParts({ onMade: (one) => made.push(one) });
  const { store } = makeBook();
  parts.clock('America/Halifax');
  parts.clock('America/Halifax');
  parts.sellsTo(store.sellsTo);
  const taken = parts.booked([{ id: 'yard', start: '2026-11-24T12:00:00Z', count: 2 }]);
  expect(made).toEqual(['clock', 'sells-to', 'booked']);
  const noon = Date.parse('2026-11-24T12:00:00Z');
  expect(taken.get('yard')?.(noon, noon + 1)).toBe(2);
});
