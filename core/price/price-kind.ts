import type { Basket } from '../basket/basket.ts';
import type { Refusal } from '../basket/limits.ts';
import type { Measure, Price, RateTable } from '../model/price.ts';
import type { Source } from '../model/quote.ts';
import type { Parcels } from '../pack/parcels.ts';
import type { Place } from '../place/place.ts';
import type { DisplayFormat } from '../words/figure.ts';
import type { Message } from '../words/message.ts';
import type { Curve } from './curve.ts';
import type { Raise } from './raise.ts';
import type { TableIndex } from './table.ts';

/** What a price may look at of an order. */
export interface PricedOrder {
  basket: Basket;
  parcels: Parcels;
  /** Metres from where it leaves, or null where that is not known. */
  distance: number | null;
  place: Place | null;
  tables: TableLookup;
}

/** The rate tables of a book by id, indexed when they are first asked for. */
export type TableLookup = (id: string) => TableIndex | undefined;

/** A line of a working before it is added to a charge; minor units. */
export interface Entry {
  change: number;
  from: Source;
  say: Message;
}

/** What something adds to a charge, or why that cannot be said. */
export type Entries = { ok: true; entries: readonly Entry[] } | { ok: false; refusal: Refusal };

/** Prices an order in which something is charged for; `from` is the rule that the price is of. */
export type PriceOf = (order: PricedOrder, from: Source) => Entries;

/** A price in a few words, and what it goes by: '4.00 to 21.00', 'by weight'. */
export interface PricePhrase {
  price: string;
  by: string | null;
}

/** What the audit knows of a shop when it asks whether a price is there for every order. */
export interface ShopFacts {
  /** Whether each order is one parcel. */
  isSingleParcel: boolean;
  /** Whether each product that travels has the figure. */
  allKnown: (measure: 'weight' | 'volume') => boolean;
  place: Place;
  tables: TableLookup;
}

/**
 * A row of a price in a list of rates: where a step begins in the units of its measure, an amount in minor units, a
 * share in hundredths of a percent. Null is an empty cell; what is left out, the list has no column for.
 */
export interface FigureRow {
  from?: number | null;
  amount?: number | null;
  percent?: number | null;
}

/** What a price names in other parts of the book. */
export interface PriceNames {
  tableId?: string;
  accountId?: string;
}

/** The least and the greatest that a price comes to, minor units. */
export interface Extent {
  least: number;
  most: number;
}

/** All that is known of one kind of price, in one place. */
export interface PriceKind<P extends Price = Price> {
  /** Made once for many orders. Null for a price that a carrier's answers give. */
  prepare: ((price: P) => PriceOf) | null;
  /** One figure that stands for the price: what most like it charges, 0 where it says none. Minor units. */
  figure: (price: P, tables: readonly RateTable[]) => number;
  /** Whether it charges nothing whatever is in the basket. */
  chargesNothing: (price: P) => boolean;
  /** A price of this kind that charges about so much and never less; null where it takes more than an amount. */
  fromAmount: ((amount: number) => P) | null;
  /** The price with its amounts raised. */
  raised: (price: P, raise: Raise) => P;
  /** The price as a line from 0 on, up to `reach` at least; null where it is no line. */
  curve: (price: P, reach: number) => Curve | null;
  /** The measure that the line is drawn against. */
  curveBasis: (price: P) => Measure;
  phrase: (price: P, display: DisplayFormat) => PricePhrase;
  /** Its price with the amount of one part set anew, for a repair; null where it has no such amount. */
  withAmount: (price: P, part: string, amount: number) => P | null;
  /** The measure it goes by, where it takes one. */
  basis: (price: P, tables: readonly RateTable[]) => Measure | null;
  /** The values of that measure at which what it charges may change. */
  changesAt: (price: P, tables: readonly RateTable[]) => readonly number[];
  /** Whether every order to a place has a price by it. */
  isForAll: (price: P, facts: ShopFacts) => boolean;
  /** The least and the greatest it comes to before thresholds and bounds, where that is plain. */
  extent: (price: P) => Extent | null;
  names: (price: P) => PriceNames;
  /** Its figures as the rows of a list. */
  rows: (price: P) => readonly FigureRow[];
  /** The price with the figures of such rows; null where they do not fit its kind. */
  withRows: (price: P, rows: readonly FigureRow[]) => P | null;
  /** In a sentence, how the rows of such a rate have to be. */
  rowsExpected: string;
  /** What a price begins from where rows make the first of its kind; null where more has to be chosen than figures. */
  beginsByRows: ((basis: Measure) => P) | null;
}

/** The price of one kind. */
export type PriceOfKind<K extends Price['kind']> = Extract<Price, { kind: K }>;
