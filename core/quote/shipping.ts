import type { Source } from '../model/quote.ts';
import type { Rate, Service } from '../model/rate.ts';
import type { Store } from '../model/store.ts';
import type { PriceOf } from '../price/price-kind.ts';
import type { Subject } from '../adjust/adjust.ts';
import type { ChargeStep } from './charge.ts';
import {
  adjustmentsStep,
  boundsStep,
  freeFromStep,
  goodsFeesStep,
  notBelowZeroStep,
  priceStep,
  rateHandlingStep,
  roundingSteps,
  storeHandlingSteps,
} from './charge-steps.ts';
import type { ChoiceTimes } from './choice.ts';
import type { CompiledRate } from './compile.ts';
import type { OrderContext } from './order-context.ts';
import { NONE_TOLD, type Outcome, type Way } from './outcome.ts';
import { settle } from './settle.ts';

/** What one of a carrier's services brings of its own. */
export interface OwnTerms {
  code?: string;
  freeFrom?: number | undefined;
}

const subjectOf = ({ serviceId, zoneId }: Rate, { code }: OwnTerms): Subject =>
  code === undefined
    ? { kind: 'shipping', serviceId, zoneId }
    : { kind: 'shipping', serviceId, zoneId, carrierCode: code };

/** The lower of two thresholds, where there is one. */
const lower = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined || b === undefined ? (a ?? b) : Math.min(a, b);

/** The subtotal from which a rate, or a carrier's service under it, is free; minor units. */
export const freeFromOf = (rate: Rate, own: OwnTerms = {}): number | undefined =>
  lower(rate.freeFrom, own.freeFrom);

/** The steps of a shipping charge: a charge that is made free beats a minimum, and none is below 0. */
export const shippingSteps = (store: Store, rate: Rate, price: PriceOf, own: OwnTerms = {}): ChargeStep[] => {
  const freeFrom = freeFromOf(rate, own);
  return [
    priceStep(price),
    goodsFeesStep,
    ...(rate.handling ? [rateHandlingStep(rate.handling)] : []),
    ...storeHandlingSteps(store),
    adjustmentsStep(subjectOf(rate, own)),
    ...(freeFrom === undefined ? [] : [freeFromStep(freeFrom)]),
    ...roundingSteps(store),
    ...(rate.bounds ? [boundsStep(rate.bounds)] : []),
    notBelowZeroStep,
  ];
};

/** The way of a rate. */
export const rateWay = (service: Service, rate: Rate, source: Source): Way => ({
  id: rate.id,
  kind: 'shipping',
  of: { rateId: rate.id },
  name: service.name,
  note: service.note,
  source,
  freeFrom: rate.freeFrom,
  told: rate.whenWithheld === 'tell' ? { which: 'every', message: rate.message } : NONE_TOLD,
});

const UNTAXED: readonly never[] = [];

/** The taxes on the charge of a rate. */
export const taxesOf = ({ taxes }: OrderContext, { taxable }: Rate): OrderContext['taxes'] =>
  taxable ? taxes : UNTAXED;

/** The days on the way, the latest as the postal list says where it does, with the store's margin. */
const transitOf = (
  { compiled, reach: { postal } }: OrderContext,
  transit: Rate['transit'],
): Rate['transit'] => {
  if (!transit || postal?.days === undefined) return transit;
  const max = postal.days + compiled.book.store.postalSpareDays;
  return { min: Math.min(transit.min, max), max };
};

/** When what is shipped is handed over and arrives, as far as that is known; there is always a time for it. */
export const shippingTimes = (order: OrderContext, days: Rate['transit']): { ok: true } & ChoiceTimes => {
  const { departures, handOver } = order;
  if (!handOver) return { ok: true };
  const transit = transitOf(order, days);
  const arrives = transit && departures ? departures.arrival(handOver.day, transit) : undefined;
  return { ok: true, ready: handOver.ready, arrives };
};

/** A rate that prices by itself, for one order. */
export const shipByRate = (order: OrderContext, { rate, way, steps }: CompiledRate): Outcome =>
  settle(order, { way, steps, taxes: taxesOf(order, rate) }, () => shippingTimes(order, rate.transit));
