import type { Choice, ChoiceParts } from '../model/quote.ts';
import { areasAt, bestAreas } from '../place/area-index.ts';
import { taxOn } from '../duty/tax.ts';
import { carrierCharge } from './carrier-shipping.ts';
import { amountOf } from './charge.ts';
import { collectAt } from './collecting.ts';
import { deliverBy } from './delivering.ts';
import type { OrderContext } from './order-context.ts';
import { isPriced, type Outcome } from './outcome.ts';
import { shipBy } from './services.ts';
import { taxesOf } from './shipping.ts';
import type { CompiledRate, CompiledService } from './compile.ts';

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

/** What a rate charges, by the carrier's service where one prices it; null where that cannot be said. */
const grossCharge = (
  order: OrderContext,
  rate: CompiledRate,
  serviceCode: string | undefined,
): number | null => {
  const { price } = rate.rate;
  if (price.kind !== 'carrier' || order.basket.chargeable.length === 0)
    return amountOf(rate.steps, order, rate.source);
  return serviceCode === undefined ? null : carrierCharge(order, rate, price, serviceCode);
};

/**
 * What a rate, or a carrier's service under it, that is known to be offered charges, without the tax in it; minor units.
 * Null where the order's zone has it not, where the fallback stands in for the carrier, or where no charge can be said.
 * Neither refusals nor times are looked at.
 */
export const chargeOfOffered = (
  order: OrderContext,
  rateId: string,
  serviceCode: string | undefined,
): number | null => {
  const { compiled, reach } = order;
  const rate = serviceOfRate(order, rateId)?.byZone.get(reach.zone?.zone.id ?? '');
  const charge = rate ? grossCharge(order, rate, serviceCode) : null;
  if (!rate || charge === null) return null;
  const included = compiled.book.store.pricesIncludeTax;
  return charge - (included ? taxOn(charge, taxesOf(order, rate.rate), true) : 0);
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
  return outcomes.flatMap((outcome) => (isPriced(outcome) ? outcome.choices : []));
};
