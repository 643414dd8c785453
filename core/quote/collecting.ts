import { limitRefusal, type Refusal } from '../basket/limits.ts';
import { taxesAt } from '../duty/tax.ts';
import { toThousandth } from '../model/measured.ts';
import { notSoldThere } from './destination.ts';
import { nearbyRefusal } from './groups.ts';
import { minimumRefusal, timesFor, type CompiledPickup } from './nearby.ts';
import { distanceFrom, fromThere, type OrderContext } from './order-context.ts';
import { withhold, type Outcome } from './outcome.ts';
import { settle } from './settle.ts';

/** A greatest distance holds off an address that is further, or of which it is not known; who gives none may collect. */
const farRefusal = (
  most: number | undefined,
  distance: number | null,
  hasAddress: boolean,
): Refusal | null => {
  if (most === undefined || !hasAddress) return null;
  if (distance === null) return { code: 'distance-unknown', say: { code: 'distance-unknown' } };
  return distance <= toThousandth(most)
    ? null
    : { code: 'too-far', say: { code: 'too-far', distance, most } };
};

const pointRefusal = (
  { compiled, place, reach: { stop, closed }, basket, groups }: OrderContext,
  { point, limits }: CompiledPickup,
  distance: number | null,
): Refusal | null => {
  const { store } = compiled.book;
  if (stop?.code === 'store-paused' && !store.pause?.keepPickup) return stop;
  if (!point.active) return { code: 'rate-off', say: { code: 'pickup-off', point: point.name } };
  if (place && closed) return notSoldThere(place);
  return (
    nearbyRefusal(groups, basket.physical, 'pickup', point) ??
    limitRefusal(limits, basket.travels, basket.subtotal) ??
    minimumRefusal(point.minSubtotal, basket.subtotal) ??
    farRefusal(point.maxDistance, distance, place !== null)
  );
};

/** What becomes of one pickup point for one order. */
export const collectAt = (order: OrderContext, pickup: CompiledPickup): Outcome => {
  const { location, times, point, way, steps, place } = pickup;
  const { compiled, request } = order;
  const distance = distanceFrom(location, request);
  const refusal = pointRefusal(order, pickup, distance);
  if (refusal) return withhold(way, refusal, compiled.display);
  const taxes = point.taxable ? taxesAt(compiled.taxes.charges, place) : [];
  return settle(fromThere(order, distance), { way, steps, taxes }, () => timesFor(times, order, point.id));
};
