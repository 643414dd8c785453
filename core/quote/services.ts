import { shipByCarrier } from './carrier-shipping.ts';
import type { CompiledService } from './compile.ts';
import type { OrderContext } from './order-context.ts';
import { NONE_TOLD, withhold, type Outcome } from './outcome.ts';
import { rateRefusal } from './rate-refusal.ts';
import { shipByRate } from './shipping.ts';

/** A service that has no rate for an order: nothing ships there, or not by this service. */
const withoutRate = ({ compiled, reach }: OrderContext, { service, source }: CompiledService): Outcome => {
  const { id, name } = service;
  const way = { id, kind: 'shipping', name, source, told: NONE_TOLD } as const;
  const { stop, zone: found } = reach;
  if (stop) return withhold(way, stop, compiled.display);
  if (!found) throw new Error('no zone, and no stop');
  const { zone } = found;
  const meant = zone.without?.includes(id) === true;
  const say = { code: 'no-rate', service: name, zone: zone.name, meant } as const;
  return withhold(way, { code: 'no-rate', say, from: { kind: 'zone', id: zone.id } }, compiled.display);
};

/** What becomes of one service for one order: its choices with their charges, or why it is withheld. */
export const shipBy = (order: OrderContext, service: CompiledService): readonly Outcome[] => {
  const { stop, zone } = order.reach;
  const rate = stop || !zone ? undefined : service.byZone.get(zone.zone.id);
  if (!rate || !zone) return [withoutRate(order, service)];
  const refusal = rateRefusal(order, rate, service.service, zone.zone);
  if (refusal) return [withhold(rate.way, refusal, order.compiled.display)];
  const { price } = rate.rate;
  return price.kind === 'carrier' && order.basket.chargeable.length > 0
    ? shipByCarrier(order, rate, price)
    : [shipByRate(order, rate)];
};
