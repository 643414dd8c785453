import { taxesAt, taxOn } from '../duty/tax.ts';
import type { CarrierAnswer } from '../model/carrier.ts';
import type { Fault } from '../model/fault.ts';
import type { Choice, Notice, Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import { Parcels } from '../pack/parcels.ts';
import type { DisplayFormat } from '../words/figure.ts';
import type { Message } from '../words/message.ts';
import { sentence } from '../words/sentence.ts';
import { Answers } from './answers.ts';
import { areasAt, bestAreas } from '../place/area-index.ts';
import { indexBooked } from '../time/booked.ts';
import { distanceFrom } from './order-context.ts';
import { collectAt } from './collecting.ts';
import { deliverBy } from './delivering.ts';
import { memoizeByObject } from '../memo/memoize-by-object.ts';
import { measureBasket, type Basket } from '../basket/basket.ts';
import type { CompiledBook } from './compile.ts';
import { Ledger } from './ledger.ts';
import { paymentsFor } from './payments.ts';
import { carrierQuestions } from './questions.ts';
import { Quoted } from './quoted.ts';
import { reachOf, type Reach } from './destination.ts';
import { shipBy } from './services.ts';
import type { Shipment } from './shipment.ts';
import { WithheldChoice } from './withheld.ts';

/** What makes a request of the right shape unusable with this book: goods that are not known, sums too large. */
export const requestFaults = (compiled: CompiledBook, request: QuoteRequest): readonly Fault[] =>
  measureBasket(compiled.goods, compiled.book.store.defaultWeight, request).faults;

type NoticeSay = Extract<Message, { code: Notice['code'] }>;

/** A notice, worded when read. */
class SpokenNotice implements Notice {
  constructor(
    private readonly say: NoticeSay,
    private readonly display: DisplayFormat,
  ) {}

  get code(): Notice['code'] {
    return this.say.code;
  }

  get text(): string {
    return sentence(this.say, this.display);
  }

  toJSON(): Notice {
    return { code: this.code, text: this.text };
  }
}

const noticesOf = ({ book, display }: CompiledBook, basket: Basket, answers: Answers): Notice[] => {
  const notices: Notice[] = [];
  const add = (say: NoticeSay): void => void notices.push(new SpokenNotice(say, display));
  const { assumed } = basket;
  const goods = assumed.map(({ good }) => good.name);
  if (goods.length > 0) add({ code: 'weight-assumed', weight: book.store.defaultWeight ?? 0, goods });
  if (answers.fallbacks.length > 0) add({ code: 'fallback-used', services: answers.fallbacks });
  if (answers.sandboxes.size > 0) add({ code: 'sandbox-rates', accounts: [...answers.sandboxes] });
  if (answers.dutiable !== null) add({ code: 'prices-exclude-duty', country: answers.dutiable });
  return notices;
};

/** The one choice of a basket in which nothing travels, withheld where the shop does not sell. */
const nothingToShip = ({ book, display }: CompiledBook, reach: Reach, answers: Answers): void => {
  const from = { kind: 'store', id: 'store' } as const;
  const id = 'nothing-to-ship';
  const name = 'Nothing to ship';
  if (reach.closed && !book.store.sellsTo.digitalEverywhere) {
    const place = reach.place?.country ?? '';
    const say = { code: 'not-sold-there', place } as const;
    answers.withheld.push(new WithheldChoice(id, id, name, 'not-sold-there', from, say, display));
    return;
  }
  const ledger = new Ledger(display);
  ledger.add('price', 0, from, { code: 'nothing-travels' });
  answers.choices.push({
    id,
    kind: id,
    of: {},
    name,
    charge: 0,
    tax: 0,
    taxIncluded: book.store.pricesIncludeTax,
    total: 0,
    payments: [],
    working: ledger.lines,
  });
};

/** The slots taken, counted once for the same list. */
const takenOf = memoizeByObject(indexBooked);

const NO_ANSWERS: ReadonlyMap<string, CarrierAnswer> = new Map();

const answer = (
  compiled: CompiledBook,
  request: QuoteRequest,
  basket: Basket,
  reach: Reach,
  carriers: readonly CarrierAnswer[],
): Answers => {
  const answers = new Answers();
  if (basket.physical.length === 0) {
    nothingToShip(compiled, reach, answers);
    return answers;
  }
  const shipment: Shipment = {
    compiled,
    request,
    basket,
    parcels: new Parcels(compiled.packing, basket.chargeable, compiled.book.store.defaultWeight),
    reach,
    distance: distanceFrom(compiled.book.locations[0], request),
    taxes: taxesAt(compiled.taxes.charges, reach.place),
    departures: compiled.departures,
    handOver: compiled.departures?.handOver(request.placedAt) ?? null,
    answers: carriers.length === 0 ? NO_ANSWERS : new Map(carriers.map((one) => [one.key, one])),
    taken: request.slotsTaken ? takenOf(request.slotsTaken) : null,
  };
  for (const service of compiled.services) shipBy(shipment, service, answers);
  if (compiled.areas.length > 0) deliver(shipment, answers);
  for (const pickup of compiled.pickups) collectAt(shipment, pickup, answers);
  return answers;
};

const deliver = (shipment: Shipment, answers: Answers): void => {
  const { compiled, request, reach } = shipment;
  const found = reach.place ? areasAt(compiled.areaIndex, reach.place, request.destination?.point) : [];
  const best = bestAreas(found);
  for (const area of compiled.areas) deliverBy(shipment, area, best, answers);
};

/** The destination's country, else that of the location that hands the order over. */
const countryOf = (compiled: CompiledBook, reach: Reach, { kind, id }: Choice): string | undefined => {
  if (reach.place) return reach.place.country;
  const location =
    kind === 'pickup'
      ? compiled.pickups.find(({ point }) => point.id === id)?.location
      : compiled.book.locations[0];
  return location?.address.country;
};

const addPayments = (compiled: CompiledBook, reach: Reach, goods: number, choices: Choice[]): void => {
  const { payments: options } = compiled.book;
  if (options.length === 0) return;
  for (const choice of choices) {
    const country = countryOf(compiled, reach, choice);
    choice.payments = paymentsFor({ options, goods, country, postal: reach.postal }, choice);
  }
};

const sorted = (choices: Choice[], order: 'listed' | 'cheapest'): Choice[] =>
  order === 'cheapest' ? choices.sort((a, b) => a.charge - b.charge) : choices;

const askedAtOnce = (compiled: CompiledBook, request: QuoteRequest): readonly CarrierAnswer[] =>
  compiled.ask ? compiled.ask(carrierQuestions(compiled, request)) : [];

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
  carriers: readonly CarrierAnswer[] = askedAtOnce(compiled, request),
): Quote => {
  const { store } = compiled.book;
  const { basket, faults } = measureBasket(compiled.goods, store.defaultWeight, request);
  if (faults.length > 0)
    throw new Error(`the request was not checked: ${faults.map((found) => found.code).join(', ')}`);
  const reach = reachOf(compiled, request);
  const goodsTax = taxOn(basket.subtotal, taxesAt(compiled.taxes.goods, reach.place), store.pricesIncludeTax);
  const answers = answer(compiled, request, basket, reach, carriers);
  const { choices, withheld } = answers;
  addPayments(compiled, reach, basket.subtotal + (store.pricesIncludeTax ? 0 : goodsTax), choices);
  return new Quoted(compiled, basket, {
    currency: store.currency,
    subtotal: basket.subtotal,
    goodsTax,
    zone: reach.zone && { id: reach.zone.zone.id, name: reach.zone.zone.name, because: reach.zone.because },
    choices: sorted(choices, store.choiceOrder),
    withheld,
    notices: noticesOf(compiled, basket, answers),
  });
};
