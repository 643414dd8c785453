import { limitRefusal, type Refusal } from '../basket/limits.ts';
import { metresOutside, type AreaFound } from '../place/area-index.ts';
import { nearbyRefusal } from './groups.ts';
import { minimumRefusal, timesFor, type CompiledArea, type CompiledMethod } from './nearby.ts';
import { distanceFrom, fromThere, type OrderContext } from './order-context.ts';
import { withhold, type Outcome } from './outcome.ts';
import { settle } from './settle.ts';

/** The refusal for a destination that an area does not take: outside it, or another of its location's takes it. */
const outsideRefusal = (
  { request: { destination } }: OrderContext,
  { area, location }: CompiledArea,
  found: AreaFound | undefined,
): Refusal | null => {
  if (found?.area === area) return null;
  const point = destination?.point;
  const beyond = metresOutside(area, location.address.point, point);
  const say = {
    code: 'outside-area',
    area: area.name,
    beyond: beyond !== null && beyond > 0 ? beyond : null,
    instead: found?.area.name ?? null,
    pointless: area.covers.kind !== 'postal' && beyond === null,
  } as const;
  return { code: 'outside-area', say };
};

/** Why none of an area's methods is offered, or null. */
const areaRefusal = (
  order: OrderContext,
  compiled: CompiledArea,
  found: ReadonlyMap<string, AreaFound>,
): Refusal | null => {
  const { area, limits } = compiled;
  const { stop } = order.reach;
  const { basket } = order;
  if (stop && stop.code !== 'no-zone') return stop;
  if (!area.active) return { code: 'rate-off', say: { code: 'area-off', area: area.name } };
  return (
    outsideRefusal(order, compiled, found.get(area.locationId)) ??
    nearbyRefusal(order.groups, basket.physical, 'delivery', area) ??
    limitRefusal(limits, basket.travels, basket.subtotal)
  );
};

const methodRefusal = (
  { basket }: OrderContext,
  { area }: CompiledArea,
  { limits }: CompiledMethod,
): Refusal | null =>
  limitRefusal(limits, basket.travels, basket.subtotal) ?? minimumRefusal(area.minSubtotal, basket.subtotal);

const UNTAXED: readonly never[] = [];

/** What becomes of the methods of one delivery area for one order; `found` is the area that takes it, by location. */
export const deliverBy = (
  order: OrderContext,
  compiled: CompiledArea,
  found: ReadonlyMap<string, AreaFound>,
): Outcome[] => {
  const { area, location, methods } = compiled;
  const ofArea = areaRefusal(order, compiled, found);
  const there = ofArea ? order : fromThere(order, distanceFrom(location, order.request));
  const taxes = area.taxable ? order.taxes : UNTAXED;
  return methods.map((one) => {
    const { way, steps, times } = one;
    const refusal = ofArea ?? methodRefusal(order, compiled, one);
    if (refusal) return withhold(way, refusal, order.compiled.display);
    return settle(there, { way, steps, taxes }, () => timesFor(times, order, one.id));
  });
};
