import { taxesAt, taxOn } from '../duty/tax.ts';
import type { CarrierAnswer } from '../model/carrier.ts';
import type { Fault } from '../model/fault.ts';
import type { Choice, Notice, Quote, Withheld } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import { listParcels } from '../pack/list.ts';
import { Parcels } from '../pack/parcels.ts';
import type { Speech } from '../words/figure.ts';
import { sentence } from '../words/sentence.ts';
import { distanceFrom } from './asked.ts';
import { measureBasket, type Basket } from './basket.ts';
import type { CompiledBook } from './compile.ts';
import { Ledger } from './ledger.ts';
import { paymentsFor } from './payments.ts';
import { reachOf, type Reach } from './reach.ts';
import { shipBy } from './shipping.ts';
import { WithheldChoice } from './withheld.ts';

/** What makes a request of the right shape unusable with this book: goods that are not known, sums too large. */
export const requestFaults = (compiled: CompiledBook, request: QuoteRequest): readonly Fault[] =>
  measureBasket(compiled.goods, compiled.book.store.defaultWeight, request).faults;

/** The notice that a weight was assumed, worded when read. */
class WeightAssumed implements Notice {
  readonly code = 'weight-assumed' as const;

  constructor(
    private readonly weight: number,
    private readonly goods: readonly string[],
    private readonly speech: Speech,
  ) {}

  get text(): string {
    return sentence({ code: 'weight-assumed', weight: this.weight, goods: this.goods }, this.speech);
  }

  toJSON(): Notice {
    return { code: this.code, text: this.text };
  }
}

const noticesOf = ({ book, speech }: CompiledBook, basket: Basket): Notice[] =>
  basket.assumed.length === 0
    ? []
    : [
        new WeightAssumed(
          book.store.defaultWeight ?? 0,
          basket.assumed.map(({ good }) => good.name),
          speech,
        ),
      ];

/** The one choice of a basket in which nothing travels, withheld where the shop does not sell. */
const nothingToShip = ({ book, speech }: CompiledBook, reach: Reach): Choice | WithheldChoice => {
  const from = { kind: 'store', id: 'store' } as const;
  const id = 'nothing-to-ship';
  const name = 'Nothing to ship';
  if (reach.closed) {
    const place = reach.place?.country ?? '';
    const say = { code: 'not-sold-there', place } as const;
    return new WithheldChoice(id, id, name, 'not-sold-there', from, say, speech);
  }
  const ledger = new Ledger(speech);
  ledger.add('price', 0, from, { code: 'nothing-travels' });
  return {
    id,
    kind: id,
    name,
    charge: 0,
    tax: 0,
    taxIncluded: book.store.pricesIncludeTax,
    total: 0,
    payments: [],
    working: ledger.lines,
  };
};

const answersOf = (
  compiled: CompiledBook,
  request: QuoteRequest,
  basket: Basket,
  reach: Reach,
): (Choice | WithheldChoice)[] => {
  if (basket.physical.length === 0) return [nothingToShip(compiled, reach)];
  const { store } = compiled.book;
  const shipment = {
    compiled,
    request,
    basket,
    parcels: new Parcels(compiled.packing, basket.chargeable, store.defaultWeight),
    reach,
    distance: distanceFrom(compiled.book.locations[0], request),
    taxes: taxesAt(compiled.taxes.charges, reach.place),
    handOver: compiled.departures?.handOver(request.placedAt) ?? null,
  };
  return compiled.services.map((service) => shipBy(shipment, service));
};

const addPayments = ({ book }: CompiledBook, reach: Reach, goods: number, choices: Choice[]): void => {
  if (book.payments.length === 0) return;
  const country = reach.place?.country ?? book.locations[0]?.address.country;
  const payable = { options: book.payments, goods, country, postal: reach.postal };
  for (const choice of choices) choice.payments = paymentsFor(payable, choice);
};

const sorted = (choices: Choice[], order: 'listed' | 'cheapest'): Choice[] =>
  order === 'cheapest' ? choices.sort((a, b) => a.charge - b.charge) : choices;

/**
 * What a customer would be offered for an order: every service of the book is a choice, with its
 * charge in minor units and its working, or withheld, with the reason. Pure: no clock, no network,
 * no randomness. `answers` are the carriers'; a book of this version asks none.
 * The request is one that `requestFaults` finds nothing wrong with.
 */
export const quote = (
  compiled: CompiledBook,
  request: QuoteRequest,
  _answers: readonly CarrierAnswer[] = [],
): Quote => {
  const { store } = compiled.book;
  const { basket, faults } = measureBasket(compiled.goods, store.defaultWeight, request);
  if (faults.length > 0)
    throw new Error(`the request was not checked: ${faults.map((found) => found.code).join(', ')}`);
  const reach = reachOf(compiled, request);
  const goodsTax = taxOn(basket.subtotal, taxesAt(compiled.taxes.goods, reach.place), store.pricesIncludeTax);
  const choices: Choice[] = [];
  const withheld: Withheld[] = [];
  for (const answer of answersOf(compiled, request, basket, reach)) {
    if (answer instanceof WithheldChoice) withheld.push(answer);
    else choices.push(answer);
  }
  addPayments(compiled, reach, basket.subtotal + (store.pricesIncludeTax ? 0 : goodsTax), choices);
  return {
    currency: store.currency,
    subtotal: basket.subtotal,
    goodsTax,
    zone: reach.zone && { id: reach.zone.zone.id, name: reach.zone.zone.name, because: reach.zone.because },
    parcels: listParcels(compiled.packing, basket.physical, store.defaultWeight),
    choices: sorted(choices, store.choiceOrder),
    withheld,
    notices: noticesOf(compiled, basket),
  };
};
