import type { CarrierPrice } from '../model/price.ts';
import type { Source } from '../model/quote.ts';
import { Parcels } from '../pack/parcels.ts';
import { pointsOf } from '../price/rounding.ts';
import { unknownRefusal, type Refusal } from '../price/limits.ts';
import type { CompiledAccount } from './account.ts';
import type { Answers } from './answers.ts';
import { distanceFrom } from './order-context.ts';
import { carrierOutcome, type CarrierOffer, type CarrierOutcome } from './carrier-offers.ts';
import { chargeBy } from './charge.ts';
import type { CompiledRate, CompiledService } from './compile.ts';
import type { Ledger } from './ledger.ts';
import { withhold, type Shipment, type Way } from './shipment.ts';
import { offer } from './shipping.ts';

type FallbackOutcome = Extract<CarrierOutcome, { kind: 'fallback' }>;

/** The shipment as it leaves from the account's location, in the parcels that the carrier is asked about. */
const leavingFrom = (
  shipment: Shipment,
  { location, departures }: CompiledAccount,
  parcels: Parcels,
): Shipment => ({
  ...shipment,
  parcels,
  distance: distanceFrom(location, shipment.request),
  departures,
  handOver: departures.handOver(shipment.request.placedAt),
});

/** The carrier's price and the merchant's changes to it, a line each. */
const addOffer = (
  ledger: Ledger,
  { service, answered, price }: CarrierOffer,
  account: CompiledAccount,
  rate: Source,
): void => {
  const { amount, name } = answered;
  const {
    account: { name: accountName, mode },
    source,
  } = account;
  const sandbox = mode === 'sandbox';
  ledger.add('price', amount, source, {
    code: 'carrier-price',
    account: accountName,
    service: name,
    amount,
    sandbox,
  });
  const { override, change } = service;
  if (override !== undefined) {
    ledger.add('price', override - amount, rate, {
      code: 'carrier-override',
      asked: amount,
      amount: override,
    });
    return;
  }
  const points = change?.points ?? 0;
  const share = pointsOf(amount, points);
  if (points !== 0) ledger.add('price', share, rate, { code: 'carrier-points', points, of: amount });
  const more = change?.amount ?? 0;
  if (more !== 0) ledger.add('price', more, rate, { code: 'carrier-amount', amount: more });
  if (ledger.running !== price) ledger.add('price', price - ledger.running, rate, { code: 'not-below-zero' });
};

const addFallback = (
  ledger: Ledger,
  { fallback: { amount, per }, why }: FallbackOutcome,
  parcels: Parcels,
  { account }: CompiledAccount,
  rate: Source,
): Refusal | null => {
  const count = per === 'parcel' ? parcels.count() : 1;
  if (typeof count !== 'number') return count;
  ledger.add('price', amount * count, rate, {
    code: 'fallback',
    why,
    account: account.name,
    amount,
    per,
    count,
  });
  return null;
};

/** What keeps the parcels from being stated to a carrier, or null. */
const parcelRefusal = ({ basket }: Shipment, parcels: Parcels): Refusal | null => {
  const { weight } = basket.charged;
  return weight.unknown.length > 0 ? unknownRefusal('weight', weight) : parcels.refusal();
};

/** One carrier's services under a rate, with what they need. */
class CarrierRun {
  constructor(
    private readonly shipment: Shipment,
    private readonly service: CompiledService,
    private readonly rate: CompiledRate,
    private readonly account: CompiledAccount,
    private readonly answers: Answers,
  ) {}

  private way(part: Partial<Way> = {}): Way {
    const { id, transit } = this.rate.rate;
    const { service, rate } = this;
    return { id, name: service.service.name, service, rate, transit, ...part };
  }

  refused(refusal: Refusal): void {
    const from = refusal.from ?? this.account.source;
    withhold(this.shipment, this.way(), { ...refusal, from }, this.answers);
  }

  fallback(outcome: FallbackOutcome): void {
    const { label, note } = outcome.fallback;
    const way = this.way({
      ...(label === undefined ? {} : { name: label, note: null }),
      ...(note === undefined ? {} : { note }),
    });
    const price = (ledger: Ledger): Refusal | null =>
      addFallback(ledger, outcome, this.shipment.parcels, this.account, this.rate.source);
    const isOffered = offer(this.shipment, way, chargeBy(this.rate, this.shipment, price), this.answers);
    if (isOffered) this.answers.fallbacks.push(way.name);
  }

  offers({ offers, missing }: Extract<CarrierOutcome, { kind: 'offers' }>): void {
    const { id } = this.rate.rate;
    for (const one of offers) this.offer(one);
    for (const { code, label = code } of missing) {
      const say = { code: 'carrier-none', account: this.account.account.name, services: [label] } as const;
      const way = this.way({ id: `${id}:${code}`, name: label });
      withhold(this.shipment, way, { code: 'carrier-none', say, from: this.account.source }, this.answers);
    }
  }

  private offer(one: CarrierOffer): void {
    const { rate, account } = this;
    const { code, label, freeFrom } = one.service;
    const { name, amount } = one.answered;
    const way = this.way({
      id: `${rate.rate.id}:${code}`,
      serviceCode: code,
      name: label ?? name,
      transit: one.days ?? rate.rate.transit,
      cost: amount,
    });
    const price = (ledger: Ledger): null => {
      addOffer(ledger, one, account, rate.source);
      return null;
    };
    const charged = chargeBy(rate, this.shipment, price, { code, freeFrom });
    const isOffered = offer(this.shipment, way, charged, this.answers);
    if (isOffered && account.account.mode === 'sandbox') this.answers.sandboxes.add(account.account.name);
  }
}

/** A rate that a carrier prices: a choice for each service offered, the fallback, or why nothing is. */
export const shipByCarrier = (
  shipment: Shipment,
  service: CompiledService,
  rate: CompiledRate,
  price: CarrierPrice,
  answers: Answers,
): void => {
  const { compiled, basket } = shipment;
  const account = compiled.accounts.get(price.accountId);
  if (!account) throw new Error(`the account ${price.accountId} was not missed by the reader`);
  const parcels = new Parcels(account.packing, basket.chargeable, compiled.book.store.defaultWeight);
  const run = new CarrierRun(leavingFrom(shipment, account, parcels), service, rate, account, answers);
  const unstated = parcelRefusal(shipment, parcels);
  if (unstated) {
    run.refused(unstated);
    return;
  }
  const outcome = carrierOutcome(
    price,
    account.account.name,
    shipment.answers.get(price.accountId),
    rate.rate.transit,
  );
  if (outcome.kind === 'refused') run.refused(outcome.refusal);
  else if (outcome.kind === 'fallback') run.fallback(outcome);
  else run.offers(outcome);
};
