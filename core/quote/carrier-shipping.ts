import type { CarrierPrice } from '../model/price.ts';
import { unknownRefusal, type Refusal } from '../basket/limits.ts';
import type { Parcels } from '../pack/parcels.ts';
import { oneEntry, refused } from '../price/entries.ts';
import type { Entry, PriceOf } from '../price/price-kind.ts';
import { pointsOf } from '../price/rounding.ts';
import type { CompiledAccount } from './account.ts';
import { amountOf, type ChargeStep } from './charge.ts';
import { carrierOutcome, type CarrierOffer, type CarrierOutcome } from './carrier-offers.ts';
import type { CompiledRate } from './compile.ts';
import { distanceFrom, type OrderContext } from './order-context.ts';
import { isPriced, remarking, withhold, type Outcome, type Way } from './outcome.ts';
import { settle } from './settle.ts';
import { priceStep } from './charge-steps.ts';
import { freeFromOf, shippingSteps, shippingTimes, taxesOf } from './shipping.ts';

type FallbackOutcome = Extract<CarrierOutcome, { kind: 'fallback' }>;

/** One carrier's services under a rate, for an order that leaves from the account's location in its parcels. */
interface CarrierRun {
  order: OrderContext;
  rate: CompiledRate;
  account: CompiledAccount;
}

/** The order as it is measured from the account's location, in the parcels that the carrier is asked about. */
const measuredFrom = (
  order: OrderContext,
  { location }: CompiledAccount,
  parcels: Parcels,
): OrderContext => ({ ...order, parcels, distance: distanceFrom(location, order.request) });

/** The same order as it leaves from there. */
const leavingFrom = (order: OrderContext, account: CompiledAccount, parcels: Parcels): OrderContext => ({
  ...order,
  parcels,
  distance: distanceFrom(account.location, order.request),
  departures: account.departures,
  handOver: account.departures.handOver(order.request.placedAt),
});

/** The carrier's price and the merchant's changes to it, a line each. */
const offeredPrice =
  (
    { service, answered, price }: CarrierOffer,
    { account: { name: account, mode }, source }: CompiledAccount,
  ): PriceOf =>
  (_, rate) => {
    const { amount, name } = answered;
    const sandbox = mode === 'sandbox';
    const entries: Entry[] = [
      {
        change: amount,
        from: source,
        say: { code: 'carrier-price', account, service: name, amount, sandbox },
      },
    ];
    const { override, change } = service;
    if (override !== undefined) {
      const say = { code: 'carrier-override', asked: amount, amount: override } as const;
      return { ok: true, entries: [...entries, { change: override - amount, from: rate, say }] };
    }
    const points = change?.points ?? 0;
    const share = pointsOf(amount, points);
    const more = change?.amount ?? 0;
    const sum = amount + (points === 0 ? 0 : share) + more;
    if (points !== 0)
      entries.push({ change: share, from: rate, say: { code: 'carrier-points', points, of: amount } });
    if (more !== 0) entries.push({ change: more, from: rate, say: { code: 'carrier-amount', amount: more } });
    if (sum !== price) entries.push({ change: price - sum, from: rate, say: { code: 'not-below-zero' } });
    return { ok: true, entries };
  };

const fallbackPrice =
  ({ fallback: { amount, per }, why }: FallbackOutcome, { account }: CompiledAccount): PriceOf =>
  ({ parcels }, rate) => {
    const count = per === 'parcel' ? parcels.count() : 1;
    if (typeof count !== 'number') return refused(count);
    return oneEntry(amount * count, rate, {
      code: 'fallback',
      why,
      account: account.name,
      amount,
      per,
      count,
    });
  };

/** What keeps the parcels from being stated to a carrier, or null. */
const parcelRefusal = ({ basket }: OrderContext, parcels: Parcels): Refusal | null => {
  const { weight } = basket.charged;
  return weight.unknown.length > 0 ? unknownRefusal('weight', weight) : parcels.refusal();
};

const refusedBy = ({ order, rate, account }: CarrierRun, refusal: Refusal): Outcome =>
  withhold(rate.way, { ...refusal, from: refusal.from ?? account.source }, order.compiled.display);

/** The way of a fallback: one with a name of its own has its own note only. */
const fallbackWay = (way: Way, { label, note }: FallbackOutcome['fallback']): Way => {
  if (label !== undefined) return { ...way, name: label, note };
  return note === undefined ? way : { ...way, note };
};

