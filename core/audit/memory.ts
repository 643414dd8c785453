import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Destination } from '../model/place.ts';
import { placeOf } from '../place/place.ts';
import { askPostalList } from '../place/postal-list.ts';
import { tableRowsAt } from '../price/table.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { Basket } from './baskets.ts';
import type { Finding } from './finding.ts';
import { areasOf, farPoint } from './nearby-places.ts';
import type { PlaceClass } from './place-classes.ts';
import { relevantTo } from './relevant.ts';
import type { Refused } from './refused.ts';
import { tableOf } from '../price/kinds.ts';

/** What one order told: what tells it from others where nothing takes it, and the charges that leak. */
export interface Verdict {
  stopped: string | null;
  leaks: readonly Pick<Finding, 'code' | 'where' | 'detail'>[];
  /** The order with its quote, where it stands for those that are refused alike. */
  shown?: Refused;
}

/** What judging a class of places told: an order for each way in which nothing takes some, and the charges that leak. */
export interface Outcome {
  stops: readonly { refused: Refused; isPlain: boolean }[];
  leaks: readonly Finding[];
}

/** What is known of one class of places, and of which rules it holds. */
export interface ClassMemory {
  rules: string;
  /** What was judged whole, and of which goods and contexts it holds. */
  whole: { of: string; outcome: Outcome } | null;
  verdicts: Map<string, Verdict>;
}

/** The parts of a book of which a class of places meets some entries only. */
const IN_PARTS: readonly string[] = ['zones', 'rates', 'rateTables', 'postalList', 'adjustments', 'areas'];

const sharedParts = (book: Book): (object | string | number)[] =>
  Object.entries(book).flatMap(([name, part]) => (IN_PARTS.includes(name) ? [] : [part]));

/** A good as it was judged last; its version changes with it. */
interface Version {
  good: Good;
  text: string;
  version: number;
}

/**
 * What audits of one shop found, so that the next judges again only what was edited. Orders to a class of places turn on
 * the rules that may touch it alone: its zone's rates, the tables they use, the adjustments it may meet, and what holds
 * for the whole shop. It is kept by whoever audits one shop again and again, and handed in.
 */
export class AuditMemory {
  #texts = new WeakMap<object, string>();
  #numbers = new WeakMap<object, number>();
  #classes = new Map<string, ClassMemory>();
  #seen = new Map<string, ClassMemory>();
  #goods = new Map<string, Version>();
  #works = new Map<string, { of: readonly unknown[]; value: unknown }>();
  #contexts = new Map<string, string>();
  /** Numbers are given once, by a memory and its forks. */
  #count = { last: 0 };
  #shared = '';
  /** So many orders were quoted since it was made; those that were known are not counted. */
  judged = 0;
  /** Tells catalogues apart: it changes when any good does. */
  goodsKey = '';

