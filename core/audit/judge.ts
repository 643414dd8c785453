import type { CarrierAnswer } from '../model/carrier.ts';
import type { Good } from '../model/good.ts';
import type { Quote } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { Destination } from '../model/place.ts';
import type { QuoteRequest } from '../model/request.ts';
import { compile, type CompiledBook, type CompiledService } from '../quote/compile.ts';
import { carrierQuestions } from '../quote/questions.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import type { CompiledArea } from '../quote/nearby.ts';
import {
  allMixes,
  basketsFor,
  probesOf,
  thresholdsOf,
  type Basket,
  type Ruled,
  type Thresholds,
} from './baskets.ts';
import { cellsOf, oneEach } from './cells.ts';
import { leaksIn } from './causes.ts';
import type { Finding, Where } from './finding.ts';
import type { Context } from './moments.ts';
import { reachWords, type PlaceClass } from './place-classes.ts';
import { isAreaForAll, isForAll, isPickupForAll } from './for-all.ts';
import { addressesIn, areasOf, countsFrom, farPoint, isNear } from './nearby-places.ts';
import { dayOf } from '../time/calendar.ts';
import { steadyTimes } from './steady-times.ts';
import type { Stops } from './stops.ts';

/** An adjustment that leaks is one finding, whatever it does to which rates; the others are told by their rules. */
const keyOf = ({ code, where }: Pick<Finding, 'code' | 'where'>): string => {
  const [{ kind, id }] = where;
  if (kind === 'adjustment') return `${kind}:${id}`;
  const told = kind === 'store' ? where.slice(0, 1) : where;
  return `${code}|${told.map((rule) => `${rule.kind}:${rule.id}`).join('|')}`;
};

/** Whether a finding says worse of an adjustment than one that is known: that it takes a charge down to nothing. */
const isWorse = (one: Finding, known: Finding): boolean =>
  one.code !== known.code && one.code === 'free-by-adjustment';

const isSame = (a: Where, b: Where): boolean => a.kind === b.kind && a.id === b.id;
/** So many rules are named for one finding. */
const MOST_RULES = 12;

/** Findings by cause; the first that is found stands, for the plainest orders are judged first. */
export class Findings {
  readonly #found = new Map<string, Finding>();

  add(finding: Finding): void {
    const key = keyOf(finding);
    const known = this.#found.get(key);
    if (!known) {
      this.#found.set(key, finding);
      return;
    }
    if (isWorse(finding, known)) {
      this.#found.set(key, finding);
      return;
    }
    if (finding.code !== known.code) return;
    const more = finding.where.filter((rule) => !known.where.some((one) => isSame(one, rule)));
    if (more.length > 0 && known.where.length < MOST_RULES)
      this.#found.set(key, { ...known, where: [...known.where, ...more] });
  }

  get all(): Finding[] {
    return [...this.#found.values()];
  }
}

/** Whether an order has a good that is not free of charge. */
const isCharged = ({ goods }: CompiledBook, { lines }: QuoteRequest): boolean =>
  lines.some(({ sku }) => goods.get(sku)?.chargeFree !== true);

/** Judges orders of one class of places, and keeps what it finds. */
class Judge {
  stopped = false;
  readonly #answers = new Map<string, readonly CarrierAnswer[]>();

  constructor(
    private readonly compiled: CompiledBook,
    private readonly found: Found,
    private readonly place: PlaceClass,
    private readonly far: Trialling['far'],
    private readonly unasked: CompiledBook,
  ) {}

  /** Carriers are asked about orders that nothing else takes; for the rest only where `asksCarriers` says so. */
  private quoted(request: QuoteRequest, asksCarriers: boolean): Quote {
    const { compiled, place, unasked } = this;
    if (asksCarriers) return quote(compiled, request, this.answersTo(request));
    const quoted = quote(unasked, request);
    const { country } = place.destination;
    return quoted.choices.some((choice) => countsFrom(compiled, choice, country))
      ? quoted
      : quote(compiled, request, this.answersTo(request));
  }

