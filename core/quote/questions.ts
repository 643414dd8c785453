import { valuedLines } from '../duty/import-charges.ts';
import type { CarrierQuestion } from '../model/carrier.ts';
import { toThousandth } from '../model/measured.ts';
import type { Destination } from '../model/place.ts';
import type { QuoteRequest } from '../model/request.ts';
import { outsidesOf } from '../pack/list.ts';
import { Parcels } from '../pack/parcels.ts';
import { pointsOf } from '../price/rounding.ts';
import { dateOf } from '../time/calendar.ts';
import type { CompiledAccount } from './account.ts';
import type { Basket, BasketLine } from '../basket/basket.ts';
import type { CompiledBook } from './compile.ts';
import { placedDay } from './placed-day.ts';
import { rateRefusal } from './rate-refusal.ts';
import { orderContext, type OrderContext } from './order-context.ts';

/** What a basket's goods are declared to be worth: `insure` points of the physical goods' value. */
const insuredValue = (basket: Basket, discount: number, points: number): number =>
  pointsOf(
    valuedLines(basket.lines, basket.physical, discount).reduce((sum, { value }) => sum + value, 0),
    points,
  );

const shipDateOf = (compiled: CompiledBook, { departures }: CompiledAccount, request: QuoteRequest): string =>
  dateOf(departures.handOver(request.placedAt)?.day ?? placedDay({ compiled, request }));

type QuestionParcel = CarrierQuestion['parcels'][number];

/** The parcels as the carrier is told of them, or none where they cannot be stated. */
const questionParcels = (
  { defaultWeight }: CompiledBook['book']['store'],
  { packing, account: { leastParcelWeight = 0 } }: CompiledAccount,
  lines: readonly BasketLine[],
  parcels: Parcels,
): QuestionParcel[] => {
  if (lines.some(({ good }) => (good.weight ?? defaultWeight) === undefined)) return [];
  const packed = parcels.all();
  if (!packed.ok) return [];
  const codes = new Map(packing.boxes.map(({ id, carrierBox }) => [id, carrierBox?.code]));
  return outsidesOf(packed.runs, lines, ({ weight, size, boxId }) => {
    const boxCode = boxId === undefined ? undefined : codes.get(boxId);
    return {
      weight: toThousandth(Math.max(weight, leastParcelWeight)),
      ...(size ? { size } : {}),
      ...(boxCode === undefined ? {} : { boxCode }),
    };
  });
};

const residential = (address: CompiledAccount['account']['address'], to: Destination): boolean =>
  address === 'as-given' ? (to.residential ?? false) : address === 'residential';

/** What an account's carrier is asked about some lines of an order in their parcels, or null where they cannot be stated. */
const questionFor = (
  { compiled, request, basket }: OrderContext,
  asked: CompiledAccount,
  to: Destination,
  lines: readonly BasketLine[],
  packed: Parcels,
): CarrierQuestion | null => {
  const { account, location } = asked;
  const { store } = compiled.book;
  const parcels = questionParcels(store, asked, lines, packed);
  if (parcels.length === 0) return null;
  return {
    key: account.id,
    carrier: account.carrier,
    mode: account.mode,
    credentials: account.credentials,
    from: location.address,
    to,
    parcels,
    residential: residential(account.address, to),
    handover: account.handover,
    insured: insuredValue(basket, request.discount ?? 0, account.insure ?? 0),
    currency: store.currency,
    shipDate: shipDateOf(compiled, asked, request),
  };
};

/** The accounts that price a service which may carry this order into its zone. */
const accountsAsked = (order: OrderContext): ReadonlySet<string> => {
  const { compiled, basket } = order;
  const { stop, zone } = order.reach;
  const asked = new Set<string>();
  if (stop || !zone || basket.chargeable.length === 0) return asked;
  for (const service of compiled.services) {
    const rate = service.byZone.get(zone.zone.id);
    if (rate?.rate.price.kind !== 'carrier') continue;
    if (!rateRefusal(order, rate, service.service, zone.zone)) asked.add(rate.rate.price.accountId);
  }
  return asked;
};

/** The questions of an order that has been measured, one for each account, in the order of the book. */
export const questionsOf = (order: OrderContext): CarrierQuestion[] => {
  const { destination } = order.request;
  const { accounts } = order.compiled;
  if (accounts.size === 0 || !destination) return [];
  const asked = accountsAsked(order);
  return [...accounts.values()].flatMap((account) => {
    if (!asked.has(account.account.id)) return [];
    const lines = order.basket.chargeable;
    return questionFor(order, account, destination, lines, order.carrierParcels(account)) ?? [];
  });
};

/**
 * What has to be asked of carriers before an order can be quoted: one question for each account that prices a
 * service of the order's zone, in the order of the book. None where nothing travels, nothing is charged for,
 * the place is not known or not reached, or the parcels cannot be stated.
 * The request is one that `requestFaults` finds nothing wrong with.
 */
export const carrierQuestions = (compiled: CompiledBook, request: QuoteRequest): CarrierQuestion[] =>
  compiled.accounts.size === 0 ? [] : questionsOf(orderContext(compiled, request));

/** What an account's carrier is asked about all goods of an order that travel, in parcels that they were packed into. */
export const shipmentIn = (
  order: OrderContext,
  account: CompiledAccount,
  parcels: Parcels,
): CarrierQuestion | null => {
  const { destination } = order.request;
  return destination ? questionFor(order, account, destination, order.basket.physical, parcels) : null;
};

/**
 * What a shipment of an order is booked with: as the order is asked about, but with all goods that travel in its
 * parcels, those that are not charged for too. Null where the address is not known or the parcels cannot be stated.
 */
export const shipmentQuestion = (
  compiled: CompiledBook,
  request: QuoteRequest,
  accountId: string,
): CarrierQuestion | null => {
  const account = compiled.accounts.get(accountId);
  if (!account) return null;
  const order = orderContext(compiled, request);
  const parcels = new Parcels(account.packing, order.basket.physical, compiled.book.store.defaultWeight);
  return shipmentIn(order, account, parcels);
};