  /** Begins an audit of a shop; `on` is the day it is judged from. What an audit that was stopped found is kept. */
  begin(compiled: CompiledBook, on: string): void {
    const areas = compiled.areas.map(({ area: { id, name } }) => `${id} ${name}`);
    const parts = sharedParts(compiled.book).map((part) => this.#textOf(part));
    const shared = [on, JSON.stringify(farPoint(compiled)), ...areas, ...parts].join('|');
    this.#classes = shared === this.#shared ? new Map([...this.#classes, ...this.#seen]) : new Map();
    this.#seen = new Map();
    this.#shared = shared;
    this.#goods = new Map([...compiled.goods.values()].map((good) => [good.sku, this.#versionOf(good)]));
    this.goodsKey = [...this.#goods.values()].map(({ version }) => version).join();
  }

  /** A memory of the same, for a shop that is only tried: what it finds is not remembered here. */
  fork(): AuditMemory {
    const fork = new AuditMemory();
    fork.#texts = this.#texts;
    fork.#numbers = this.#numbers;
    fork.#contexts = new Map(this.#contexts);
    fork.#works = new Map(this.#works);
    fork.#classes = new Map([...this.#classes].map(([key, known]) => [key, { ...known }]));
    fork.#goods = this.#goods;
    fork.#count = this.#count;
    fork.#shared = this.#shared;
    return fork;
  }

  /** Ends an audit: what it did not ask for is forgotten. */
  end(): void {
    this.#classes = this.#seen;
    this.#seen = new Map();
  }

  /** What is known of a class of places; where its rules have changed since, nothing. */
  of(compiled: CompiledBook, place: PlaceClass): ClassMemory {
    return this.#take(JSON.stringify(place.destination), this.#rulesOf(compiled, place));
  }

  /** What is known of an address inside an area that is drawn. */
  ofAddress({ book, postalList }: CompiledBook, area: string, address: Destination): ClassMemory {
    const { rule } = askPostalList(postalList, placeOf(address), book.store.unlistedPostalCodes);
    const parts = [book.adjustments, book.areas].map((part) => this.#textOf(part));
    const rules = [...parts, JSON.stringify(rule), this.#numberOf(book.rateTables)].join('|');
    return this.#take(`${area} ${JSON.stringify(address)}`, rules);
  }

  /** The outcome of some work, kept under a name until one of the things it turns on is another. */
  kept<T>(name: string, of: readonly unknown[], work: () => T): T {
    const known = this.#works.get(name);
    if (known && known.of.length === of.length && known.of.every((one, at) => Object.is(one, of[at])))
      return known.value as T;
    const value = work();
    this.#works.set(name, { of, value });
    return value;
  }

  /** A short text for a context, that tells it from others. */
  contextKey(context: object): string {
    const text = JSON.stringify(context);
    const known = this.#contexts.get(text) ?? `@${this.#contexts.size}`;
    this.#contexts.set(text, known);
    return known;
  }

  /** Tells goods and discounts apart, and a good from what it was before it was edited. */
  keyOf({ lines, discount }: Basket): string {
    let key = discount === undefined ? '' : `${discount}-`;
    for (const { sku, quantity } of lines) key += `${this.#goods.get(sku)?.version ?? sku}x${quantity},`;
    return key;
  }

  #take(key: string, rules: string): ClassMemory {
    const known = this.#classes.get(key) ?? this.#seen.get(key);
    const taken =
      known?.rules === rules ? known : { rules, whole: null, verdicts: new Map<string, Verdict>() };
    this.#seen.set(key, taken);
    return taken;
  }

  #versionOf(good: Good): Version {
    const known = this.#goods.get(good.sku);
    if (known?.good === good) return known;
    const text = JSON.stringify(good);
    if (known?.text === text) return { ...known, good };
    this.#count.last += 1;
    return { good, text, version: this.#count.last };
  }

  /** Tells objects apart: long lists are the same only where they are the very same. */
  #numberOf(part: object): number {
    const known = this.#numbers.get(part);
    if (known !== undefined) return known;
    this.#count.last += 1;
    this.#numbers.set(part, this.#count.last);
    return this.#count.last;
  }

  #textOf(part: object | string | number): string {
    if (typeof part !== 'object') return String(part);
    const known = this.#texts.get(part);
    if (known !== undefined) return known;
    const text = JSON.stringify(part);
    this.#texts.set(part, text);
    return text;
  }

  #rulesOf(compiled: CompiledBook, classOf: PlaceClass): string {
    const { place, zone, served, postalLine } = classOf;
    const { unlistedPostalCodes } = compiled.book.store;
    const { rule } = askPostalList(compiled.postalList, place, unlistedPostalCodes);
    const rates = zone ? compiled.services.map(({ byZone }) => byZone.get(zone.zone.id)?.rate ?? null) : [];
    const areas = areasOf(compiled, classOf).map(({ area }) => area);
    const tables = [...rates, ...areas].map((priced) => {
      const index = priced && tableOf(priced.price, compiled.tables);
      if (!index) return null;
      const { rows: _, ...head } = index.table;
      return [head, tableRowsAt(index, place)];
    });
    const head = zone && [zone.zone.id, zone.zone.name, zone.because];
    const adjustments = relevantTo(compiled, classOf);
    return JSON.stringify([head, served, postalLine, rule, rates, tables, areas, adjustments]);
  }
}
