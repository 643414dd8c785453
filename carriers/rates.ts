import type { CarrierAnswer, CarrierQuestion } from '../core/model/carrier.ts';
import type { Destination } from '../core/model/place.ts';
import { pointsOf } from '../core/price/rounding.ts';
import { areaOf, areaPoint, hasAreas, metresApart } from './areas.ts';
import type { OnePriceBox, Surcharge, Tariff, TariffService } from './tariff.ts';
import { isoWeekOf } from './working-days.ts';

type Parcel = CarrierQuestion['parcels'][number];

/** A parcel with its sides, the longest first; none where its size is not stated. */
interface Measured {
  parcel: Parcel;
  sides: readonly number[];
}
type Refused = Extract<CarrierAnswer, { ok: false }>;

const refusal = ({ key }: CarrierQuestion, text: string): Refused => ({
  key,
  ok: false,
  error: 'refused',
  text,
});

/** What is taken off the public price for the question's account, in points; a refusal for credentials that are wrong. */
const discountOf = (tariff: Tariff, question: CarrierQuestion): number | Refused => {
  const { credentials, mode } = question;
  if (credentials.kind === 'shared') return 0;
  if (credentials.secret === undefined) return refusal(question, 'the secret is missing');
  const account = tariff.accounts.find(({ number }) => number === credentials.accountNumber);
  if (account?.secret !== credentials.secret)
    return refusal(question, 'the account number and the secret do not go together');
  return mode === 'sandbox' ? 0 : account.off;
};

/** The place of the zone that holds the destination; null where the carrier does not go. */
const zoneOf = ({ zones }: Tariff, { from, to }: CarrierQuestion): number | null => {
  const metres = metresApart(from, to);
  const at = zones.findIndex(
    ({ countries, upTo }) =>
      (countries === 'rest' || countries.includes(to.country)) &&
      (upTo === undefined || (metres !== null && metres <= upTo)),
  );
  return at < 0 ? null : at;
};

const isIn = (areas: readonly string[], to: Destination): boolean => {
  const area = `${to.country}:${areaOf(to) ?? ''}`;
  return areas.some((beginning) => area.startsWith(beginning));
};

const sidesOf = ({ size }: Parcel): number[] =>
  size ? [size.length, size.width, size.height].sort((a, b) => b - a) : [];

/** Each parcel measured; those that are one and the same, which alike parcels of an order are, only once. */
const measuredOf = (parcels: readonly Parcel[]): Measured[] => {
  const measured = new Map<Parcel, Measured>();
  return parcels.map((parcel) => {
    const known = measured.get(parcel) ?? { parcel, sides: sidesOf(parcel) };
    measured.set(parcel, known);
    return known;
  });
};

/** Whether a service takes a parcel: weight, longest side, length and girth, thickness. */
const takes = ({ greatest }: TariffService, { parcel, sides }: Measured): boolean => {
  const [long = 0, wide = 0, thick] = sides;
  if (parcel.weight > greatest.weight || long > greatest.longestSide) return false;
  if (greatest.thickness !== undefined && (thick === undefined || thick > greatest.thickness)) return false;
  return greatest.lengthAndGirth === undefined || long + 2 * (wide + (thick ?? 0)) <= greatest.lengthAndGirth;
};

/** What a parcel counts as, in grams: its weight, or the room it takes where that is more. */
export const billedWeight = (
  { dimensional }: Pick<TariffService, 'dimensional'>,
  { weight, size }: Parcel,
): number =>
  size && dimensional !== undefined
    ? Math.max(weight, Math.ceil((size.length * size.width * size.height) / dimensional))
    : weight;

const priceOf = ({ steps, beyond }: TariffService, weight: number, zone: number): number => {
  const step = steps.find(({ upTo }) => weight <= upTo) ?? steps.at(-1);
  const above = Math.max(0, weight - (steps.at(-1)?.upTo ?? 0));
  return (step?.amounts[zone] ?? 0) + Math.ceil(above / 1_000) * (beyond?.[zone] ?? 0);
};

const onePriceOf = (
  { onePrice }: Tariff,
  { code }: TariffService,
  { boxCode, weight }: Parcel,
  zone: number,
): number | null => {
  const box: OnePriceBox | undefined =
    onePrice?.service === code ? onePrice.boxes.find((one) => one.code === boxCode) : undefined;
  return box && weight <= box.maxWeight ? (box.amounts[zone] ?? null) : null;
};

