import { measureBasket } from '../basket/basket.ts';
import type { CarrierAnswer, CarrierQuestion } from '../model/carrier.ts';
import type { Fault, Result } from '../model/fault.ts';
import type { Choice, Notice, Quote, Withheld } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import { areasAt, bestAreas } from '../place/area-index.ts';
import { oneEntry } from '../price/entries.ts';
import { chargeOf, type ChargeStep } from './charge.ts';
import { choiceOf } from './choice.ts';
import { collectAt } from './collecting.ts';
import type { CompiledBook } from './compile.ts';
import { deliverBy } from './delivering.ts';
import { checkedContext, orderContext, withAnswers, type OrderContext } from './order-context.ts';
import { isPriced, NONE_TOLD, offerAs, withhold, type Outcome, type Remarks, type Way } from './outcome.ts';
import { noticeOf, type NoticeMessage } from './notice.ts';
import { questionsOf } from './questions.ts';
import { Quoted } from './quoted.ts';
import { shipBy } from './services.ts';

/** What makes a request of the right shape unusable with this book: goods that are not known, sums too large. */
export const requestFaults = (compiled: CompiledBook, request: QuoteRequest): readonly Fault[] =>
  measureBasket(compiled.goods, compiled.book.store.defaultWeight, request).faults;

/** What the whole quote remarks on, each thing once but for the services. */
const noticesOf = ({ compiled, basket }: OrderContext, remarks: readonly Remarks[]): Notice[] => {
  const { book, display } = compiled;
  if (remarks.length === 0 && basket.assumed.length === 0) return [];
  const services: string[] = [];
  const accounts = new Set<string>();
  let country: string | undefined;
  for (const { fallback, sandbox, dutiable } of remarks) {
    if (fallback) services.push(fallback);
    if (sandbox) accounts.add(sandbox);
    country ??= dutiable;
  }
  const found: NoticeMessage[] = [];
  if (basket.assumed.length > 0) {
    const goods = basket.assumed.map(({ good }) => good.name);
    found.push({ code: 'weight-assumed', weight: book.store.defaultWeight ?? 0, goods });
  }
  if (services.length > 0) found.push({ code: 'fallback-used', services });
  if (accounts.size > 0) found.push({ code: 'sandbox-rates', accounts: [...accounts] });
  if (country !== undefined) found.push({ code: 'prices-exclude-duty', country });
  return found.map((say) => noticeOf(say, display));
};

const STORE = { kind: 'store', id: 'store' } as const;

/** The one choice of a basket in which nothing travels, withheld where the shop does not sell. */
const nothingToShip = (order: OrderContext): Outcome => {
  const { compiled, reach } = order;
  const id = 'nothing-to-ship';
  const way: Way = { id, kind: id, of: {}, name: 'Nothing to ship', source: STORE, told: NONE_TOLD };
  if (reach.closed && !compiled.book.store.sellsTo.digitalEverywhere) {
    const say = { code: 'not-sold-there', place: reach.place?.country ?? '' } as const;
    return withhold(way, { code: 'not-sold-there', say }, compiled.display);
  }
  const price: ChargeStep = {
    step: 'price',
    work: () => oneEntry(0, STORE, { code: 'nothing-travels' }),
  };
  const charged = chargeOf([price], order, STORE);
  if (!charged.ok) throw new Error('nothing to ship has a charge');
  return offerAs(choiceOf(order, way, charged, [], {}));
};

/** What becomes of every way of the book, in its order: services, delivery areas, pickup points. */
const outcomesOf = (order: OrderContext): readonly Outcome[] => {
  const { compiled, basket, place, request } = order;
  if (basket.physical.length === 0) return [nothingToShip(order)];
  const found =
    place && compiled.areas.length > 0
      ? bestAreas(areasAt(compiled.areaIndex, place, request.destination?.point))
      : NO_AREAS;
  const outcomes: Outcome[] = [];
  for (const service of compiled.services)
    for (const outcome of shipBy(order, service)) outcomes.push(outcome);
  for (const area of compiled.areas)
    for (const outcome of deliverBy(order, area, found)) outcomes.push(outcome);
  for (const pickup of compiled.pickups) outcomes.push(collectAt(order, pickup));
  return outcomes;
};

const NO_AREAS: ReturnType<typeof bestAreas> = new Map();

const sorted = (choices: Choice[], order: 'listed' | 'cheapest'): Choice[] =>
  order === 'cheapest' ? choices.toSorted((a, b) => a.charge - b.charge) : choices;

/** What a customer would be offered for an order that has been measured. */
const quoteOrder = (order: OrderContext): Quote => {
  const { compiled, basket, reach, goodsTax } = order;
  const { store } = compiled.book;
  const outcomes = outcomesOf(order);
  const choices: Choice[] = [];
  const withheld: Withheld[] = [];
  const remarks: Remarks[] = [];
  for (const outcome of outcomes) {
    if (!isPriced(outcome)) {
      withheld.push(outcome);
      continue;
    }
    for (const choice of outcome.choices) choices.push(choice);
    if (outcome.withheld) withheld.push(outcome.withheld);
    if (outcome.remarks) remarks.push(outcome.remarks);
  }
  return new Quoted(compiled, basket, {
    currency: store.currency,
    subtotal: basket.subtotal,
    goodsTax,
    zone: reach.zone && { id: reach.zone.zone.id, name: reach.zone.zone.name, because: reach.zone.because },
    choices: sorted(choices, store.choiceOrder),
    withheld,
    notices: noticesOf(order, remarks),
  });
};

/** The quote of an order that has been measured, with what the carriers said, or the compiled book's own `ask`. */
const quoteMeasured = (order: OrderContext, carriers?: readonly CarrierAnswer[]): Quote =>
  quoteOrder(withAnswers(order, carriers ?? order.compiled.ask?.(questionsOf(order)) ?? []));

/**
 * What a customer would be offered for an order: every service of the book is a choice, with its
 * charge in minor units and its working, or withheld, with the reason. Pure: no clock, no network,
 * no randomness. `carriers` are the answers to `carrierQuestions`; an account that was asked and has none
 * counts as not reached. Without any, they are those of the compiled book's own `ask`, where it has one.
 * The request is one that `requestFaults` finds nothing wrong with.
 */
export const quote = (
  compiled: CompiledBook,
  request: QuoteRequest,
  carriers?: readonly CarrierAnswer[],
): Quote => quoteMeasured(orderContext(compiled, request), carriers);

/** An order that was measured once, to be asked about and quoted. */
export interface MeasuredOrder {
  /** What has to be asked of carriers: see `carrierQuestions`. */
  questions: () => CarrierQuestion[];
  /** What the customer would be offered: see `quote`. */
  quote: (carriers?: readonly CarrierAnswer[]) => Quote;
}

/** An order measured once for its questions and its quote, or what `requestFaults` finds wrong with it. */
export const measureOrder = (compiled: CompiledBook, request: QuoteRequest): Result<MeasuredOrder> => {
  const checked = checkedContext(compiled, request);
  if (!checked.ok) return checked;
  const order = checked.value;
  return {
    ok: true,
    value: {
      questions: () => questionsOf(order),
      quote: (carriers) => quoteMeasured(order, carriers),
    },
  };
};