/** The fallback in place of the carrier's services. */
const byFallback = ({ order, rate, account }: CarrierRun, found: FallbackOutcome): Outcome => {
  const way = fallbackWay(rate.way, found.fallback);
  // The price comes first; all steps after it are those of the rate.
  const steps = rate.steps.with(0, priceStep(fallbackPrice(found, account)));
  const taxes = taxesOf(order, rate.rate);
  const outcome = settle(order, { way, steps, taxes }, () => shippingTimes(order, rate.rate.transit));
  return isPriced(outcome) ? remarking(outcome, { fallback: way.name }) : outcome;
};

const offerSteps = ({ order, rate, account }: CarrierRun, offer: CarrierOffer): ChargeStep[] => {
  const { code, freeFrom } = offer.service;
  const { store } = order.compiled.book;
  return shippingSteps(store, rate.rate, offeredPrice(offer, account), { code, freeFrom });
};

const byOffer = (run: CarrierRun, offer: CarrierOffer): Outcome => {
  const { order, rate, account } = run;
  const { code, label, freeFrom } = offer.service;
  const { name, amount } = offer.answered;
  const { id, transit } = rate.rate;
  const way: Way = {
    ...rate.way,
    id: `${id}:${code}`,
    of: { rateId: id, serviceCode: code },
    name: label ?? name,
    cost: amount,
    freeFrom: freeFromOf(rate.rate, { code, freeFrom }),
  };
  const steps = offerSteps(run, offer);
  const taxes = taxesOf(order, rate.rate);
  const outcome = settle(order, { way, steps, taxes }, () => shippingTimes(order, offer.days ?? transit));
  return account.account.mode === 'sandbox' && isPriced(outcome)
    ? remarking(outcome, { sandbox: account.account.name })
    : outcome;
};

/** A service that the merchant offers and the carrier does not. */
const missing = (
  { order, rate, account }: CarrierRun,
  { code, label = code }: CarrierPrice['services'][number],
): Outcome => {
  const way: Way = { ...rate.way, id: `${rate.rate.id}:${code}`, name: label };
  const say = { code: 'carrier-none', account: account.account.name, services: [label] } as const;
  return withhold(way, { code: 'carrier-none', say, from: account.source }, order.compiled.display);
};

const accountOf = ({ compiled }: OrderContext, { accountId }: CarrierPrice): CompiledAccount => {
  const account = compiled.accounts.get(accountId);
  if (!account) throw new Error(`the account ${accountId} is not there`);
  return account;
};

const outcomeOf = ({ order, rate, account }: CarrierRun, price: CarrierPrice): CarrierOutcome =>
  carrierOutcome(price, account.account.name, order.answers.get(price.accountId), rate.rate.transit);

/**
 * What a carrier's service that is known to be offered charges under a rate; minor units. Null where the carrier's
 * answer does not hold it, or it is not among those shown.
 */
export const carrierCharge = (
  order: OrderContext,
  rate: CompiledRate,
  price: CarrierPrice,
  serviceCode: string,
): number | null => {
  const account = accountOf(order, price);
  const run = { order: measuredFrom(order, account, order.carrierParcels(account)), rate, account };
  const found = outcomeOf(run, price);
  const offer =
    found.kind === 'offers' ? found.offers.find(({ service }) => service.code === serviceCode) : undefined;
  return offer ? amountOf(offerSteps(run, offer), run.order, rate.source) : null;
};

/** A rate that a carrier prices: an outcome for each service offered, the fallback's, or why nothing is. */
export const shipByCarrier = (order: OrderContext, rate: CompiledRate, price: CarrierPrice): Outcome[] => {
  const account = accountOf(order, price);
  const parcels = order.carrierParcels(account);
  const run: CarrierRun = { order: leavingFrom(order, account, parcels), rate, account };
  const unstated = parcelRefusal(order, parcels);
  if (unstated) return [refusedBy(run, unstated)];
  const found = outcomeOf(run, price);
  if (found.kind === 'refused') return [refusedBy(run, found.refusal)];
  if (found.kind === 'fallback') return [byFallback(run, found)];
  return [
    ...found.offers.map((offer) => byOffer(run, offer)),
    ...found.missing.map((one) => missing(run, one)),
  ];
};