  /** What carriers say of the same goods at the same time is the same, whoever orders them with whatever code. */
  private answersTo(request: QuoteRequest): readonly CarrierAnswer[] {
    const { ask } = this.compiled;
    if (!ask) return [];
    const { lines, discount = 0, placedAt } = request;
    const key = `${placedAt} ${discount} ${lines.map(({ sku, quantity }) => `${sku} ${quantity}`).join()}`;
    const known = this.#answers.get(key);
    if (known) return known;
    const answers = ask(carrierQuestions(this.compiled, request));
    this.#answers.set(key, answers);
    return answers;
  }

  judge(basket: Basket, context: Context, isPlain: boolean, asksCarriers: boolean): void {
    const { place, compiled } = this;
    const { country } = place.destination;
    const destination = this.far ? { ...place.destination, point: this.far } : place.destination;
    const request: QuoteRequest = { destination, ...basket, ...context };
    if (requestFaults(compiled, request).length > 0) return;
    const quoted = this.quoted(request, asksCarriers);
    if (!quoted.choices.some((choice) => countsFrom(compiled, choice, country))) {
      this.stopped = true;
      this.found.stops.add({ place, request, quoted, isPlain });
    }
    for (const choice of quoted.choices)
      for (const { code, where } of leaksIn(choice, isCharged(compiled, request)))
        this.found.findings.add({
          code,
          where,
          detail: { name: choice.name },
          example: request,
          reach: reachWords(place),
        });
  }
}

/** What judging finds: orders without a choice, and charges that leak. */
export interface Found {
  findings: Findings;
  stops: Stops;
}

const ratesIn = ({ services }: CompiledBook, zone: string): Rate[] =>
  services.flatMap(({ byZone }: CompiledService) => {
    const rate = byZone.get(zone)?.rate;
    return rate?.active ? [rate] : [];
  });

/** In how many contexts every mix of a small catalogue is judged. */
const MOST_MIXED = 4;

/** How many orders of one class are judged in every context; beyond it only the plainest context has all. */
const MOST_EACH = 300;

/** One of each probe, and the first and the last of them in every quantity and with every discount. */
const fewOf = (baskets: readonly Basket[], probes: readonly Good[]): Basket[] => {
  const whole = new Set([probes[0]?.sku, probes.at(-1)?.sku]);
  const skus = new Set(probes.map(({ sku }) => sku));
  return baskets.filter(({ lines: [first, ...more], discount }) => {
    if (!first || more.length > 0) return false;
    return whole.has(first.sku) || (skus.has(first.sku) && first.quantity === 1 && discount === undefined);
  });
};

const isOne = ({ lines, discount }: Basket): boolean =>
  discount === undefined && lines.length === 1 && lines[0]?.quantity === 1;

const judgeAll = (
  judge: Judge,
  baskets: readonly Basket[],
  few: readonly Basket[],
  contexts: readonly Context[],
): void => {
  const inAll = baskets.length * contexts.length <= MOST_EACH ? baskets : few;
  contexts.forEach((context, at) => {
    const isPlain = at === 0;
    for (const basket of isPlain ? baskets : inAll)
      judge.judge(basket, context, isPlain, isPlain && isOne(basket));
  });
};

/** What orders are judged with, made once for a book. */
export interface Trialling {
  compiled: CompiledBook;
  contexts: readonly Context[];
  probes: readonly Good[];
  /** Every mix of a catalogue that is small enough; null where it is not. */
  mixes: readonly Basket[] | null;
  /** A point that no area that is drawn holds, and that is too far for every pickup point with a greatest distance. */
  far: NonNullable<Destination['point']> | null;
  /** The same book without the rates that carriers price. */
  unasked: CompiledBook;
  /** The pickup points and ways of areas of which a time can be chosen on every day. */
  steady: ReadonlySet<string>;
}

const withoutCarriers = ({ book, goods }: CompiledBook): CompiledBook => {
  const rates = book.rates.filter(({ price }) => price.kind !== 'carrier');
  return compile({ ...book, rates }, { goods: [...goods.values()] });
};

export const triallingOf = (compiled: CompiledBook, contexts: readonly Context[], on: string): Trialling => ({
  compiled,
  contexts,
  probes: probesOf([...compiled.goods.values()]),
  mixes: allMixes([...compiled.goods.values()].filter(({ fulfilment }) => fulfilment === 'physical')),
  far: farPoint(compiled),
  unasked: withoutCarriers(compiled),
  steady: steadyTimes(compiled, dayOf(on)),
});

/** What the areas and pickup points have that changes its mind at some value. */
const nearbyRules = ({ areas, pickups }: CompiledBook): Ruled[] => [
  ...areas.flatMap(({ area: { price, freeFrom, minSubtotal, limits, methods } }) => [
    { price, freeFrom, minSubtotal, limits },
    ...methods.map((method) => ({ limits: method.limits })),
  ]),
  ...pickups.map(({ point: { minSubtotal, limits } }) => ({ minSubtotal, limits })),
];

/** Whether some choice of a class is offered for every order to it. */
const isSettled = ({ compiled, steady }: Trialling, place: PlaceClass, rates: readonly Rate[]): boolean =>
  rates.some((rate) => isForAll(compiled, rate)) ||
  compiled.pickups.some(
    (pickup) => isPickupForAll(compiled, pickup, steady) && isNear(pickup, place.destination.country),
  ) ||
  (place.served && areasOf(compiled, place).some((area) => isAreaForAll(compiled, area, steady)));

/** One unit of each good, and of the rest one order for each way in which the thresholds are passed. */
const distinct = (compiled: CompiledBook, baskets: readonly Basket[], thresholds: Thresholds): Basket[] => {
  const ones = baskets.filter(isOne);
  const more = baskets.filter((basket) => !isOne(basket));
  return [...ones, ...oneEach(more, cellsOf(compiled, thresholds))];
};

/** Judges every order that the rules tell apart, for one class of places. */
export const judgeClass = (trialling: Trialling, place: PlaceClass, found: Found): void => {
  const { compiled, contexts, probes, mixes, far } = trialling;
  const zone = place.served && place.zone ? place.zone.zone.id : null;
  const rates = zone === null ? [] : ratesIn(compiled, zone);
  const judge = new Judge(compiled, found, place, far, trialling.unasked);
  const thresholds = thresholdsOf(compiled, [...rates, ...nearbyRules(compiled)]);
  const whole = basketsFor(compiled, probes, thresholds);
  const few = distinct(compiled, fewOf(whole, probes), thresholds);
  judgeAll(judge, distinct(compiled, whole, thresholds), few, contexts);
  for (const [at, context] of (mixes ? contexts.slice(0, MOST_MIXED) : []).entries())
    for (const mix of mixes ?? []) judge.judge(mix, context, at === 0, at === 0);
  if (!judge.stopped && !isSettled(trialling, place, rates)) {
    const where: Where = zone === null ? { kind: 'store', id: 'store' } : { kind: 'zone', id: zone };
    found.findings.add({ code: 'not-settled', where: [where], detail: {}, reach: reachWords(place) });
  }
};

/** Judges what deliveries to addresses inside an area that is drawn cost: whether any of them leaks. */
export const judgeDrawn = (
  { compiled, contexts, probes }: Trialling,
  area: CompiledArea,
  findings: Findings,
): void => {
  const { price, freeFrom, minSubtotal, limits } = area.area;
  const thresholds = thresholdsOf(compiled, [{ price, freeFrom, minSubtotal, limits }]);
  const few = fewOf(basketsFor(compiled, probes, thresholds), probes);
  for (const destination of addressesIn(area))
    for (const context of contexts)
      for (const basket of few) {
        const example: QuoteRequest = { destination, ...basket, ...context };
        if (requestFaults(compiled, example).length > 0) continue;
        for (const choice of quote(compiled, example).choices)
          if (choice.kind === 'delivery' && choice.id.startsWith(`${area.area.id}:`))
            for (const { code, where } of leaksIn(choice, isCharged(compiled, example)))
              findings.add({ code, where, detail: { name: choice.name }, example, reach: area.area.name });
      }
};
