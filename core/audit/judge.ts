import type { Good } from '../model/good.ts';
import type { Quote } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { Destination } from '../model/place.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook, CompiledService } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import { subdivisionOfCode } from '../place/subdivision-of-code.ts';
import { measureFigure } from '../words/figure.ts';
import type { CompiledArea } from '../quote/nearby.ts';
import { allMixes, basketsFor, probesOf, thresholdsOf, type Basket, type Ruled } from './baskets.ts';
import { inParts } from './in-parts.ts';
import { leaksIn, stopIn, widestLimit, type Cause } from './causes.ts';
import type { Finding, Where } from './finding.ts';
import type { Context } from './moments.ts';
import { reachWords, type PlaceClass } from './place-classes.ts';
import { isAreaForAll, isForAll, isPickupForAll } from './for-all.ts';
import { addressesIn, areasOf, countsFrom, farPoint, isNear } from './nearby-places.ts';
import { dayOf } from '../time/calendar.ts';
import { steadyTimes } from './steady-times.ts';
import { unservedCause } from './unserved.ts';

const keyOf = ({ code, where }: Pick<Finding, 'code' | 'where'>): string =>
  `${code}|${where.map(({ kind, id }) => `${kind}:${id}`).join('|')}`;

/** Findings by code and place; the first that is found stands, for the plainest orders are judged first. */
export class Findings {
  readonly #found = new Map<string, Finding>();

