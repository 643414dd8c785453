import { useEffect } from 'react';
import type { SlotDay } from '../../../core/quote/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { HELD_MS, holdsLapsed, nextLapse, slotHeld, type HoldsState } from '../../state/holds.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { epochNow } from '../../time/now.ts';

export interface HeldSlot {
  slot: TimeSlot | null;
  /** The moment as of which the order is worked out, so that no minute that passes takes the time away. */
  asOf: string | null;
  /** Why a time that was picked is no longer kept. */
  released: 'time' | 'taken' | null;
}

const NOTHING_HELD: HeldSlot = { slot: null, asOf: null, released: null };

export interface HeldSlots {
  /** What is held under a key, which is what it is for, while the choice is still the same. */
  look: (key: string, timeId: string | null, days: readonly SlotDay[]) => HeldSlot;
  /** Holds a time that was to be had as of a moment. */
  pick: (key: string, timeId: string, slot: TimeSlot, asOf: string) => void;
}

/** The key of a time for the whole basket. */
export const WHOLE = 'whole';

/**
 * The moment as of which a checkout is worked out: now, or, while a time is held for the choice that is wanted or for
 * a part, the moment at which that was to be had.
 */
export const checkoutMoment = (mine: HoldsState['mine'], wanted: string | null, now: string): string => {
  const held = Object.entries(mine)
    .filter(([key, { over, timeId }]) => !over && (key !== WHOLE || wanted === null || wanted === timeId))
    .map(([, { asOf }]) => asOf);
  return [...held, now].sort()[0] ?? now;
};

/**
 * The times a customer picked, kept for a quarter of an hour and for no one else meanwhile. One that others took
 * all the same, or that was kept for too long, is released, and it is said why.
 */
export const useHeldSlots = (): HeldSlots => {
  const dispatch = useAppDispatch();
  const holds = useAppSelector((state) => state.holds);
  const lapse = nextLapse(holds);
  useEffect(() => {
    if (lapse === null) return undefined;
    const wait = Math.max(0, lapse - epochNow());
    const timer = setTimeout(() => dispatch(holdsLapsed(epochNow())), wait);
    return () => clearTimeout(timer);
  }, [lapse, dispatch]);
  return {
    look: (key, timeId, days) => {
      const own = holds.mine[key];
      if (!own || own.timeId !== timeId) return NOTHING_HELD;
      const found = days
        .flatMap(({ slots }) => slots)
        .find(({ start, end }) => start === own.start && end === own.end);
      if (found?.left === 0) return { ...NOTHING_HELD, released: 'taken' };
      if (own.over) return { ...NOTHING_HELD, released: 'time' };
      return { slot: found ?? { start: own.start, end: own.end }, asOf: own.asOf, released: null };
    },
    pick: (key, timeId, { start, end }, asOf) =>
      dispatch(slotHeld({ key, hold: { timeId, start, end, asOf, until: Date.parse(asOf) + HELD_MS } })),
  };
};
