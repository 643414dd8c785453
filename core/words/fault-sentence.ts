import type { Fault, FaultCode } from '../model/fault.ts';

type Detail = Fault['detail'];

const FORMATS: Record<string, string> = {
  slug: 'an id of lower-case letters, digits, dots, hyphens and underscores',
  country: 'a country of two capital letters, such as CA',
  subdivision: 'a region such as CA-NS',
  currency: 'a currency of three capital letters, such as CAD',
  time: 'a time as 09:30',
  date: 'a date as 2026-03-31',
  datetime: 'a moment with its offset, such as 2026-03-31T09:30:00-03:00',
  digits: 'digits only',
};

const expectedName = (detail: Detail): string => {
  const names: Record<string, string> = {
    int: 'a whole number',
    object: 'an object',
    array: 'a list',
    string: 'text',
  };
  const expected = String(detail.expected);
  return names[expected] ?? `a ${expected}`;
};

const sizeUnit = (detail: Detail): string => (detail.of === 'array' ? 'entries' : 'characters');

const WORDS: Record<FaultCode, (detail: Detail) => string> = {
  'not-json': ({ reason }) => `This is not JSON: ${reason}`,
  'later-version': () => 'It is from a later version of this program. Open it there.',
  missing: () => 'This is missing.',
  'wrong-type': (detail) => `This must be ${expectedName(detail)}.`,
  'too-small': ({ limit }) => `This must be at least ${limit}.`,
  'too-big': ({ limit }) => `This must be at most ${limit}.`,
  'too-short': (detail) => `This needs at least ${detail.limit} ${sizeUnit(detail)}.`,
  'too-long': (detail) => `This may have at most ${detail.limit} ${sizeUnit(detail)}.`,
  malformed: ({ format }) => `This must be ${FORMATS[String(format)] ?? 'in the right form'}.`,
  'not-one-of': ({ options }) => `This must be one of: ${options}.`,
  'unknown-field': ({ field }) => `There is no field named “${field}” here.`,
  'no-shape-fits': () => 'This has none of the shapes allowed here.',
  'region-both': () => 'A place is given by a region or by postal patterns, not by both.',
  'subdivision-elsewhere': () => 'The region must belong to the country: CA-NS belongs to CA.',
  'hours-reversed': () => 'Opening hours must end after they begin.',
  'far-from-now': () => 'The year must be between 1970 and 2200.',
  'priced-at-nothing': () => 'A carrier’s price must be above 0.',
  'time-zone': () => 'This must be a time zone, such as America/Halifax.',
  'duplicate-id': ({ id, first }) => `The id “${id}” is already used by ${first}.`,
  'duplicate-rate': ({ first }) => `This service already has a rate in this zone, at ${first}.`,
  'second-remainder': ({ first }) => `Only one zone may take everywhere else; ${first} does.`,
  dangling: ({ id, collection }) => `There is no “${id}” in ${collection}.`,
  'bad-pattern': ({ pattern }) =>
    `“${pattern}” is not a postal pattern: write B3H4R2, B3H*, B3?1* or 90200 to 90299.`,
  'bad-region': ({ text }) =>
    `“${text}” is not a place: write a country such as CA, a region such as CA-NS, or codes such as CA: B3H*, B3J*.`,
  'good-unknown': ({ sku }) =>
    `The catalogue has no “${sku}”; a line of its own must bring a price and a fulfilment.`,
  'subtotal-too-big': ({ limit }) => `The products come to more than ${limit} minor units.`,
  'column-missing': ({ column }) => `No column is “${column}”, and each row needs one.`,
  'column-twice': ({ column }) => `Two columns are both “${column}”.`,
  'cell-missing': () => 'This is empty, and a product that is not here yet needs it.',
  'cell-unread': ({ text, expected }) => `“${text}” was not understood: write ${expected}.`,
  'cell-duplicate': ({ text, row }) => `“${text}” is already in row ${row}.`,
  'rate-rows': ({ expected }) => String(expected),
  'rate-kind-chosen': ({ kind }) =>
    `The board has no “${kind}” price here: choose it on the board first, then import its figures.`,
  'text-unknown': ({ text }) =>
    `“${text}” is not one of your texts: it may have been changed since the list was saved.`,
  'row-too-long': ({ cells, columns }) => `This row has ${cells} cells for ${columns} columns.`,
  'quotes-open': () => 'A quoted cell is not closed.',
  'order-without-goods': () => 'This order has no products, no weight and no subtotal.',
  'sides-incomplete': () => 'A size needs length, width and height.',
  'choice-gone': () => 'This delivery option is no longer offered: choose another.',
  'payment-gone': () => 'This payment method is no longer possible: choose another.',
  'charge-changed': () => 'The charge has changed since it was shown: look at it again before ordering.',
  'slot-needed': () => 'Pick a day or time first.',
  'slot-gone': () => 'That time is no longer available. Choose another.',
  'digest-differs': () => 'The file was changed after it was saved: its digest is another.',
  'no-calendar': () => 'The file is not a calendar that can be read.',
  'calendar-entry': ({ entry }) =>
    `“${entry}” was left out: it has no start date, or its repeat rule cannot be read.`,
  'calendar-repeats': ({ entry }) =>
    `“${entry}” was left out in part: its repeat rule never ends, or never matches a day.`,
  'no-calendar-dates': () => 'The calendar has no entry from today on.',
  'status-not-next': () => 'The order has changed since: look at it again.',
  'no-shape': () => 'The file has no polygon, which an area needs.',
  'duplicate-number': ({ number, first }) => `The order number “${number}” is already used by ${first}.`,
  'basket-too-big': () => 'The basket’s weight or volume is too large to be added up exactly.',
};

/** Every code that has words, for the test that none lacks them. */
export const wordedFaults = Object.keys(WORDS) as FaultCode[];

/** What is wrong and what would be right, in a sentence. */
export const faultSentence = ({ code, detail }: Fault): string => WORDS[code](detail);

/** A fault with its place in front: 'rates[3].price: This is missing.' */
export const locatedSentence = (fault: Fault): string =>
  fault.path === '' ? faultSentence(fault) : `${fault.path}: ${faultSentence(fault)}`;
