import type { AnsweredService, CarrierAnswer } from '../model/carrier.ts';
import type { CarrierPrice, CarrierService, Fallback } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import type { Refusal } from '../basket/limits.ts';
import { pointsOf } from '../price/rounding.ts';

/** A service that the merchant offers and the carrier does, and its price after the merchant's changes. */
export interface CarrierOffer {
  service: CarrierService;
  answered: AnsweredService;
  price: number;
  /** Its own working days, else the carrier's, else the rate's. */
  days: Rate['transit'];
}

/** What a carrier's answer comes to for one rate. */
export type CarrierOutcome =
  | { kind: 'offers'; offers: readonly CarrierOffer[]; missing: readonly CarrierService[] }
  | { kind: 'fallback'; why: 'error' | 'none'; fallback: Fallback }
  | { kind: 'refused'; refusal: Refusal };

/** The carrier's price after the merchant's changes: set by `override`, else points, then an amount; not below 0. */
export const changedPrice = (
  { override, change }: Pick<CarrierService, 'override' | 'change'>,
  amount: number,
): number => override ?? Math.max(0, amount + pointsOf(amount, change?.points ?? 0) + (change?.amount ?? 0));

const UNKNOWN = Number.POSITIVE_INFINITY;
const byDays = ({ days: a }: CarrierOffer, { days: b }: CarrierOffer): number => {
  const latest = compare(a?.max ?? UNKNOWN, b?.max ?? UNKNOWN);
  return latest === 0 ? compare(a?.min ?? UNKNOWN, b?.min ?? UNKNOWN) : latest;
};
const compare = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);
const byPrice = (a: CarrierOffer, b: CarrierOffer): number => a.price - b.price;

/** Those shown: all, the cheapest (of equals the faster), or the fastest (of equals the cheaper); else the one listed first. */
const shown = (offers: readonly CarrierOffer[], show: CarrierPrice['show']): readonly CarrierOffer[] => {
  if (show === 'all' || offers.length < 2) return offers;
  const better =
    show === 'cheapest'
      ? (a: CarrierOffer, b: CarrierOffer) => byPrice(a, b) || byDays(a, b)
      : (a: CarrierOffer, b: CarrierOffer) => byDays(a, b) || byPrice(a, b);
  return [offers.reduce((best, offer) => (better(offer, best) < 0 ? offer : best))];
};

const eachOnce = (services: readonly CarrierService[]): CarrierService[] =>
  services.filter(({ code }, at) => services.findIndex((other) => other.code === code) === at);

const nameOf = ({ label, code }: CarrierService): string => label ?? code;

/**
 * What an account's answer comes to for a rate: the services offered with their prices and those it lacks, the
 * fallback the merchant named, or why the whole is withheld. No answer counts as a carrier not reached. `transit` is
 * the rate's, for services of which neither the merchant nor the carrier says the days.
 */
export const carrierOutcome = (
  price: CarrierPrice,
  account: string,
  answer: CarrierAnswer | undefined,
  transit?: Rate['transit'],
): CarrierOutcome => {
  if (!answer?.ok) {
    if (price.onError !== 'withhold') return { kind: 'fallback', why: 'error', fallback: price.onError };
    const { error, text } = answer ?? { error: 'unreachable', text: '' };
    const say = { code: 'carrier-error', account, error, text } as const;
    return { kind: 'refused', refusal: { code: 'carrier-error', say } };
  }
  const services = eachOnce(price.services);
  const answers = new Map([...answer.services].reverse().map((service) => [service.code, service]));
  const offers = services.flatMap((service): CarrierOffer[] => {
    const answered = answers.get(service.code);
    if (!answered) return [];
    const days = service.transit ?? answered.days ?? transit;
    return [{ service, answered, price: changedPrice(service, answered.amount), days }];
  });
  if (offers.length > 0) {
    const missing = services.filter(({ code }) => !answers.has(code));
    return { kind: 'offers', offers: shown(offers, price.show), missing };
  }
  if (price.onNone !== 'withhold') return { kind: 'fallback', why: 'none', fallback: price.onNone };
  const say = { code: 'carrier-none', account, services: services.map(nameOf) } as const;
  return { kind: 'refused', refusal: { code: 'carrier-none', say } };
};
