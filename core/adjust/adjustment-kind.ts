import type { Refusal } from '../basket/limits.ts';
import type { Condition, Effect } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Region } from '../model/place.ts';
import type { Measure } from '../model/price.ts';
import type { Source } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { Entries, PricedOrder } from '../price/price-kind.ts';
import type { DayNumber } from '../time/calendar.ts';
import type { DisplayFormat } from '../words/figure.ts';

/** What an adjustment may look at of an order. */
export interface AdjustedOrder extends PricedOrder {
  request: Pick<QuoteRequest, 'code' | 'customer' | 'channel'>;
  /** The day on which it was placed, in the store's time zone; worked out when it is first asked for. */
  placedOn: () => DayNumber;
}

/** Whether a condition holds; a refusal where it turns on a weight or size that is not known. */
export type Test = (order: AdjustedOrder) => boolean | Refusal;

/** What the ids of a rule name, and how its figures are written. */
export interface Naming {
  book: Pick<Book, 'services' | 'zones' | 'groups' | 'areas' | 'pickups'>;
  goods: ReadonlyMap<string, Good>;
  display: DisplayFormat;
}

/** Products that a rule names, by group or by themselves. */
export interface NamedGoods {
  groupIds?: string[] | undefined;
  skus?: string[] | undefined;
}

/** Why no order meets a condition. */
export type EmptyCondition =
  | { why: 'names-nothing'; what: 'goods' | 'codes' | 'places' | 'days' }
  | { why: 'range-empty' }
  | { why: 'dates-empty' }
  | { why: 'dates-over'; to: string };

/** A condition that turns on the day on which an order is placed. */
export interface DayCondition<C> {
  holds: (condition: C, day: DayNumber) => boolean;
  /** Days on which it begins or ends to hold, besides those that come round within a week. */
  changes: (condition: C) => DayNumber[];
}

/** All that is known of one kind of condition, in one place. */
export interface ConditionKind<C extends Condition = Condition> {
  /** Made once for many orders. */
  prepare: (condition: C) => Test;
  /** As part of a sentence: 'the goods come to 85.00 or more'. */
  words: (condition: C, naming: Naming) => string;
  /** Why no order placed on a day or later meets it, or null. */
  empty: (condition: C, on: string) => EmptyCondition | null;
  /** Whether no order meets this one and another of its kind. */
  excludes: (a: C, b: C) => boolean;
  /** What it is about, as a code: its kind, or the measure it takes. */
  about: (condition: C) => string;
  /** The measure it takes, and the values at which it begins or ends to hold. */
  basis: (condition: C) => { of: Measure; at: readonly number[] } | null;
  goods: (condition: C) => NamedGoods;
  regions: (condition: C) => readonly Region[];
  days: DayCondition<C> | null;
}

/** The adjustment that an effect is of. */
export interface EffectOf {
  name: string;
  source: Source;
  /** Whether it ends the list. */
  last: boolean;
}

/** All that is known of one kind of effect, in one place. */
export interface EffectKind<E extends Effect = Effect> {
  /** What it does to a charge of so many minor units; or why that cannot be said. */
  change: (effect: E, running: number, order: AdjustedOrder, of: EffectOf) => Entries;
  /** As the end of a sentence: 'is free'. */
  words: (effect: E, naming: Naming) => string;
  /** Whether it changes no charge. */
  isIdle: (effect: E) => boolean;
  /** Whether it may withhold a choice that it is for. */
  mayWithhold: (effect: E, shop: { isSingleParcel: boolean }) => boolean;
  goods: (effect: E) => NamedGoods;
  /** Whether what it did is lost where a later one replaces the charge. */
  isOverruled: boolean;
  /** Whether it puts another charge in place of the one so far. */
  replaces: boolean;
}
