import type { PastOrder } from '../../core/model/order.ts';
import { demoStore } from '../testing/store.tsx';
import {
  holdsEnded,
  holdsLapsed,
  nextLapse,
  othersHold,
  slotHeld,
  slotsTakenOrHeld,
  type Hold,
} from './holds.ts';
import { shareHolds, type HoldsLine } from './share-holds.ts';

const hold = (until: number, part: Partial<Hold> = {}): Hold => ({
  timeId: 'peninsula:cart',
  start: '2026-11-24T16:00:00-04:00',
  end: '2026-11-24T17:00:00-04:00',
  asOf: '2026-11-24T13:00:00Z',
  until,
  ...part,
});
const NONE: PastOrder[] = [];

describe('times that are held', () => {
  test('lapse in the order in which they were picked; those of others go, one’s own is over', () => {
    const store = demoStore();
    store.dispatch(slotHeld({ key: 'whole', hold: hold(2_000) }));
    store.dispatch(othersHold({ tab: 'b', holds: [hold(1_000), hold(3_000)] }));
    expect(nextLapse(store.getState().holds)).toBe(1_000);
    store.dispatch(holdsLapsed(2_000));
    const { mine, others } = store.getState().holds;
    expect(mine['whole']?.over).toBe(true);
    expect(others['b']).toEqual([hold(3_000)]);
    expect(nextLapse(store.getState().holds)).toBe(3_000);
    store.dispatch(holdsLapsed(3_000));
    expect(nextLapse(store.getState().holds)).toBeNull();
  });

  test('take a place of their slot for everyone else', () => {
    const others = { b: [hold(1_000, { timeId: 'ring:van' })] };
    expect(slotsTakenOrHeld(NONE, { mine: {}, others })).toEqual([
      { id: 'ring:van', start: '2026-11-24T16:00:00-04:00', count: 1 },
    ]);
  });

  test('belong to the one who picked first where two did so at once', () => {
    const first = { mine: { whole: hold(1_000) }, others: { b: [hold(1_001)] } };
    const second = { mine: { whole: hold(1_001) }, others: { a: [hold(1_000)] } };
    expect(slotsTakenOrHeld(NONE, first)).toEqual([]);
    expect(slotsTakenOrHeld(NONE, second)).toHaveLength(1);
    expect(slotsTakenOrHeld(NONE, { ...first, mine: { whole: hold(1_000, { over: true }) } })).toHaveLength(
      1,
    );
  });
});

/** Tabs that hear each other at once, and never themselves. */
const makeLine = () => {
  const ears: ((what: unknown) => void)[] = [];
  const join = (): HoldsLine => {
    const own: ((what: unknown) => void)[] = [];
    return {
      send: (what) => ears.filter((ear) => !own.includes(ear)).forEach((ear) => ear(what)),
      hear: (heard) => {
        own.push(heard);
        ears.push(heard);
      },
      close: () => own.forEach((ear) => ears.splice(ears.indexOf(ear), 1)),
    };
  };
  return { join, shout: (what: unknown) => ears.forEach((ear) => ear(what)) };
};

describe('two tabs', () => {
  const heldIn = (store: ReturnType<typeof demoStore>) => Object.values(store.getState().holds.others).flat();

  test('know what each other’s customer holds, from opening to leaving', () => {
    const { join } = makeLine();
    const [a, b, late] = [demoStore(), demoStore(), demoStore()];
    const tabA = shareHolds(a, 'a', join());
    shareHolds(b, 'b', join());
    a.dispatch(slotHeld({ key: 'whole', hold: hold(1_000) }));
    expect(heldIn(b)).toEqual([hold(1_000)]);
    expect(heldIn(a)).toEqual([]);
    shareHolds(late, 'late', join());
    expect(heldIn(late)).toEqual([hold(1_000)]);
    tabA.leave();
    expect(heldIn(b)).toEqual([]);
    tabA.tell();
    a.dispatch(holdsEnded());
    expect(heldIn(b)).toEqual([]);
  });

  test('tell nothing of a time that is over, and take no message that is none', () => {
    const { join, shout } = makeLine();
    const [a, b] = [demoStore(), demoStore()];
    shareHolds(a, 'a', join());
    shareHolds(b, 'b', join());
    a.dispatch(slotHeld({ key: 'whole', hold: hold(1_000) }));
    a.dispatch(holdsLapsed(1_000));
    expect(heldIn(b)).toEqual([]);
    shout({ tab: 'c', holds: [{ timeId: 3 }] });
    shout('nonsense');
    expect(b.getState().holds.others).toEqual({ a: [] });
  });
});
