import { useEffect, useState } from 'react';
import type { SlotDay } from '../../../core/time/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';

/** How long a time that was picked is kept while the customer finishes. */
export const HELD_MS = 15 * 60_000;

interface Held {
  choiceId: string;
  start: string;
  end: string;
  until: number;
}

export interface HeldSlot {
  slot: TimeSlot | null;
  pick: (slot: TimeSlot) => void;
  released: 'time' | 'taken' | null;
}

/**
 * The time a customer picked for a choice, kept for a quarter of an hour. One that others took meanwhile, or that was
 * kept for too long, is released, and it is said why.
 */
export const useHeldSlot = (choiceId: string | null, days: readonly SlotDay[]): HeldSlot => {
  const [held, setHeld] = useState<Held | null>(null);
  const [isOver, setOver] = useState(false);
  useEffect(() => {
    if (!held) return undefined;
    const timer = setTimeout(() => setOver(true), Math.max(0, held.until - Date.now()));
    return () => clearTimeout(timer);
  }, [held]);
  const own = held?.choiceId === choiceId ? held : null;
  const found = own
    ? days.flatMap(({ slots }) => slots).find(({ start, end }) => start === own.start && end === own.end)
    : undefined;
  const isTaken = own !== null && found?.left === 0;
  return {
    slot: own && found && !isTaken && !isOver ? found : null,
    pick: ({ start, end }) => {
      if (choiceId === null) return;
      setOver(false);
      setHeld({ choiceId, start, end, until: Date.now() + HELD_MS });
    },
    released: own === null ? null : isTaken ? 'taken' : isOver ? 'time' : null,
  };
};
