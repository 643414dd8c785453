import type { Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import { compile, type CompiledBook } from '../quote/compile.ts';
import type { FindingCode, RuleRef } from './finding.ts';
import { mendKey, type Mend, type Shop } from './mends.ts';
import type { PlaceClass } from './place-classes.ts';
import { isOneUnit, refusalKey, skusOf, unitsOf, type Refused } from './refused.ts';
import { unservedCause } from './unserved.ts';

/** A cause for which orders have no choice, with all that was seen of it. */
export interface Stop {
  code: FindingCode;
  /** The cause first. */
  where: readonly [RuleRef, ...RuleRef[]];
  /** The products of which one alone has no choice for this cause, and the classes of places where. */
  alone: Map<string, Set<PlaceClass>>;
  places: Set<PlaceClass>;
  /** The smallest order that shows it, and what was quoted for it. */
  example: QuoteRequest;
  quoted: Quote;
  units: number;
  /** Whether something would take more of a good: then only one alone is known to have no choice. */
  isSmall: boolean;
  /** Whether it was seen in the plainest context: without customer, code or channel, on the day itself. */
  isPlain: boolean;
  /** How an order of several goods can be had in parts, where that is all that is wrong. */
  parts: string | null;
}

/** What was found to explain an order: a cause, or that it only follows from causes that are known. */
type Explained = Pick<Stop, 'code' | 'where' | 'parts'> | 'follows';

/** An order that has no choice. */
export interface Stopped {
  place: PlaceClass;
  refused: Refused;
  isPlain: boolean;
}

const BELOW: readonly string[] = ['below-limit', 'below-minimum', 'below-first-step'];
const NOT_OFFERED = ['no-rate', 'rate-off', 'channel'];

/** To part an order takes far longer than to quote it: so many are tried in vain. */
const MOST_IN_VAIN = 200;

/** Explains orders without a choice by mending, one at a time, the rules that their refusals name. */
export class Stops {
  readonly #found = new Map<string, Stop>();
  readonly #shops = new Map<string, CompiledBook>();
  readonly #explained = new Map<string, { key: string; explained: Explained }>();
  readonly #alone = new Map<string, string>();
  readonly #shop: Shop;
  #inVain = 0;

  constructor(private readonly compiled: CompiledBook) {
    this.#shop = { book: compiled.book, goods: [...compiled.goods.values()] };
  }

  get all(): readonly Stop[] {
    return [...this.#found.values()];
  }

  /** Takes an order that has no choice; orders that are alike in all that was refused are explained once. */
  add(stopped: Stopped): void {
    const { place, refused } = stopped;
    const { request, quoted } = refused;
    const zone = zoneKey(place);
    const alike = `${zone}|${refusalKey(request, quoted)}`;
    const known = this.#explained.get(alike);
    const explained = known?.explained ?? this.#explain(stopped);
    const key = known?.key ?? keyOf(explained);
    this.#explained.set(alike, { key, explained });
    if (isOneUnit(request) && explained !== 'follows') this.#alone.set(`${zone}|${skusOf(request)}`, key);
    if (explained !== 'follows') this.#put(key, explained, stopped);
  }

  #put(
    key: string,
    explained: Exclude<Explained, 'follows'>,
    { place, refused: { request, quoted }, isPlain }: Stopped,
  ): void {
    const units = unitsOf(request);
    const stop = this.#found.get(key) ?? {
      ...explained,
      alone: new Map<string, Set<PlaceClass>>(),
      places: new Set<PlaceClass>(),
      example: request,
      quoted,
      units,
      isSmall: false,
      isPlain,
    };
    this.#found.set(key, stop);
    stop.places.add(place);
    stop.isPlain ||= isPlain;
    if (units < stop.units) Object.assign(stop, { example: request, quoted, units });
    const [line] = request.lines;
    if (!isOneUnit(request) || !line) return;
    stop.isSmall ||= quoted.withheld.some(({ code }) => BELOW.includes(code));
    const places = stop.alone.get(line.sku) ?? new Set<PlaceClass>();
    stop.alone.set(line.sku, places.add(place));
  }

  #explain({ place, refused }: Stopped): Explained {
    const { request, quoted } = refused;
    if (this.#lacksFigure(place, request)) return 'follows';
    const mends = [...refused.mends(this.compiled)].sort(
      (a, b) => a.rank - b.rank || Number(this.#isKnown(b)) - Number(this.#isKnown(a)),
    );
    const mend = mends.find((one) => this.#restores([one], refused));
    if (mend) return this.#byMend(mend, refused);
    if (this.#follows(place, refused, mends)) return 'follows';
    if (!place.zone || !place.served) return { ...unservedCause(this.compiled, place, quoted), parts: null };
    const where: RuleRef = { kind: 'zone', id: place.zone.zone.id };
    if (shippingRefusals(quoted).every((code) => NOT_OFFERED.includes(code)))
      return { code: 'zone-without-rate', where: [where], parts: null };
    const parts = this.#parts(refused);
    if (parts !== null) return { code: 'only-in-parts', where: [where], parts };
    return { code: isOneUnit(request) ? 'goods-not-sent' : 'no-choice', where: [where], parts: null };
  }

  #isKnown(mend: Mend): boolean {
    return this.#found.has(mendKey(mend));
  }

  #byMend(mend: Mend, refused: Refused): Exclude<Explained, 'follows'> {
    const known = this.#found.get(mendKey(mend));
    const parts = known ? null : this.#parts(refused);
    return {
      code: known?.code ?? (parts === null ? mend.code : 'only-in-parts'),
      where: [mend.cause],
      parts,
    };
  }

  /** Whether an order has a good of which a missing figure is told: nothing more can be said of it until that is given. */
  #lacksFigure(place: PlaceClass, request: QuoteRequest): boolean {
    if (isOneUnit(request)) return false;
    return request.lines.some(({ sku }) => this.#alone.get(`${zoneKey(place)}|${sku}`) === `good:${sku}`);
  }

  /**
   * Whether an order only follows from what is told already: a good in it cannot be bought there even alone, or it has a
   * choice once all known causes that its refusals name are mended.
   */
  #follows(place: PlaceClass, refused: Refused, mends: readonly Mend[]): boolean {
    const { request } = refused;
    if (!isOneUnit(request) && request.lines.some(({ sku }) => this.#alone.has(`${zoneKey(place)}|${sku}`)))
      return true;
    const known = mends.filter((mend) => this.#isKnown(mend));
    return known.length > 1 && this.#restores(known, refused);
  }

  #restores(mends: readonly Mend[], refused: Refused): boolean {
    return refused.isRestoredBy(mends, (some) => this.#mended(some));
  }

  #mended(mends: readonly Mend[]): CompiledBook {
    const key = mends.map(mendKey).join('|');
    const known = this.#shops.get(key);
    if (known) return known;
    const { book, goods } = mends.reduce((shop, one) => one.apply(shop), this.#shop);
    const made = compile(book, { goods: [...goods] }, this.compiled.ask, this.compiled.parts);
    this.#shops.set(key, made);
    return made;
  }

  #parts(refused: Refused): string | null {
    if (refused.request.lines.length < 2 || this.#inVain >= MOST_IN_VAIN) return null;
    const parts = refused.parts(this.compiled);
    if (parts === null) this.#inVain += 1;
    return parts;
  }
}

const zoneKey = ({ zone, served, destination }: PlaceClass): string =>
  zone && served ? zone.zone.id : `-${destination.country}`;

/** One entry a cause; what a zone as a whole does not do is told by what that is. */
const keyOf = (explained: Explained): string => {
  if (explained === 'follows') return '';
  const [{ kind, id }] = explained.where;
  const isRule = kind !== 'store' && explained.code !== 'zone-without-rate';
  return isRule ? `${kind}:${id}` : `${explained.code} ${kind}:${id}`;
};

const shippingRefusals = ({ withheld }: Quote): string[] =>
  withheld.filter(({ kind }) => kind === 'shipping').map(({ code }) => code);
