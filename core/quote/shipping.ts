import { taxOn } from '../duty/tax.ts';
import type { Choice } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { TaxRate } from '../model/tax.ts';
import { limitRefusal, type Refusal } from '../price/limits.ts';
import type { HandOver } from '../time/arrival.ts';
import type { Basket } from './basket.ts';
import { chargeOf } from './charge.ts';
import type { CompiledBook, CompiledRate, CompiledService } from './compile.ts';
import type { Ledger } from './ledger.ts';
import type { Reach } from './reach.ts';
import { WithheldChoice } from './withheld.ts';

/** What one quote's services share. */
export interface Shipment {
  compiled: CompiledBook;
  request: QuoteRequest;
  basket: Basket;
  reach: Reach;
  taxes: readonly TaxRate[];
  handOver: HandOver | null;
}

const rateRefusal = ({ request, basket, reach }: Shipment, { rate }: CompiledRate, service: string): Refusal | null => {
  const zone = reach.zone?.zone.name ?? '';
  if (!rate.active) return { code: 'rate-off', say: { code: 'rate-off', service, zone } };
  const { channels } = rate;
  if (channels && (request.channel === undefined || !channels.includes(request.channel))) {
    return { code: 'channel', say: { code: 'channel', channel: request.channel ?? null, channels } };
  }
  return limitRefusal(rate.limits, basket.travels, basket.subtotal);
};

const timesOf = ({ compiled, handOver }: Shipment, { rate }: CompiledRate): Pick<Choice, 'ready' | 'arrives'> => {
  if (!handOver) return {};
  const times: Pick<Choice, 'ready' | 'arrives'> = {};
  if (handOver.ready !== undefined) times.ready = handOver.ready;
  if (rate.transit && compiled.departures) times.arrives = compiled.departures.arrival(handOver.day, rate.transit);
  return times;
};

const offered = (
  shipment: Shipment,
  { service }: CompiledService,
  compiledRate: CompiledRate,
  ledger: Ledger,
  short: number | undefined,
): Choice => {
  const { rate } = compiledRate;
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
    ...timesOf(shipment, compiledRate),
  };
  if (service.note !== undefined) choice.note = service.note;
  if (short !== undefined) choice.hint = { kind: 'free-from', short };
  return choice;
};

const refused = (
  { compiled }: Shipment,
  { service }: CompiledService,
  { rate }: CompiledRate,
  { code, say, good }: Refusal,
): WithheldChoice => {
  const tell = rate.whenWithheld === 'tell';
  const from = good === undefined ? ({ kind: 'rate', id: rate.id } as const) : ({ kind: 'good', id: good } as const);
  const about = { id: rate.id, kind: 'shipping', name: service.name, code, say, tell, from } as const;
  return new WithheldChoice(tell && rate.message ? { ...about, message: rate.message } : about, compiled.speech);
};

const withoutRate = (shipment: Shipment, { service }: CompiledService): WithheldChoice => {
  const { stop, zone: found } = shipment.reach;
  const { speech } = shipment.compiled;
  const about = { id: service.id, kind: 'shipping', name: service.name, tell: false } as const;
  if (stop) return new WithheldChoice({ ...about, code: stop.code, say: stop.say, from: stop.from }, speech);
  if (!found) throw new Error('a reach without a zone has a stop');
  const { zone } = found;
  const say = { code: 'no-rate', service: service.name, zone: zone.name, meant: Boolean(zone.without?.includes(service.id)) } as const;
  return new WithheldChoice({ ...about, code: 'no-rate', say, from: { kind: 'zone', id: zone.id } }, speech);
};

/** One service for one order: a choice with its charge, or why it is withheld. */
export const shipBy = (shipment: Shipment, service: CompiledService): Choice | WithheldChoice => {
  const { stop, zone } = shipment.reach;
  const rate = stop || !zone ? undefined : service.byZone.get(zone.zone.id);
  if (!rate) return withoutRate(shipment, service);
  const refusal = rateRefusal(shipment, rate, service.service.name);
  if (refusal) return refused(shipment, service, rate, refusal);
  const charged = chargeOf(shipment.compiled, rate, shipment.basket);
  if (!charged.ok) return refused(shipment, service, rate, charged.refusal);
  return offered(shipment, service, rate, charged.ledger, charged.short);
};
