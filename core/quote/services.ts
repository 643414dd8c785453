import type { Answers } from './answers.ts';
import { shipByCarrier } from './carrier-shipping.ts';
import type { CompiledService } from './compile.ts';
import { rateRefusal } from './rate-refusal.ts';
import { withhold, type Shipment } from './shipment.ts';
import { shipByRate } from './shipping.ts';
import { WithheldChoice } from './withheld.ts';

const withoutRate = (shipment: Shipment, { service }: CompiledService): WithheldChoice => {
  const { stop, zone: found } = shipment.reach;
  const { display } = shipment.compiled;
  const { id, name } = service;
  if (stop) return new WithheldChoice(id, 'shipping', name, stop.code, stop.from, stop.say, display);
  if (!found) throw new Error('a reach without a zone has a stop');
  const { zone } = found;
  const say = {
    code: 'no-rate',
    service: name,
    zone: zone.name,
    meant: zone.without?.includes(id) === true,
  } as const;
  return new WithheldChoice(id, 'shipping', name, 'no-rate', { kind: 'zone', id: zone.id }, say, display);
};

/** One service for one order, put among the answers: its choices with their charges, or why it is withheld. */
export const shipBy = (shipment: Shipment, service: CompiledService, answers: Answers): void => {
  const { stop, zone } = shipment.reach;
  const rate = stop || !zone ? undefined : service.byZone.get(zone.zone.id);
  if (!rate || !zone) {
    answers.withheld.push(withoutRate(shipment, service));
    return;
  }
  const refusal = rateRefusal(shipment, rate, service.service, zone.zone);
  const { id, price } = rate.rate;
  if (refusal) withhold(shipment, { id, name: service.service.name, rate }, refusal, answers);
  else if (price.kind === 'carrier' && shipment.basket.chargeable.length > 0)
    shipByCarrier(shipment, service, rate, price, answers);
  else shipByRate(shipment, service, rate, answers);
};
