import type { CarrierAnswer, CarrierQuestion } from '../model/carrier.ts';
import type { Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { carrierQuestions } from '../quote/questions.ts';
import { measureOrder, quote, type MeasuredOrder } from '../quote/quote.ts';
import { leaksIn } from './causes.ts';
import { Findings } from './findings.ts';
import type { AuditContext, KeyedBasket, KeyedContext } from './audit-context.ts';
import type { Outcome, Verdict } from './memory.ts';
import { countsFrom } from './nearby-places.ts';
import { placeWords, type PlaceClass } from './place-classes.ts';
import { refusalKey, Refused, unitsOf } from './refused.ts';

/** Whether an order has a good that is not free of charge. */
export const isCharged = ({ goods }: CompiledBook, { lines }: QuoteRequest): boolean =>
  lines.some(({ sku }) => goods.get(sku)?.chargeFree !== true);

/** How an order is judged: whether its context is the plainest, and whether carriers are asked though others take it. */
export interface JudgeOptions {
  isPlain: boolean;
  asksCarriers: boolean;
}

const CLEAR: Verdict = { stopped: null, leaks: [] };

/** Judges orders to one class of places, and keeps what it finds; what is known of an order is not judged again. */
export class Judge {
  readonly #answers = new Map<string, readonly CarrierAnswer[]>();
  readonly #stops = new Map<string, { refused: Refused; isPlain: boolean }>();
  readonly #leaks = new Findings();
  /** What is said of each order now. */
  readonly verdicts = new Map<string, Verdict>();

  constructor(
    private readonly shop: AuditContext,
    private readonly place: PlaceClass,
    /** Whether carriers price any rate there. */
    private readonly hasCarriers: boolean,
    /** What audits before said of orders to the class. */
    private readonly before: ReadonlyMap<string, Verdict>,
  ) {}

  get outcome(): Outcome {
    return { stops: [...this.#stops.values()], leaks: this.#leaks.all };
  }

  judge({ basket, key: goods }: KeyedBasket, { context, key: by }: KeyedContext, manner: JudgeOptions): void {
    const { place, before, verdicts, shop } = this;
    const { isPlain, asksCarriers } = manner;
    const key = `${goods}${asksCarriers ? '!' : ''}${by}`;
    const known = before.get(key);
    if (known) verdicts.set(key, known);
    if (known === CLEAR) return;
    const destination = shop.far ? { ...place.destination, point: shop.far } : place.destination;
    const request: QuoteRequest = { destination, ...basket, ...context };
    const made = known ? null : this.#verdictOf(request, asksCarriers);
    const verdict = known ?? made?.verdict ?? CLEAR;
    verdicts.set(key, verdict);
    for (const leak of verdict.leaks)
      this.#leaks.add({ ...leak, example: request, reach: placeWords(place, this.shop.compiled.display) });
    if (verdict.stopped !== null) this.#stop(verdict, request, isPlain, made?.quoted);
  }

  /** Of orders that are refused alike the smallest stands for all. */
  #stop(verdict: Verdict, request: QuoteRequest, isPlain: boolean, quoted?: Quote): void {
    const alike = verdict.stopped ?? '';
    const known = this.#stops.get(alike);
    if (known && unitsOf(request) >= unitsOf(known.refused.request)) {
      known.isPlain ||= isPlain;
      return;
    }
    verdict.shown ??= new Refused(request, quoted ?? this.#quotedWhole(request));
    this.#stops.set(alike, { refused: verdict.shown, isPlain: isPlain || (known?.isPlain ?? false) });
  }

  /** What an order tells, with the quote that says so; null for one that cannot be placed. */
  #verdictOf(request: QuoteRequest, asksCarriers: boolean): { verdict: Verdict; quoted: Quote } | null {
    const { compiled, memory } = this.shop;
    const order = measureOrder(compiled, request);
    if (!order.ok) return null;
    memory.judged += 1;
    const quoted = this.#quoted(request, order.value, asksCarriers);
    const isTaken = this.#isTaken(quoted);
    const leaks = quoted.choices.flatMap((choice) =>
      leaksIn(choice, isCharged(compiled, request)).map((leak) => ({
        ...leak,
        detail: { name: choice.name },
      })),
    );
    if (isTaken && leaks.length === 0) return { verdict: CLEAR, quoted };
    return { verdict: { stopped: isTaken ? null : refusalKey(request, quoted), leaks }, quoted };
  }

  #isTaken({ choices }: Quote): boolean {
    const { country } = this.place.destination;
    return choices.some((choice) => countsFrom(this.shop.compiled, choice, country));
  }

  /** Carriers are asked about orders that nothing else takes; for the rest only where `asksCarriers` says so. */
  #quoted(request: QuoteRequest, order: MeasuredOrder, asksCarriers: boolean): Quote {
    if (!asksCarriers && this.hasCarriers) {
      const quoted = quote(this.shop.unasked, request);
      if (this.#isTaken(quoted)) return quoted;
    }
    return order.quote(this.#answersTo(request, order.questions));
  }

  #quotedWhole(request: QuoteRequest): Quote {
    const { compiled } = this.shop;
    return quote(
      compiled,
      request,
      this.#answersTo(request, () => carrierQuestions(compiled, request)),
    );
  }

  /** What carriers say of the same goods at the same time is the same, whoever orders them with whatever code. */
  #answersTo(request: QuoteRequest, questions: () => CarrierQuestion[]): readonly CarrierAnswer[] {
    const { compiled } = this.shop;
    if (!compiled.ask) return [];
    const { lines, discount = 0, placedAt } = request;
    const key = `${placedAt} ${discount} ${lines.map(({ sku, quantity }) => `${sku} ${quantity}`).join()}`;
    const known = this.#answers.get(key);
    if (known) return known;
    const answers = compiled.ask(questions());
    this.#answers.set(key, answers);
    return answers;
  }
}
