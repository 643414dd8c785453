import type { Good } from '../model/good.ts';
import type { Quote } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook, CompiledService } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import { measureFigure } from '../words/figure.ts';
import { allMixes, basketsFor, probesOf, thresholdsOf, type Basket } from './baskets.ts';
import { leaksIn, stopIn, widestLimit, type Cause } from './causes.ts';
import type { Finding, Where } from './finding.ts';
import type { Context } from './moments.ts';
import type { PlaceClass } from './place-classes.ts';
import { isForAll } from './for-all.ts';

/** Findings by code and place; the first that is found stands, for the plainest orders are judged first. */
export class Findings {
  readonly #found = new Map<string, Finding>();

  add(finding: Finding): void {
    const key = `${finding.code}|${finding.where.map(({ kind, id }) => `${kind}:${id}`).join('|')}`;
    if (!this.#found.has(key)) this.#found.set(key, finding);
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

/** A class of places in a few words: the entry that decides, and the zone. */
export const reachWords = ({ zone, destination }: PlaceClass): string => {
  const place = destination.postalCode ?? destination.subdivision ?? destination.country;
  return zone && zone.because !== place ? `${place} (${zone.because})` : place;
};

/** Beyond which figure nothing takes an order, as the widest of the limits says it: 'above 450 kg'. */
const limitWords = (compiled: CompiledBook, quoted: Quote): string | null => {
  const limit = widestLimit(quoted);
  if (!limit) return null;
  const figure = measureFigure(limit.measure, limit.limit, compiled.speech);
  return `${limit.code === 'above-limit' ? 'above' : 'below'} ${figure}`;
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Judges orders of one class of places, and keeps what it finds. */
class Judge {
  readonly unsent = new Map<string, Unsent>();
  stopped = false;

  constructor(
    private readonly compiled: CompiledBook,
    private readonly findings: Findings,
    private readonly place: PlaceClass,
    private readonly zone: string,
  ) {}

  judge(basket: Basket, context: Context): void {
    const request: QuoteRequest = { destination: this.place.destination, ...basket, ...context };
    if (requestFaults(this.compiled, request).length > 0) return;
    const quoted = quote(this.compiled, request);
    if (quoted.choices.length === 0) this.stops(quoted, request);
    for (const choice of quoted.choices)
      for (const cause of leaksIn(choice)) this.keep(cause, request, { name: choice.name });
  }

  private keep({ code, where }: Cause, example: QuoteRequest, detail: Finding['detail'], more = ''): void {
    this.findings.add({ code, where, detail, example, reach: `${reachWords(this.place)}${more}` });
  }

  private stops(quoted: Quote, request: QuoteRequest): void {
    this.stopped = true;
    const cause = stopIn(quoted, this.zone);
    const sku = request.lines[0]?.sku ?? '';
    if (cause.code !== 'zone-without-rate' && isOneUnit(request)) {
      const known = this.unsent.get(this.zone) ?? {
        goods: new Map(),
        example: request,
        reach: reachWords(this.place),
      };
      known.goods.set(sku, this.compiled.goods.get(sku)?.name ?? sku);
      this.unsent.set(this.zone, known);
      return;
    }
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
}

export const triallingOf = (compiled: CompiledBook, contexts: readonly Context[]): Trialling => ({
  compiled,
  contexts,
  probes: probesOf([...compiled.goods.values()]),
  mixes: allMixes([...compiled.goods.values()].filter(({ fulfilment }) => fulfilment === 'physical')),
});

/** Judges every order that the rules of a zone tell apart, for one class of places that falls to it. */
export const judgeClass = (
  { compiled, contexts, probes, mixes }: Trialling,
  place: PlaceClass,
  findings: Findings,
  unsent: Map<string, Unsent>,
): void => {
  if (!place.zone) return;
  const zone: Where = { kind: 'zone', id: place.zone.zone.id };
  const rates = ratesIn(compiled, zone.id);
  const judge = new Judge(compiled, findings, place, zone.id);
  const baskets = basketsFor(compiled, probes, thresholdsOf(compiled, rates));
  const few = fewOf(baskets, probes);
  judgeAll(judge, baskets, few, contexts);
  for (const context of mixes ? contexts.slice(0, MOST_MIXED) : [])
    for (const mix of mixes ?? []) judge.judge(mix, context);
  if (!judge.stopped && !rates.some((rate) => isForAll(compiled, rate)))
    findings.add({ code: 'not-settled', where: [zone], detail: {}, reach: reachWords(place) });
  for (const [id, found] of judge.unsent) {
    const known = unsent.get(id);
    if (!known) unsent.set(id, found);
    else for (const [sku, name] of found.goods) known.goods.set(sku, name);
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
