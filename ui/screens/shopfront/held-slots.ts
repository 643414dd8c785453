import { useEffect } from 'react';
import type { SlotDay } from '../../../core/time/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { HELD_MS, holdsLapsed, nextLapse, slotHeld } from '../../state/holds.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';

export interface HeldSlot {
  slot: TimeSlot | null;
  /** Why a time that was picked is no longer kept. */
  released: 'time' | 'taken' | null;
}

export interface HeldSlots {
  /** What is held under a key, which is what it is for, while the choice is still the same. */
  look: (key: string, choiceId: string | null, days: readonly SlotDay[]) => HeldSlot;
  pick: (key: string, choiceId: string, slot: TimeSlot) => void;
}

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
    const wait = Math.max(0, lapse - Date.now());
    const timer = setTimeout(() => dispatch(holdsLapsed(Date.now())), wait);
    return () => clearTimeout(timer);
  }, [lapse, dispatch]);
  return {
    look: (key, choiceId, days) => {
      const own = holds.mine[key];
      if (!own || own.choiceId !== choiceId) return { slot: null, released: null };
      const found = days
        .flatMap(({ slots }) => slots)
        .find(({ start, end }) => start === own.start && end === own.end);
      if (found?.left === 0) return { slot: null, released: 'taken' };
      if (own.over) return { slot: null, released: 'time' };
      return { slot: found ?? null, released: null };
    },
    pick: (key, choiceId, { start, end }) =>
      dispatch(slotHeld({ key, hold: { choiceId, start, end, until: Date.now() + HELD_MS } })),
  };
};
