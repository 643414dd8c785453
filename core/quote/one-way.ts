import type { Choice, ChoiceParts } from '../model/quote.ts';
import { areasAt, bestAreas } from '../place/area-index.ts';
import { collectAt } from './collecting.ts';
import { deliverBy } from './delivering.ts';
import type { OrderContext } from './order-context.ts';
import type { Outcome } from './outcome.ts';
import { shipBy } from './services.ts';

/** What becomes of one rate for an order; nothing where the order's zone has not that rate. */
const byRate = (order: OrderContext, rateId: string): readonly Outcome[] => {
  const zoneId = order.reach.zone?.zone.id ?? '';
  const service = order.compiled.services.find((one) => one.byZone.get(zoneId)?.rate.id === rateId);
  return service ? shipBy(order, service) : [];
};

const byArea = (order: OrderContext, areaId: string): readonly Outcome[] => {
  const { compiled, place, request } = order;
  const area = compiled.areas.find((one) => one.area.id === areaId);
  if (!area || !place) return [];
  return deliverBy(order, area, bestAreas(areasAt(compiled.areaIndex, place, request.destination?.point)));
};

const byPickup = (order: OrderContext, pickupId: string): readonly Outcome[] => {
  const pickup = order.compiled.pickups.find((one) => one.point.id === pickupId);
  return pickup ? [collectAt(order, pickup)] : [];
};

/**
 * The choices that one rate, delivery area or pickup point gives an order that has been measured: those of the whole
 * quote, without working out the others. None where it is withheld or gone.
 */
export const choicesOfOneWay = (
  order: OrderContext,
  { rateId, areaId, pickupId }: ChoiceParts,
): readonly Choice[] => {
  const outcomes =
    rateId !== undefined
      ? byRate(order, rateId)
      : areaId !== undefined
        ? byArea(order, areaId)
        : pickupId !== undefined
          ? byPickup(order, pickupId)
          : [];
  const [first] = outcomes;
  return first && outcomes.length === 1 ? first.choices : outcomes.flatMap(({ choices }) => choices);
};
