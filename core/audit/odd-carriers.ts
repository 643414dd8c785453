import type { CarrierAnswer, CarrierQuestion } from '../model/carrier.ts';
import type { Good } from '../model/good.ts';
import type { CarrierPrice } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import type { QuoteRequest } from '../model/request.ts';
import { changedPrice } from '../quote/carrier-offers.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { carrierQuestions } from '../quote/questions.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import type { Finding } from './finding.ts';
import type { Context } from './moments.ts';
import { placeWords, type PlaceClass } from './place-classes.ts';

/** A rate that a carrier prices. */
type CarrierRate = Rate & { price: CarrierPrice };

const isByCarrier = (rate: Rate): rate is CarrierRate => rate.active && rate.price.kind === 'carrier';

/** So many goods and places are asked about for one rate. */
const MOST_GOODS = 40;
const MOST_PLACES = 3;

/** What the carriers' rates are judged with. */
interface Samples {
  compiled: CompiledBook;
  goods: readonly Good[];
  classes: readonly PlaceClass[];
  context: Context;
}

const ordersTo = (
  { compiled, goods, classes, context }: Samples,
  zoneId: string,
): { request: QuoteRequest; place: PlaceClass }[] =>
  classes
    .filter(({ zone, served }) => served && zone?.zone.id === zoneId)
    .slice(0, MOST_PLACES)
    .flatMap((place) =>
      goods.map(({ sku }) => ({
        place,
        request: { destination: place.destination, lines: [{ sku, quantity: 1 }], ...context },
      })),
    )
    .filter(({ request }) => requestFaults(compiled, request).length === 0);

const questionTo = (
  compiled: CompiledBook,
  request: QuoteRequest,
  accountId: string,
): CarrierQuestion | undefined => carrierQuestions(compiled, request).find(({ key }) => key === accountId);

const askOne = ({ ask }: CompiledBook, question: CarrierQuestion): CarrierAnswer | undefined =>
  ask?.([question])[0];

/** The least that a carrier's offered services come to, after the merchant's changes; null where it offers none. */
const leastOffered = ({ services }: CarrierPrice, answer: CarrierAnswer | undefined): number | null => {
  if (!answer?.ok) return null;
  const prices = services.flatMap((service) => {
    const found = answer.services.find(({ code }) => code === service.code);
    return found ? [changedPrice(service, found.amount)] : [];
  });
  return prices.length > 0 ? Math.min(...prices) : null;
};

const medianOf = (figures: readonly number[]): number =>
  [...figures].sort((a, b) => a - b)[Math.floor(figures.length / 2)] ?? 0;

/** A fallback below what the carrier usually asks, and one that lets an order go for nothing. */
const oddFallback = (samples: Samples, rate: CarrierRate): Finding[] => {
  const { compiled } = samples;
  const { price, id, zoneId } = rate;
  const found: Finding[] = [];
  const amounts = [price.onError, price.onNone].flatMap((one) => (one === 'withhold' ? [] : [one.amount]));
  if (amounts.length === 0) return found;
  const orders = ordersTo(samples, zoneId);
  const free = amounts.includes(0)
    ? orders.find(({ request }) =>
        quote(compiled, request, []).choices.some((one) => one.id === id && one.charge === 0),
      )
    : undefined;
  if (free)
    found.push({
      code: 'free-fallback',
      where: [{ kind: 'rate', id }],
      detail: {},
      example: free.request,
      reach: placeWords(free.place, compiled.display),
    });
  const asked = orders.flatMap(({ request }) => {
    const question = questionTo(compiled, request, price.accountId);
    const least = question ? leastOffered(price, askOne(compiled, question)) : null;
    return least === null ? [] : [least];
  });
  const usual = medianOf(asked);
  const fallback = Math.min(...amounts);
  if (asked.length > 0 && fallback > 0 && fallback < usual)
    found.push({ code: 'fallback-below-usual', where: [{ kind: 'rate', id }], detail: { fallback, usual } });
  return found;
};

/** A zone where nothing is offered when a carrier does not answer. */
const withoutFallback = ({ rates, carriers }: CompiledBook['book'], rate: CarrierRate): Finding[] => {
  const others = rates.filter(({ active, zoneId, id }) => active && zoneId === rate.zoneId && id !== rate.id);
  const stands = others.some(
    ({ price }) =>
      price.kind !== 'carrier' || price.accountId !== rate.price.accountId || price.onError !== 'withhold',
  );
  if (rate.price.onError !== 'withhold' || stands) return [];
  const account = carriers.find(({ id }) => id === rate.price.accountId);
  return [
    {
      code: 'no-fallback',
      where: [
        { kind: 'zone', id: rate.zoneId },
        { kind: 'rate', id: rate.id },
      ],
      detail: { account: account?.name ?? rate.price.accountId },
    },
  ];
};

/** Accounts that count the room goods take for more than their weight, for most goods. */
const dimensional = (samples: Samples, rates: readonly CarrierRate[]): Finding[] => {
  const { compiled } = samples;
  return compiled.book.carriers.flatMap(({ id }): Finding[] => {
    const rate = rates.find(({ price }) => price.accountId === id);
    const orders = rate ? ordersTo({ ...samples, classes: samples.classes }, rate.zoneId) : [];
    let [asked, dearer] = [0, 0];
    for (const { request } of orders) {
      const question = questionTo(compiled, request, id);
      if (!rate || !question?.parcels.some(({ size }) => size)) continue;
      const bare = { ...question, parcels: question.parcels.map(({ size: _, ...parcel }) => parcel) };
      const [sized, plain] = [question, bare].map((one) => leastOffered(rate.price, askOne(compiled, one)));
      if (sized === null || plain === null || sized === undefined || plain === undefined) continue;
      asked += 1;
      if (sized > plain) dearer += 1;
    }
    return asked > 0 && dearer * 2 > asked
      ? [{ code: 'room-above-weight', where: [{ kind: 'carrier', id }], detail: { dearer, asked } }]
      : [];
  });
};

/**
 * What is odd about carriers: nothing to fall back on, a fallback below the usual price or for nothing, sandbox
 * accounts that price rates, accounts that price none, and room that counts for more than weight.
 */
export const oddCarriers = (
  compiled: CompiledBook,
  classes: readonly PlaceClass[],
  context: Context,
): Finding[] => {
  const rates = compiled.book.rates.filter(isByCarrier);
  const goods = [...compiled.goods.values()]
    .filter(({ fulfilment }) => fulfilment === 'physical')
    .slice(0, MOST_GOODS);
  const samples = { compiled, goods, classes, context };
  const used = new Set(rates.map(({ price }) => price.accountId));
  return [
    ...rates.flatMap((rate) => [...withoutFallback(compiled.book, rate), ...oddFallback(samples, rate)]),
    ...compiled.book.carriers.flatMap(({ id, mode }): Finding[] =>
      mode === 'sandbox' && used.has(id)
        ? [{ code: 'sandbox-account', where: [{ kind: 'carrier', id }], detail: {} }]
        : [],
    ),
    ...dimensional(samples, rates),
  ];
};
