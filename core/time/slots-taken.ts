import type { PastOrder } from '../model/order.ts';
import type { ChoiceParts } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';

/** What a choice's times are counted under: its delivery method as 'area:method', or its pickup point; '' for others. */
export const timedId = ({ areaId, methodId, pickupId }: ChoiceParts): string =>
  areaId === undefined ? (pickupId ?? '') : `${areaId}:${methodId ?? ''}`;

/** The days and slots that orders take, counted by what was chosen and when; cancelled ones take none. */
export const slotsTaken = (orders: readonly PastOrder[]): NonNullable<QuoteRequest['slotsTaken']> => {
  const counts = new Map<string, { id: string; start: string; count: number }>();
  for (const { chosen, status } of orders) {
    if (!chosen.slot || status === 'cancelled') continue;
    const id = timedId(chosen.of ?? {});
    const key = `${id} ${chosen.slot.start}`;
    const known = counts.get(key);
    if (known) known.count += 1;
    else counts.set(key, { id, start: chosen.slot.start, count: 1 });
  }
  return [...counts.values()];
};
