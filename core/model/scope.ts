import type { Book } from './book.ts';
import { fault, type Fault } from './fault.ts';
import type { Price } from './price.ts';

/**
 * What a book may hold by its schema and the core does not yet work out. It is refused by name when
 * the book is read: a rule that is ignored would charge too little and say nothing.
 */

const COLLECTIONS: Partial<Record<keyof Book, string>> = {
  groups: 'handling groups',
  boxes: 'boxes',
  rateTables: 'rate tables',
  carriers: 'carrier accounts',
  areas: 'delivery areas',
  pickups: 'pickup points',
  postalList: 'a postal list',
  adjustments: 'adjustments',
  payments: 'payment options',
};

const PRICE_KINDS: Record<Exclude<Price['kind'], 'flat' | 'tiers'>, string> = {
  percent: 'prices as a percentage',
  'by-goods': 'prices by goods',
  table: 'prices from a table',
  carrier: 'carrier-calculated rates',
};

const beyond = (path: string, what: string): Fault => fault('not-worked-out', path, { what });

const priceFaults = (price: Price, path: string): Fault[] => {
  if (price.kind === 'flat') {
    return [
      ...(price.per === 'order' ? [] : [beyond(`${path}.per`, `flat prices per ${price.per}`)]),
      ...(price.first === undefined ? [] : [beyond(`${path}.first`, 'a price of its own for the first one')]),
    ];
  }
  if (price.kind === 'tiers') {
    return [
      ...(price.per === 'order' ? [] : [beyond(`${path}.per`, 'tiers per parcel')]),
      ...(price.basis === 'distance' ? [beyond(`${path}.basis`, 'tiers by distance')] : []),
    ];
  }
  return [beyond(`${path}.kind`, PRICE_KINDS[price.kind])];
};

const storeFaults = ({ store }: Book): Fault[] =>
  store.packing.kind === 'single'
    ? []
    : [beyond('store.packing.kind', `packing of the kind “${store.packing.kind}”`)];

const dutyFaults = ({ duties }: Book): Fault[] => [
  ...(duties.rates.length > 0 ? [beyond('duties.rates', 'import charges')] : []),
  ...(duties.clearanceFee > 0 ? [beyond('duties.clearanceFee', 'a clearance fee')] : []),
  ...(duties.show === 'hide' ? [] : [beyond('duties.show', 'showing import charges')]),
  ...(duties.terms === 'DAP' ? [] : [beyond('duties.terms', 'prepaid import charges')]),
];

/** Each part of a book that this version would have to ignore; empty and neutral values pass. */
export const scopeFaults = (book: Book): Fault[] => [
  ...storeFaults(book),
  ...Object.entries(COLLECTIONS).flatMap(([name, what]) =>
    (book[name as keyof Book] as readonly unknown[]).length > 0 ? [beyond(name, what)] : [],
  ),
  ...book.rates.flatMap((rate, at) => priceFaults(rate.price, `rates[${at}].price`)),
  ...dutyFaults(book),
];
