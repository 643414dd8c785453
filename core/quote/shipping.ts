import { taxOn } from '../duty/tax.ts';
import type { Zone } from '../model/place.ts';
import type { Choice } from '../model/quote.ts';
import type { Rate, Service } from '../model/rate.ts';
import type { TaxRate } from '../model/tax.ts';
import { limitRefusal, type Refusal } from '../price/limits.ts';
import type { HandOver } from '../time/arrival.ts';
import { chargeOf } from './charge.ts';
import type { CompiledRate, CompiledService } from './compile.ts';
import type { Circumstances } from './conditions.ts';
import { groupRefusal } from './groups.ts';
import type { Ledger } from './ledger.ts';
import { WithheldChoice } from './withheld.ts';

/** What one quote's services share. */
export interface Shipment extends Circumstances {
  taxes: readonly TaxRate[];
  handOver: HandOver | null;
}

const rateRefusal = (
  { compiled, request, basket }: Shipment,
  { rate, limits }: CompiledRate,
  service: Service,
  zone: Zone,
): Refusal | null => {
  if (!rate.active)
    return { code: 'rate-off', say: { code: 'rate-off', service: service.name, zone: zone.name } };
  const { channels } = rate;
  if (channels && (request.channel === undefined || !channels.includes(request.channel))) {
    return { code: 'channel', say: { code: 'channel', channel: request.channel ?? null, channels } };
  }
  return (
    groupRefusal(compiled.groups, basket.physical, service, zone) ??
    limitRefusal(limits, basket.travels, basket.subtotal)
  );
};

/** The days on the way, the latest as the postal list says where it does, with the store's margin. */
const transitOf = ({ compiled, reach: { postal } }: Shipment, transit: Rate['transit']): Rate['transit'] => {
  if (!transit || postal?.days === undefined) return transit;
  const max = postal.days + compiled.book.store.postalDaysMargin;
  return { min: Math.min(transit.min, max), max };
};

const addTimes = (choice: Choice, shipment: Shipment, rate: Rate): void => {
  const { compiled, handOver } = shipment;
  const transit = transitOf(shipment, rate.transit);
  if (!handOver) return;
  if (handOver.ready !== undefined) choice.ready = handOver.ready;
  if (transit && compiled.departures) choice.arrives = compiled.departures.arrival(handOver.day, transit);
};

const offered = (
  shipment: Shipment,
  { service }: CompiledService,
  { rate }: CompiledRate,
  ledger: Ledger,
  short: number | undefined,
): Choice => {
  const charge = ledger.running;
  const taxIncluded = shipment.compiled.book.store.pricesIncludeTax;
  const tax = rate.taxable ? taxOn(charge, shipment.taxes, taxIncluded) : 0;
  const choice: Choice = {
    id: rate.id,
    kind: 'shipping',
    name: service.name,
    charge,
    tax,
    taxIncluded,
    total: taxIncluded ? charge : charge + tax,
    payments: [],
    working: ledger.lines,
  };
  addTimes(choice, shipment, rate);
  if (service.note !== undefined) choice.note = service.note;
  if (short !== undefined) choice.hint = { kind: 'free-from', short };
  return choice;
};

const refused = (
  { compiled }: Shipment,
  { service }: CompiledService,
  { rate, source }: CompiledRate,
  { code, say, from = source, message }: Refusal,
): WithheldChoice => {
  const tell = rate.whenWithheld === 'tell';
  return new WithheldChoice(
    rate.id,
    'shipping',
    service.name,
    code,
    from,
    say,
    compiled.speech,
    tell,
    tell ? (message ?? rate.message) : undefined,
  );
};

const withoutRate = (shipment: Shipment, { service }: CompiledService): WithheldChoice => {
  const { stop, zone: found } = shipment.reach;
  const { speech } = shipment.compiled;
  const { id, name } = service;
  if (stop) return new WithheldChoice(id, 'shipping', name, stop.code, stop.from, stop.say, speech);
  if (!found) throw new Error('a reach without a zone has a stop');
  const { zone } = found;
  const say = {
    code: 'no-rate',
    service: name,
    zone: zone.name,
    meant: zone.without?.includes(id) === true,
  } as const;
  return new WithheldChoice(id, 'shipping', name, 'no-rate', { kind: 'zone', id: zone.id }, say, speech);
};

/** One service for one order: a choice with its charge, or why it is withheld. */
export const shipBy = (shipment: Shipment, service: CompiledService): Choice | WithheldChoice => {
  const { stop, zone } = shipment.reach;
  const rate = stop || !zone ? undefined : service.byZone.get(zone.zone.id);
  if (!rate || !zone) return withoutRate(shipment, service);
  const refusal = rateRefusal(shipment, rate, service.service, zone.zone);
  if (refusal) return refused(shipment, service, rate, refusal);
  const charged = chargeOf(rate, shipment);
  if (!charged.ok) return refused(shipment, service, rate, charged.refusal);
  return offered(shipment, service, rate, charged.ledger, charged.short);
};
