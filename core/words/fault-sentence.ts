import { t } from '../translate/translate.ts';
import { labelled } from './labelled.ts';
import type { Fault, FaultCode } from '../model/fault.ts';

type Detail = Fault['detail'];

const FORMATS: Record<string, string> = {
  slug: t('an id of lower-case letters, digits, dots, hyphens and underscores'),
  country: t('a country of two capital letters, such as CA'),
  subdivision: t('a region such as CA-NS'),
  currency: t('a currency of three capital letters, such as CAD'),
  time: t('a time as 09:30'),
  date: t('a date as 2026-03-31'),
  datetime: t('a moment with its offset, such as 2026-03-31T09:30:00-03:00'),
  digits: t('digits only'),
};

const expectedName = (detail: Detail): string => {
  const names: Record<string, string> = {
    int: t('a whole number'),
    object: t('an object'),
    array: t('a list'),
    string: t('text'),
  };
  const expected = String(detail.expected);
  return names[expected] ?? t('a {expected}', { expected });
};

const sizeUnit = (detail: Detail): string => (detail.of === 'array' ? t('entries') : t('characters'));

const WORDS: Record<FaultCode, (detail: Detail) => string> = {
  'not-json': ({ reason }) => t('This is not JSON: {reason}', { reason }),
  'later-version': () => t('It is from a later version of this program. Open it there.'),
  missing: () => t('This is missing.'),
  'wrong-type': (detail) => t('This must be {expectedName}.', { expectedName: expectedName(detail) }),
  'too-small': ({ limit }) => t('This must be at least {limit}.', { limit }),
  'too-big': ({ limit }) => t('This must be at most {limit}.', { limit }),
  'too-short': (detail) =>
    t('This needs at least {limit} {sizeUnit}.', { limit: detail.limit, sizeUnit: sizeUnit(detail) }),
  'too-long': (detail) =>
    t('This may have at most {limit} {sizeUnit}.', { limit: detail.limit, sizeUnit: sizeUnit(detail) }),
  malformed: ({ format }) =>
    t('This must be {form}.', { form: FORMATS[String(format)] ?? t('in the right form') }),
  'not-one-of': ({ options }) => t('This must be one of: {options}.', { options }),
  'unknown-field': ({ field }) => t('There is no field named “{field}” here.', { field }),
  'no-shape-fits': () => t('This has none of the shapes allowed here.'),
  'region-both': () => t('A place is given by a region or by postal patterns, not by both.'),
  'subdivision-elsewhere': () => t('The region must belong to the country: CA-NS belongs to CA.'),
  'hours-reversed': () => t('Opening hours must end after they begin.'),
  'far-from-now': () => t('The year must be between 1970 and 2200.'),
  'priced-at-nothing': () => t('A carrier’s price must be above 0.'),
  'time-zone': () => t('This must be a time zone, such as America/Halifax.'),
  'duplicate-id': ({ id, first }) => t('The id “{id}” is already used by {first}.', { id, first }),
  'duplicate-rate': ({ first }) => t('This service already has a rate in this zone, at {first}.', { first }),
  'second-remainder': ({ first }) => t('Only one zone may take everywhere else; {first} does.', { first }),
  dangling: ({ id, collection }) => t('There is no “{id}” in {collection}.', { id, collection }),
  'bad-pattern': ({ pattern }) =>
    t('“{pattern}” is not a postal pattern: write B3H4R2, B3H*, B3?1* or 90200 to 90299.', { pattern }),
  'bad-region': ({ text }) =>
    t(
      '“{text}” is not a place: write a country such as CA, a region such as CA-NS, or codes such as CA: B3H*, B3J*.',
      { text },
    ),
  'good-unknown': ({ sku }) =>
    t('The catalogue has no “{sku}”; a line of its own must bring a price and a fulfilment.', { sku }),
  'subtotal-too-big': ({ limit }) => t('The products come to more than {limit} minor units.', { limit }),
  'column-missing': ({ column }) =>
    t('No column is “{column}”, and each row needs one.', { column: t(String(column)) }),
  'column-twice': ({ column }) => t('Two columns are both “{column}”.', { column: t(String(column)) }),
  'cell-missing': () => t('This is empty, and a product that is not here yet needs it.'),
  'cell-unread': ({ text, expected }) =>
    t('“{text}” was not understood: write {expected}.', { text, expected }),
  'cell-duplicate': ({ text, row }) => t('“{text}” is already in row {row}.', { text, row }),
  'rate-rows': ({ expected }) => String(expected),
  'rate-kind-chosen': ({ kind }) =>
    t('The board has no “{kind}” price here: choose it on the board first, then import its figures.', {
      kind,
    }),
  'text-unknown': ({ text }) =>
    t('“{text}” is not one of your texts: it may have been changed since the list was saved.', { text }),
  'row-too-long': ({ cells, columns }) =>
    t('This row has {cells} cells for {columns} columns.', { cells, columns }),
  'quotes-open': () => t('A quoted cell is not closed.'),
  'order-without-goods': () => t('This order has no products, no weight and no subtotal.'),
  'sides-incomplete': () => t('A size needs length, width and height.'),
  'choice-gone': () => t('This delivery option is no longer offered: choose another.'),
  'payment-gone': () => t('This payment method is no longer possible: choose another.'),
  'charge-changed': () => t('The charge has changed since it was shown: look at it again before ordering.'),
  'slot-needed': () => t('Pick a day or time first.'),
  'slot-gone': () => t('That time is no longer available. Choose another.'),
  'digest-differs': () => t('The file was changed after it was saved: its digest is another.'),
  'no-calendar': () => t('The file is not a calendar that can be read.'),
  'calendar-entry': ({ entry }) =>
    t('“{entry}” was left out: it has no start date, or its repeat rule cannot be read.', { entry }),
  'calendar-repeats': ({ entry }) =>
    t('“{entry}” was left out in part: its repeat rule never ends, or never matches a day.', { entry }),
  'no-calendar-dates': () => t('The calendar has no entry from today on.'),
  'status-not-next': () => t('The order has changed since: look at it again.'),
  'no-shape': () => t('The file has no polygon, which an area needs.'),
  'duplicate-number': ({ number, first }) =>
    t('The order number “{number}” is already used by {first}.', { number, first }),
  'basket-too-big': () => t('The basket’s weight or volume is too large to be added up exactly.'),
};

/** Every code that has words, for the test that none lacks them. */
export const wordedFaults = Object.keys(WORDS) as FaultCode[];

/** What is wrong and what would be right, in a sentence. */
export const faultSentence = ({ code, detail }: Fault): string => WORDS[code](detail);

/** A fault with its place in front: 'rates[3].price: This is missing.' */
export const locatedSentence = (fault: Fault): string =>
  fault.path === '' ? faultSentence(fault) : labelled(fault.path, faultSentence(fault));
