import type { ChoiceKind } from '../model/adjustment.ts';
import type { PastOrder } from '../model/order.ts';
import type { ChoiceParts } from '../model/quote.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { reachOf } from '../quote/destination.ts';

interface Way {
  id: string;
  kind: ChoiceKind;
  of: ChoiceParts;
}

const isNamed =
  (text: string) =>
  ({ name, id }: { name: string; id: string }): boolean =>
    name.toLowerCase() === text || id === text;

/** The way of the book that a name says, for an order's place: a service's rate there, a delivery area, a pickup point. */
const wayNamed = (compiled: CompiledBook, order: PastOrder, name: string): Way | null => {
  const { book } = compiled;
  const wanted = isNamed(name.trim().toLowerCase());
  const service = book.services.find(wanted);
  const zoneId = reachOf(compiled, order.request).zone?.zone.id;
  const rate = book.rates.find((one) => one.serviceId === service?.id && one.zoneId === zoneId);
  if (rate) return { id: rate.id, kind: 'shipping', of: { rateId: rate.id } };
  const area = book.areas.find(wanted);
  const [method] = area?.methods ?? [];
  if (area && method)
    return { id: `${area.id}:${method.id}`, kind: 'delivery', of: { areaId: area.id, methodId: method.id } };
  const point = book.pickups.find(wanted);
  return point ? { id: point.id, kind: 'pickup', of: { pickupId: point.id } } : null;
};

/**
 * A past order from elsewhere with the choice of this book that it stands for: by the name it has, else by the service
 * that is taken for all others; as it is where the book has none. What was charged stays.
 */
export const withPastChoice = (
  compiled: CompiledBook,
  order: PastOrder,
  otherwise: string | null,
): PastOrder => {
  const { chosen } = order;
  const way =
    wayNamed(compiled, order, chosen.name) ??
    (otherwise === null ? null : wayNamed(compiled, order, otherwise));
  return way ? { ...order, chosen: { ...chosen, ...way } } : order;
};
