/**
 * A carrier's written tariff, as data. Amounts are minor units of its currency, weights grams, lengths
 * millimetres, distances metres, points 100 to the percent.
 */
export interface Tariff {
  id: string;
  name: string;
  /** What it is, in half a line. */
  about: string;
  currency: string;
  /** The country it collects in. */
  collectsIn: string;
  /** Zones in their order: the first whose countries and distance hold a destination. */
  zones: readonly TariffZone[];
  services: readonly TariffService[];
  surcharges: readonly Surcharge[];
  /** Fuel, as points of the basic price, by the week of the year in which a parcel leaves: a row that repeats. */
  fuel: readonly number[];
  /** Declared value: what is included, and the price of each begun step above it. */
  cover: { included: number; step: number; amount: number };
  /** The carrier's own boxes at one price a zone, `null` where they do not go. */
  onePrice?: { boxes: readonly OnePriceBox[]; service: string };
  /** Accounts with prices of their own: what is taken off the public price. */
  accounts: readonly { number: string; secret: string; off: number }[];
}

export interface TariffZone {
  name: string;
  countries: readonly string[] | 'rest';
  upTo?: number;
}

export interface TariffService {
  code: string;
  name: string;
  /** Whether each parcel is priced for itself, or all that leaves together as one. */
  each: 'parcel' | 'shipment';
  /** Cubic millimetres that count as a gram; without it, only true weight counts. */
  dimensional?: number;
  greatest: {
    weight: number;
    longestSide: number;
    /** The longest side and twice the two others. */
    lengthAndGirth?: number;
    /** How thick a letter may be; a parcel of unknown size is no letter. */
    thickness?: number;
  };
  /** By weight up to and including, a price for each zone. */
  steps: readonly { upTo: number; amounts: readonly number[] }[];
  /** For each begun kilogram above the last step, by zone. */
  beyond?: readonly number[];
  /** Working days on the way, by zone; `null` where the service does not go. */
  days: readonly ({ min: number; max: number } | null)[];
  /** Beginnings of postal areas it does not go to, as 'CA:X0'. */
  notTo?: readonly string[];
}

export interface Surcharge {
  name: string;
  when:
    | { kind: 'residential' }
    | { kind: 'remote'; areas: readonly string[] }
    | { kind: 'long-side'; over: number }
    | { kind: 'heavy'; over: number }
    | { kind: 'insured'; from: number };
  amount: number;
  each: 'parcel' | 'shipment';
  /** The services it is for; all without. */
  services?: readonly string[];
}

export interface OnePriceBox {
  code: string;
  name: string;
  inside: { length: number; width: number; height: number };
  maxWeight: number;
  amounts: readonly (number | null)[];
}
