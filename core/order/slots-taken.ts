import type { PastOrder } from '../model/order.ts';
import type { QuoteRequest } from '../model/request.ts';

/** The way or the point that a choice's id names: import terms after it are left off. */
export const timedId = (choiceId: string): string => choiceId.replace(/:(?:DAP|DDP)$/, '');

/** The days and slots that orders take, counted by what was chosen and when; cancelled ones take none. */
export const slotsTaken = (orders: readonly PastOrder[]): NonNullable<QuoteRequest['slotsTaken']> => {
  const counts = new Map<string, { id: string; start: string; count: number }>();
  for (const { chosen, status } of orders) {
    if (!chosen.slot || status === 'cancelled') continue;
    const id = timedId(chosen.id);
    const key = `${id} ${chosen.slot.start}`;
    const known = counts.get(key);
    if (known) known.count += 1;
    else counts.set(key, { id, start: chosen.slot.start, count: 1 });
  }
  return [...counts.values()];
};