/** The price of all parcels before surcharges: each for itself or all as one, a one-price box where that is cheaper. */
const basicPrice = (
  tariff: Tariff,
  service: TariffService,
  parcels: readonly Parcel[],
  zone: number,
): number => {
  const billed = parcels.map((parcel) => billedWeight(service, parcel));
  if (service.each === 'shipment')
    return priceOf(
      service,
      billed.reduce((sum, weight) => sum + weight, 0),
      zone,
    );
  return parcels.reduce((sum, parcel, at) => {
    const price = priceOf(service, billed[at] as number, zone);
    return sum + Math.min(price, onePriceOf(tariff, service, parcel, zone) ?? price);
  }, 0);
};

const surchargeTimes = (
  { when, each }: Surcharge,
  { to, residential, insured }: CarrierQuestion,
  parcels: readonly Measured[],
): number => {
  const all = each === 'parcel' ? parcels.length : 1;
  const some = (holds: (parcel: Measured) => boolean): number =>
    each === 'parcel' ? parcels.filter(holds).length : Number(parcels.some(holds));
  switch (when.kind) {
    case 'residential':
      return residential ? all : 0;
    case 'remote':
      return isIn(when.areas, to) ? all : 0;
    case 'long-side':
      return some(({ sides: [long = 0] }) => long > when.over);
    case 'heavy':
      return some(({ parcel: { weight } }) => weight > when.over);
    case 'insured':
      return insured >= when.from ? all : 0;
  }
};

const surchargesOn = (
  { surcharges }: Tariff,
  { code }: TariffService,
  question: CarrierQuestion,
  parcels: readonly Measured[],
): number =>
  surcharges
    .filter(({ services }) => services === undefined || services.includes(code))
    .reduce((sum, surcharge) => sum + surcharge.amount * surchargeTimes(surcharge, question, parcels), 0);

const coverPrice = ({ cover }: Tariff, { insured }: CarrierQuestion): number =>
  Math.ceil(Math.max(0, insured - cover.included) / cover.step) * cover.amount;

/** What a service costs: the basic price less the account's discount, fuel on that, surcharges, declared value. */
const chargeOf = (
  tariff: Tariff,
  service: TariffService,
  question: CarrierQuestion,
  parcels: readonly Measured[],
  { zone, off }: { zone: number; off: number },
): number => {
  const list = basicPrice(tariff, service, question.parcels, zone);
  const basic = list - pointsOf(list, off);
  const fuel = tariff.fuel[isoWeekOf(question.shipDate) % tariff.fuel.length] ?? 0;
  return (
    basic +
    pointsOf(basic, fuel) +
    surchargesOn(tariff, service, question, parcels) +
    coverPrice(tariff, question)
  );
};

/** Why a question cannot be answered at all, or null. */
const unanswerable = (tariff: Tariff, question: CarrierQuestion): string | null => {
  const { from, to, currency } = question;
  if (currency !== tariff.currency) return `prices are in ${tariff.currency} only, not in ${currency}`;
  if (from.country !== tariff.collectsIn) return `parcels are collected in ${tariff.collectsIn} only`;
  for (const [whose, address] of [
    ['sender', from],
    ['receiver', to],
  ] as const) {
    if (!hasAreas(address.country)) continue;
    if (areaOf(address) === null) return `the ${whose}’s postal code is missing`;
    if (areaPoint(address) === null) return `the ${whose}’s postal code is not known`;
  }
  return null;
};

/**
 * A carrier's answer by its tariff: every service that goes to the destination and takes all parcels, with its
 * price in minor units and its working days. Refused: wrong credentials, another currency, a sender or a code
 * that the carrier does not know. Sandbox answers are at public prices.
 */
export const ratesBy = (tariff: Tariff, question: CarrierQuestion): CarrierAnswer => {
  const problem = unanswerable(tariff, question);
  if (problem !== null) return refusal(question, problem);
  const off = discountOf(tariff, question);
  if (typeof off !== 'number') return off;
  const zone = zoneOf(tariff, question);
  const parcels = measuredOf(question.parcels);
  const unlike = [...new Set(parcels)];
  const services = tariff.services.flatMap((service) => {
    const days = zone === null ? null : service.days[zone];
    if (zone === null || !days || isIn(service.notTo ?? [], question.to)) return [];
    if (!unlike.every((parcel) => takes(service, parcel))) return [];
    const { code, name } = service;
    return [{ code, name, amount: chargeOf(tariff, service, question, parcels, { zone, off }), days }];
  });
  return { key: question.key, ok: true, services };
};