  add(finding: Finding): void {
    const key = keyOf(finding);
    if (!this.#found.has(key)) this.#found.set(key, finding);
  }

  has(cause: Pick<Finding, 'code' | 'where'>): boolean {
    return this.#found.has(keyOf(cause));
  }

  get all(): Finding[] {
    return [...this.#found.values()];
  }
}

/** Goods that a zone sends by no service, one of each being more than it takes. */
interface Unsent {
  goods: Map<string, string>;
  example: QuoteRequest;
  reach: string;
}

const isOneUnit = ({ lines, discount }: QuoteRequest): boolean =>
  discount === undefined && lines.length === 1 && lines[0]?.quantity === 1;

/** Beyond which figure nothing takes an order, as the widest of the limits says it: 'above 450 kg'. */
const limitWords = (compiled: CompiledBook, quoted: Quote): string | null => {
  const limit = widestLimit(quoted);
  if (!limit) return null;
  const figure = measureFigure(limit.measure, limit.limit, compiled.speech);
  return `${limit.code === 'above-limit' ? 'above' : 'below'} ${figure}`;
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Whether a place's code lies in another province than the one it names: it is judged, but nobody lives there. */
const isContradictory = ({ place: { country, subdivision, code } }: PlaceClass): boolean => {
  const said = code === undefined ? undefined : subdivisionOfCode(country, code);
  return said !== undefined && subdivision !== undefined && said !== subdivision;
};

/**
 * So many orders of a class are tried in parts without success; the rest are told by what stops them, as these are. To
 * part an order takes far longer than to quote it.
 */
const MOST_IN_VAIN = 500;

/** Judges orders of one class of places, and keeps what it finds. */
class Judge {
  readonly unsent = new Map<string, Unsent>();
  stopped = false;
  readonly #zone: string | null;
  #inVain = 0;

  constructor(
    private readonly compiled: CompiledBook,
    private readonly findings: Findings,
    private readonly place: PlaceClass,
    private readonly far: Trialling['far'],
  ) {
    this.#zone = place.served && place.zone ? place.zone.zone.id : null;
  }

  judge(basket: Basket, context: Context): void {
    const { country } = this.place.destination;
    const destination = this.far ? { ...this.place.destination, point: this.far } : this.place.destination;
    const request: QuoteRequest = { destination, ...basket, ...context };
    if (requestFaults(this.compiled, request).length > 0) return;
    const quoted = quote(this.compiled, request);
    if (!quoted.choices.some((choice) => countsFrom(this.compiled, choice, country)))
      this.stops(quoted, request);
    for (const choice of quoted.choices)
      for (const cause of leaksIn(choice)) this.keep(cause, request, { name: choice.name });
  }

  private keep({ code, where }: Cause, example: QuoteRequest, detail: Finding['detail'], more = ''): void {
    this.findings.add({ code, where, detail, example, reach: `${reachWords(this.place)}${more}` });
  }

  private stops(quoted: Quote, request: QuoteRequest): void {
    this.stopped = true;
    const zone = this.#zone;
    const cause = zone === null ? unservedCause(this.compiled, this.place, quoted) : stopIn(quoted, zone);
    if (zone !== null && cause.code !== 'zone-without-rate' && isOneUnit(request)) this.lacks(zone, request);
    else if (request.lines.length < 2 || !this.goesInParts(cause, request)) this.tell(cause, quoted, request);
  }

  /** A good of which one alone is sent by nothing. */
  private lacks(zone: string, request: QuoteRequest): void {
    const known = this.unsent.get(zone) ?? {
      goods: new Map(),
      example: request,
      reach: reachWords(this.place),
    };
    const sku = request.lines[0]?.sku ?? '';
    known.goods.set(sku, this.compiled.goods.get(sku)?.name ?? sku);
    this.unsent.set(zone, known);
  }

  /** Whether an order of several goods is known to be had in parts, or both that and the fault itself are told already. */
  private goesInParts({ code, where }: Cause, request: QuoteRequest): boolean {
    if (isContradictory(this.place)) return false;
    const inPart: Cause = { code: 'only-in-parts', where };
    if (this.findings.has(inPart) && this.findings.has({ code, where })) return true;
    if (this.#inVain >= MOST_IN_VAIN) return false;
    const parts = inParts(this.compiled, request);
    if (parts === null) this.#inVain += 1;
    else this.keep(inPart, request, { parts });
    return parts !== null;
  }

  private tell(cause: Cause, quoted: Quote, request: QuoteRequest): void {
    if (this.findings.has(cause)) return;
    if (this.#zone === null) return this.keep(cause, request, { place: reachWords(this.place) });
    const limit = limitWords(this.compiled, quoted);
    const detail: Finding['detail'] = limit === null ? {} : { limit: capital(limit) };
    this.keep(cause, request, detail, limit === null ? '' : `, ${limit}`);
  }
}

const ratesIn = ({ services }: CompiledBook, zone: string): Rate[] =>
  services.flatMap(({ byZone }: CompiledService) => {
    const rate = byZone.get(zone)?.rate;
    return rate?.active ? [rate] : [];
  });

/** In how many contexts every mix of a small catalogue is judged. */
const MOST_MIXED = 4;

/** How many orders of one class are judged in every context; beyond it only the plainest context has all. */
const MOST_EACH = 1_000;

/** One of each probe, and the first and the last of them in every quantity and with every discount. */
const fewOf = (baskets: readonly Basket[], probes: readonly Good[]): Basket[] => {
  const whole = new Set([probes[0]?.sku, probes.at(-1)?.sku]);
  const skus = new Set(probes.map(({ sku }) => sku));
  return baskets.filter(({ lines: [first, ...more], discount }) => {
    if (!first || more.length > 0) return false;
    return whole.has(first.sku) || (skus.has(first.sku) && first.quantity === 1 && discount === undefined);
  });
};

const judgeAll = (
  judge: Judge,
  baskets: readonly Basket[],
  few: readonly Basket[],
  contexts: readonly Context[],
): void => {
  const inAll = baskets.length * contexts.length <= MOST_EACH ? baskets : few;
  contexts.forEach((context, at) => {
    for (const basket of at === 0 ? baskets : inAll) judge.judge(basket, context);
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
  /** The pickup points and ways of areas of which a time can be chosen on every day. */
  steady: ReadonlySet<string>;
}

export const triallingOf = (compiled: CompiledBook, contexts: readonly Context[], on: string): Trialling => ({
  compiled,
  contexts,
  probes: probesOf([...compiled.goods.values()]),
  mixes: allMixes([...compiled.goods.values()].filter(({ fulfilment }) => fulfilment === 'physical')),
  far: farPoint(compiled),
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

/** Judges every order that the rules tell apart, for one class of places. */
export const judgeClass = (
  trialling: Trialling,
  place: PlaceClass,
  findings: Findings,
  unsent: Map<string, Unsent>,
): void => {
  const { compiled, contexts, probes, mixes, far } = trialling;
  const zone = place.served && place.zone ? place.zone.zone.id : null;
  const rates = zone === null ? [] : ratesIn(compiled, zone);
  const judge = new Judge(compiled, findings, place, far);
  const baskets = basketsFor(compiled, probes, thresholdsOf(compiled, [...rates, ...nearbyRules(compiled)]));
  const few = fewOf(baskets, probes);
  judgeAll(judge, baskets, few, contexts);
  for (const context of mixes ? contexts.slice(0, MOST_MIXED) : [])
    for (const mix of mixes ?? []) judge.judge(mix, context);
  if (!judge.stopped && !isSettled(trialling, place, rates)) {
    const where: Where = zone === null ? { kind: 'store', id: 'store' } : { kind: 'zone', id: zone };
    findings.add({ code: 'not-settled', where: [where], detail: {}, reach: reachWords(place) });
  }
  for (const [id, found] of judge.unsent) {
    const known = unsent.get(id);
    if (!known) unsent.set(id, found);
    else for (const [sku, name] of found.goods) known.goods.set(sku, name);
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
            for (const { code, where } of leaksIn(choice))
              findings.add({ code, where, detail: { name: choice.name }, example, reach: area.area.name });
      }
};

/** The goods that each zone sends by no service, one finding a zone. */
export const addUnsent = (unsent: ReadonlyMap<string, Unsent>, findings: Findings): void => {
  for (const [id, { goods, example, reach }] of unsent) {
    const names = [...goods.values()];
    findings.add({
      code: 'goods-not-sent',
      where: [{ kind: 'zone', id }],
      detail: { goods: names.slice(0, 3).join(', '), count: names.length },
      example,
      reach,
    });
  }
};
export type { Unsent };
