import type { Choice, ChoiceParts } from '../model/quote.ts';
import { areasAt, bestAreas } from '../place/area-index.ts';
import { taxOn } from '../duty/tax.ts';
import { chargeOf } from './charge.ts';
import { collectAt } from './collecting.ts';
import { deliverBy } from './delivering.ts';
import type { OrderContext } from './order-context.ts';
import type { Outcome } from './outcome.ts';
import { shipBy } from './services.ts';
import { taxesOf } from './shipping.ts';
import type { CompiledService } from './compile.ts';

/** The service and the rate of it in the order's zone by the rate's id. */
const serviceOfRate = ({ compiled, reach }: OrderContext, rateId: string): CompiledService | undefined => {
  const zoneId = reach.zone?.zone.id ?? '';
  return compiled.services.find((one) => one.byZone.get(zoneId)?.rate.id === rateId);
};

/** What becomes of one rate for an order; nothing where the order's zone has not that rate. */
const byRate = (order: OrderContext, rateId: string): readonly Outcome[] => {
  const service = serviceOfRate(order, rateId);
  return service ? shipBy(order, service) : [];
};

/**
 * What a rate that is known to be offered charges, without the tax in it; minor units. Null where a carrier prices it,
 * where the order's zone has it not, or where no charge can be said. Neither refusals nor times are looked at.
 */
export const chargeOfOffered = (order: OrderContext, rateId: string): number | null => {
  const { compiled, reach, basket } = order;
  const rate = serviceOfRate(order, rateId)?.byZone.get(reach.zone?.zone.id ?? '');
  if (!rate || (rate.rate.price.kind === 'carrier' && basket.chargeable.length > 0)) return null;
  const charged = chargeOf(rate.steps, order);
  if (!charged.ok) return null;
  const included = compiled.book.store.pricesIncludeTax;
  return charged.charge - (included ? taxOn(charged.charge, taxesOf(order, rate.rate), true) : 0);
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
