import { taxOn } from '../duty/tax.ts';
import type { Choice } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { Answers } from './answers.ts';
import { chargeOf, type Charged } from './charge.ts';
import type { CompiledRate, CompiledService } from './compile.ts';
import { withhold, type Shipment, type Way } from './shipment.ts';
import { addByTerms } from './terms.ts';

/** The days on the way, the latest as the postal list says where it does, with the store's margin. */
const transitOf = ({ compiled, reach: { postal } }: Shipment, transit: Rate['transit']): Rate['transit'] => {
  if (!transit || postal?.days === undefined) return transit;
  const max = postal.days + compiled.book.store.postalSpareDays;
  return { min: Math.min(transit.min, max), max };
};

const addTimes = (choice: Choice, shipment: Shipment, days: Rate['transit']): void => {
  const { departures, handOver } = shipment;
  if (!handOver) return;
  if (handOver.ready !== undefined) choice.ready = handOver.ready;
  const transit = transitOf(shipment, days);
  if (transit && departures) choice.arrives = departures.arrival(handOver.day, transit);
};

/** The choice that a way with its charge comes to, before import charges. */
const offered = (
  shipment: Shipment,
  { id, name, service: { service }, rate: { rate }, transit, serviceCode, cost, note = service.note }: Way,
  { ledger, short }: Extract<Charged, { ok: true }>,
): Choice => {
  const charge = ledger.running;
  const taxIncluded = shipment.compiled.book.store.pricesIncludeTax;
  const tax = rate.taxable ? taxOn(charge, shipment.taxes, taxIncluded) : 0;
  const choice: Choice = {
    id,
    kind: 'shipping',
    of: serviceCode === undefined ? { rateId: rate.id } : { rateId: rate.id, serviceCode },
    name,
    charge,
    tax,
    taxIncluded,
    total: taxIncluded ? charge : charge + tax,
    payments: [],
    working: ledger.lines,
  };
  if (cost !== undefined) choice.cost = cost;
  addTimes(choice, shipment, transit);
  if (note) choice.note = note;
  if (short !== undefined) choice.hint = { kind: 'free-from', short };
  return choice;
};

/**
 * A way with what it costs put among the answers: as a choice, one for each of the terms, or withheld. Gives
 * whether it is offered.
 */
export const offer = (shipment: Shipment, way: Way, charged: Charged, answers: Answers): boolean => {
  if (!charged.ok) withhold(shipment, way, charged.refusal, answers);
  else
    addByTerms(shipment, offered(shipment, way, charged), charged.terms, answers, (id, refusal) =>
      withhold(shipment, { ...way, id }, refusal, answers),
    );
  return charged.ok;
};

/** A rate that prices by itself, for one order. */
export const shipByRate = (
  shipment: Shipment,
  service: CompiledService,
  rate: CompiledRate,
  answers: Answers,
): void => {
  const { id, transit } = rate.rate;
  const way: Way = { id, name: service.service.name, service, rate, transit };
  offer(shipment, way, chargeOf(rate, shipment), answers);
};
