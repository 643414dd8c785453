import type { ChoiceParts } from '../model/quote.ts';
import { timedId } from '../time/slots-taken.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from './compile.ts';
import { indexBooked } from '../time/booked.ts';
import type { TimeSlot } from '../time/times.ts';

/** A day that can be chosen, with its times; those that are full have none left. */
export interface SlotDay {
  date: string;
  slots: TimeSlot[];
}

/** The days of a choice that has times to choose, in order; none for one that has not. */
export const slotDays = (
  { areas, pickups }: CompiledBook,
  of: ChoiceParts,
  { placedAt, slotsTaken }: Pick<QuoteRequest, 'placedAt' | 'slotsTaken'>,
): SlotDay[] => {
  const id = timedId(of);
  const times =
    pickups.find(({ point }) => point.id === id)?.times ??
    areas.flatMap(({ methods }) => methods).find((method) => method.id === id)?.times;
  const taken = slotsTaken ? (indexBooked(slotsTaken).get(id) ?? null) : null;
  const days: SlotDay[] = [];
  for (const slot of times?.all(placedAt, taken) ?? []) {
    const date = slot.start.slice(0, 10);
    const last = days.at(-1);
    if (last?.date === date) last.slots.push(slot);
    else days.push({ date, slots: [slot] });
  }
  return days;
};
