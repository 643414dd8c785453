import type { Book } from './book.ts';
import { fault, type Fault } from './fault.ts';
import type { Price } from './price.ts';

/**
 * What a book may hold by its schema and the core does not yet work out. It is refused by name when
 * the book is read: a rule that is ignored would charge too little and say nothing.
 */

const COLLECTIONS: Partial<Record<keyof Book, string>> = {
  boxes: 'boxes',
  carriers: 'carrier accounts',
  areas: 'delivery areas',
  pickups: 'pickup points',
};

const PRICE_KINDS: Partial<Record<Price['kind'], string>> = {
  carrier: 'carrier-calculated rates',
};

const beyond = (path: string, what: string): Fault => fault('not-worked-out', path, { what });

const priceFaults = (price: Price, path: string): Fault[] => {
  const what = PRICE_KINDS[price.kind];
  return what === undefined ? [] : [beyond(`${path}.kind`, what)];
};

const storeFaults = ({ store }: Book): Fault[] =>
  store.packing.kind === 'boxes' ? [beyond('store.packing.kind', 'packing into boxes')] : [];

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
  ...book.adjustments.flatMap(({ effect }, at) =>
    effect.do === 'terms' ? [beyond(`adjustments[${at}].effect`, 'who pays import charges')] : [],
  ),
  ...dutyFaults(book),
];
