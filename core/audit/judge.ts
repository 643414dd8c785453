import type { CarrierAnswer } from '../model/carrier.ts';
import type { Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { carrierQuestions } from '../quote/questions.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import type { Basket } from './baskets.ts';
import { leaksIn } from './causes.ts';
import { Findings } from './findings.ts';
import type { JudgedShop, KeyedContext } from './judged-shop.ts';
import type { Outcome, Verdict } from './memory.ts';
import { countsFrom } from './nearby-places.ts';
import { reachWords, type PlaceClass } from './place-classes.ts';
import { refusalKey, unitsOf, type Stopped } from './stops.ts';

/** Whether an order has a good that is not free of charge. */
export const isCharged = ({ goods }: CompiledBook, { lines }: QuoteRequest): boolean =>
  lines.some(({ sku }) => goods.get(sku)?.chargeFree !== true);

/** How an order is judged: whether its context is the plainest, and whether carriers are asked though others take it. */
export interface Manner {
  isPlain: boolean;
  asksCarriers: boolean;
}

const CLEAR: Verdict = { stopped: null, leaks: [] };

/** Judges orders to one class of places, and keeps what it finds; what is known of an order is not judged again. */
export class Judge {
  readonly #answers = new Map<string, readonly CarrierAnswer[]>();
  readonly #stops = new Map<string, Omit<Stopped, 'place'>>();
  readonly #leaks = new Findings();
  /** What is said of each order now. */
  readonly verdicts = new Map<string, Verdict>();

  constructor(
    private readonly shop: JudgedShop,
    private readonly place: PlaceClass,
    /** What audits before said of orders to the class. */
    private readonly before: ReadonlyMap<string, Verdict>,
  ) {}

  get outcome(): Outcome {
    return { stops: [...this.#stops.values()], leaks: this.#leaks.all };
  }

  judge(basket: Basket, { context, key: contextKey }: KeyedContext, { isPlain, asksCarriers }: Manner): void {
    const { place, before, verdicts, shop } = this;
    const basketKey = shop.memory.keyOf(basket.lines, basket.discount);
    const key = `${basketKey}${asksCarriers ? '!' : ''}${contextKey}`;
    const known = before.get(key);
    if (known) verdicts.set(key, known);
    if (known === CLEAR) return;
    const destination = shop.far ? { ...place.destination, point: shop.far } : place.destination;
    const request: QuoteRequest = { destination, ...basket, ...context };
    const verdict = known ?? this.#verdictOf(request, asksCarriers);
    verdicts.set(key, verdict);
    for (const leak of verdict.leaks)
      this.#leaks.add({ ...leak, example: request, reach: reachWords(place) });
    if (verdict.stopped !== null) this.#stop(verdict.stopped, request, isPlain);
  }

  /** Of orders that are refused alike the smallest stands for all. */
  #stop(alike: string, request: QuoteRequest, isPlain: boolean): void {
    const known = this.#stops.get(alike);
    const isSmallest = !known || unitsOf(request) < unitsOf(known.request);
    const order = isSmallest ? { request, quoted: this.#quotedWhole(request) } : known;
    this.#stops.set(alike, { ...order, isPlain: isPlain || (known?.isPlain ?? false) });
  }

  #verdictOf(request: QuoteRequest, asksCarriers: boolean): Verdict {
    const { compiled, memory } = this.shop;
    if (requestFaults(compiled, request).length > 0) return CLEAR;
    memory.judged += 1;
    const quoted = this.#quoted(request, asksCarriers);
    const isTaken = this.#isTaken(quoted);
    const leaks = quoted.choices.flatMap((choice) =>
      leaksIn(choice, isCharged(compiled, request)).map((leak) => ({
        ...leak,
        detail: { name: choice.name },
      })),
    );
    if (isTaken && leaks.length === 0) return CLEAR;
    return { stopped: isTaken ? null : refusalKey(request, quoted), leaks };
  }

  #isTaken({ choices }: Quote): boolean {
    const { country } = this.place.destination;
    return choices.some((choice) => countsFrom(this.shop.compiled, choice, country));
  }

  /** Carriers are asked about orders that nothing else takes; for the rest only where `asksCarriers` says so. */
  #quoted(request: QuoteRequest, asksCarriers: boolean): Quote {
    if (asksCarriers) return this.#quotedWhole(request);
    const quoted = quote(this.shop.unasked, request);
    return this.#isTaken(quoted) ? quoted : this.#quotedWhole(request);
  }

  #quotedWhole(request: QuoteRequest): Quote {
    return quote(this.shop.compiled, request, this.#answersTo(request));
  }

  /** What carriers say of the same goods at the same time is the same, whoever orders them with whatever code. */
  #answersTo(request: QuoteRequest): readonly CarrierAnswer[] {
    const { compiled } = this.shop;
    if (!compiled.ask) return [];
    const { lines, discount = 0, placedAt } = request;
    const key = `${placedAt} ${discount} ${lines.map(({ sku, quantity }) => `${sku} ${quantity}`).join()}`;
    const known = this.#answers.get(key);
    if (known) return known;
    const answers = compiled.ask(carrierQuestions(compiled, request));
    this.#answers.set(key, answers);
    return answers;
  }
}
