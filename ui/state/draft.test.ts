import fc from 'fast-check';
import { readBook } from '../../core/formats/read.ts';
import { demoShop } from './demo-shop.ts';
import {
  draftReducer,
  edit,
  initialDraft,
  marksCleared,
  redone,
  undone,
  visitBegan,
  type DraftState,
} from './draft.ts';

const start = (): DraftState => initialDraft(demoShop());
const after = (state: DraftState, ...actions: Parameters<typeof draftReducer>[1][]): DraftState =>
  actions.reduce(draftReducer, state);
const freeFrom = (state: DraftState): number | undefined =>
  state.workbook.book.rates.find((rate) => rate.id === 'parcel-maritimes')?.freeFrom;
const setFree = (amount: number | undefined, visit: string | null = null) =>
  edit('setRate', { id: 'parcel-maritimes', changes: { freeFrom: amount } }, 'free from', visit);

describe('an edit that could not be read again', () => {
  test('is not made, and says what is wrong', () => {
    const state = after(start(), setFree(9_000), setFree(5_000_000_000));
    expect(freeFrom(state)).toBe(9_000);
    expect(state.past).toHaveLength(1);
    expect(state.refused).toMatchObject({
      label: 'free from',
      faults: [{ code: 'too-big', path: 'rates.freeFrom' }],
    });
    expect(after(state, setFree(8_000)).refused).toBeNull();
  });
});

describe('undo', () => {
  test('takes back one visit to a field in one step, and redo makes it again', () => {
    const edited = after(start(), visitBegan(), setFree(9, 'a'), setFree(90, 'a'), setFree(900, 'a'));
    expect(edited.past).toHaveLength(1);
    expect(freeFrom(after(edited, undone()))).toBe(8_500);
    expect(freeFrom(after(edited, undone(), redone()))).toBe(900);
    expect(after(edited, setFree(1, 'b')).past).toHaveLength(2);
  });

  test('a visit after an undo is a step of its own, and ends what could be redone', () => {
    const state = after(start(), setFree(9, 'a'), undone(), setFree(10, 'a'));
    expect([state.past.length, state.future.length, freeFrom(state)]).toEqual([1, 0, 10]);
    const again = after(start(), setFree(9, 'a'), undone(), redone(), setFree(10, 'a'));
    expect(again.past).toHaveLength(2);
  });

  test('an edit that changes nothing is no step', () => {
    expect(after(start(), setFree(8_500)).past).toHaveLength(0);
  });

  test('a field that was taken out comes back', () => {
    const state = after(start(), setFree(undefined));
    expect('freeFrom' in state.workbook.book.rates[8]!).toBe(false);
    expect(freeFrom(after(state, undone()))).toBe(8_500);
  });

  test('marks compare with the book from before the visit, until they are cleared', () => {
    const state = after(start(), visitBegan(), setFree(9, 'a'));
    expect(state.before?.rates.find((rate) => rate.id === 'parcel-maritimes')?.freeFrom).toBe(8_500);
    expect(after(state, visitBegan()).before).toBe(state.workbook.book);
    expect(after(state, marksCleared()).before).toBeNull();
  });
});

/** Any edit of the board, by names and cells of the demo. */
const anyEdit = (): fc.Arbitrary<ReturnType<typeof edit>> => {
  const { book } = demoShop();
  const service = fc.constantFrom(...book.services.map((one) => one.id));
  const zone = fc.constantFrom(...book.zones.map((one) => one.id));
  const rate = fc.constantFrom(...book.rates.map((one) => one.id));
  const cell = fc.record({ serviceId: service, zoneId: zone });
  const raise = { by: { kind: 'percent' as const, points: 500 }, rounding: null };
  return fc.oneof(
    cell.map((one) => edit('removeRate', { cell: one }, '')),
    cell.map((one) => edit('leaveOut', { cell: one }, '')),
    cell.map((one) => edit('putBack', { cell: one }, '')),
    fc
      .tuple(rate, fc.array(cell, { maxLength: 3 }))
      .map(([id, cells]) => edit('copyRate', { id, cells }, '')),
    fc.array(rate).map((ids) => edit('raiseRates', { ids, raise }, '')),
    fc.tuple(fc.array(rate), fc.boolean()).map(([ids, active]) => edit('switchRates', { ids, active }, '')),
    zone.map((id) => edit('copyZone', { id }, '')),
    zone.map((id) => edit('removeZone', { id }, '')),
    fc.tuple(zone, fc.integer({ min: -3, max: 3 })).map(([id, by]) => edit('moveZone', { id, by }, '')),
    zone.map((id) => edit('setZone', { id, changes: { remainder: true } }, '')),
    fc
      .string({ minLength: 1, maxLength: 8 })
      .map((name) => edit('addService', { name: name.trim() || 'x' }, '')),
    service.map((id) => edit('removeService', { id }, '')),
    fc.tuple(service, fc.integer({ min: -3, max: 3 })).map(([id, by]) => edit('moveService', { id, by }, '')),
  );
};

describe('edits of the board', () => {
  test('leave a sound book, and undoing all of them leaves the first', () => {
    const first = start();
    fc.assert(
      fc.property(fc.array(anyEdit(), { maxLength: 8 }), (edits) => {
        const edited = edits.reduce(draftReducer, first);
        expect(readBook(JSON.parse(JSON.stringify(edited.workbook.book)))).toMatchObject({ ok: true });
        const back = edited.past.reduce((state) => draftReducer(state, undone()), edited);
        expect(back.workbook).toEqual(first.workbook);
        const forth = back.future.reduce((state) => draftReducer(state, redone()), back);
        expect(forth.workbook).toEqual(edited.workbook);
      }),
      { numRuns: 60 },
    );
  });

  test('a first rate is switched off, so that nothing is free before its price is set', () => {
    const state = after(start(), edit('addRate', { cell: { serviceId: 'pallet', zoneId: 'north' } }, ''));
    expect(state.workbook.book.rates.at(-1)).toMatchObject({ id: 'pallet-north', active: false });
    expect(state.workbook.book.zones.find((zone) => zone.id === 'north')?.without).toEqual([]);
  });

  test('a copy of a zone takes no places and is switched off', () => {
    const { zones, rates } = after(start(), edit('copyZone', { id: 'maritimes' }, '')).workbook.book;
    expect(zones[1]).toMatchObject({
      id: 'maritimes-copy',
      name: 'Maritimes, copy',
      active: false,
      includes: [],
    });
    expect(rates.filter((rate) => rate.zoneId === 'maritimes-copy')).toHaveLength(4);
  });

  test('only one zone takes everywhere else', () => {
    const { zones } = after(start(), edit('setZone', { id: 'west', changes: { remainder: true } }, ''))
      .workbook.book;
    expect(zones.filter((zone) => zone.remainder).map((zone) => zone.id)).toEqual(['west']);
  });
});
