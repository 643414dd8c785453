import { inQuotes } from '../words/in-quotes.ts';
import { t } from '../translate/translate.ts';
import { labelled } from '../words/labelled.ts';
import { same } from './changes.ts';
import { FIELD_NAMES, VALUE_NAMES } from './field-names.ts';
import type { Handling, Limits, Price } from '../model/price.ts';
import type { Book } from '../model/book.ts';
import type { Region } from '../model/place.ts';
import type { OpeningHours, Preparation, Timing } from '../model/time.ts';
import type { PackPlan } from '../model/pack.ts';
import {
  distanceFigure,
  moneyFigure,
  numberFigure,
  percentFigure,
  weightFigure,
  type DisplayFormat,
} from '../words/figure.ts';
import { namesOf } from '../words/names.ts';
import { placeNames, placesListed } from '../words/place-phrase.ts';
import { coveragePhrase, timingPhrase } from '../price/nearby-phrase.ts';
import { hoursPhrase, packingPhrase, preparationPhrase } from '../words/plan-phrase.ts';
import { kindOf } from '../price/kinds.ts';
import { handlingWords, limitPhrases, transitPhrase } from '../price/rate-phrase.ts';

/** What names and figures in a changed field mean. */
export interface FieldContext {
  book: Book;
  display: DisplayFormat;
}

type Figure = (value: never, context: FieldContext) => string;

const money: Figure = (value: number, { display }) => moneyFigure(value, display.decimals);
const weight: Figure = (value: number, { display }) => weightFigure(value, display.units);
const distance: Figure = (value: number, { display }) => distanceFigure(value, display.units);
const points: Figure = (value: number) => percentFigure(value);
const from =
  (list: 'locations' | 'carriers' | 'rateTables'): Figure =>
  (id: string, { book }) =>
    namesOf([id], book[list]).join();

const fallback: Figure = (value: 'withhold' | { amount: number; name?: string }, { display }) =>
  value === 'withhold' ? t('nothing offered') : moneyFigure(value.amount, display.decimals);

/** Fields whose words leave something out: where both values are of one kind, each of their fields is told. */
const IN_PARTS: readonly string[] = ['timing'];

const placeFigure: Figure = (code: string, { display }) => placeNames(display)(code);
const linesFigure: Figure = (lines: string[]) => lines.join(', ') || t('none');

/** How the values of a field read that are more than a word or a plain number. */
const FIGURES: Record<string, Figure> = {
  accountId: from('carriers'),
  add: money,
  amount: money,
  boxIds: (ids: string[], { book }) => namesOf(ids, book.boxes).join(', ') || t('none'),
  charge: money,
  covers: (covers: never, { display }) => coveragePhrase(covers, display),
  cost: money,
  country: placeFigure,
  freeFrom: money,
  handling: (value: Handling, { display }) => handlingWords(value, display).join(t(' and ')) || t('none'),
  hours: (hours: OpeningHours[]) => hoursPhrase(hours),
  insure: points,
  leastParcelWeight: weight,
  limits: (limits: Limits, { display }) => limitPhrases(limits, display).join(', ') || t('none'),
  lines: linesFigure,
  locationId: from('locations'),
  maxDistance: distance,
  maxTotal: money,
  minSubtotal: money,
  onError: fallback,
  onNone: fallback,
  override: money,
  packing: (plan: PackPlan, { display, book }) => packingPhrase(plan, book.boxes, display),
  points: points,
  preparation: (preparation: Preparation) => preparationPhrase(preparation),
  price: (price: Price, { display }) => {
    const { price: figure, by } = kindOf(price).phrase(price, display);
    return by === null ? figure : `${figure} ${by}`;
  },
  region: (region: Region, { display }) => placesListed([region], display).join(', '),
  subdivision: placeFigure,
  tableId: from('rateTables'),
  tare: weight,
  timeoutMs: (value: number) => t('{value} ms', { value }),
  timing: (timing: Timing) => timingPhrase(timing),
  transit: transitPhrase,
};

const nameOf = (field: string): string => FIELD_NAMES[field] ?? field;

const plainFigure = (field: string, value: unknown): string => {
  if (typeof value === 'boolean') return value ? t('yes') : t('no');
  if (typeof value === 'number') return numberFigure(value);
  return VALUE_NAMES[field]?.[String(value)] ?? inQuotes(String(value));
};

/** One of a list of plain values: a country by its name, a word of a few, a code or date as it is. */
const itemFigure = (field: string, value: unknown, { display }: FieldContext): string =>
  field === 'countries'
    ? placeNames(display)(String(value))
    : (VALUE_NAMES[field]?.[String(value)] ?? String(value));

const figureOf = (field: string, value: unknown, context: FieldContext): string => {
  if (value === undefined || value === null) return t('none');
  const figure = FIGURES[field];
  if (!figure && Array.isArray(value))
    return value.map((one) => itemFigure(field, one, context)).join(', ') || t('none');
  return figure ? figure(value as never, context) : plainFigure(field, value);
};

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isOneKind = (a: unknown, b: unknown): boolean => isPlain(a) && isPlain(b) && a.kind === b.kind;

type Item = Record<string, unknown>;
const keyOf = (item: Item): string => String(item.id ?? item.code ?? '');
const titleOf = (item: Item): string => String(item.name ?? item.label ?? keyOf(item));
const isItems = (value: unknown): value is Item[] =>
  Array.isArray(value) && value.length > 0 && value.every((item) => isPlain(item) && keyOf(item) !== '');

const ofItems = (was: Item[], is: Item[], context: FieldContext): string[] => {
  const old = new Map(was.map((item) => [keyOf(item), item]));
  const now = new Set(is.map(keyOf));
  return [
    ...is.flatMap((item) => {
      const before = old.get(keyOf(item));
      if (!before) return [t('“{title}” is new', { title: titleOf(item) })];
      return fieldChanges(before, item, context).map((words) => `${inQuotes(titleOf(item))}, ${words}`);
    }),
    ...was
      .filter((item) => !now.has(keyOf(item)))
      .map((item) => t('“{title}” is removed', { title: titleOf(item) })),
  ];
};

const ofList = (field: string, was: unknown[], is: unknown[], context: FieldContext): string[] => {
  const words = (list: unknown[]): string => list.map((one) => itemFigure(field, one, context)).join(', ');
  const come = is.filter((one) => !was.includes(one));
  const gone = was.filter((one) => !is.includes(one));
  const parts = [
    ...(come.length > 0 ? [t('{list} added', { list: words(come) })] : []),
    ...(gone.length > 0 ? [t('{list} removed', { list: words(gone) })] : []),
  ];
  return [labelled(nameOf(field), parts.join(', ') || t('in another order'))];
};

const ofField = (field: string, was: unknown, is: unknown, context: FieldContext): string[] => {
  const name = nameOf(field);
  if (field === 'credentials') return [t('has other credentials')];
  const [old, now] = [figureOf(field, was, context), figureOf(field, is, context)];
  const told = IN_PARTS.includes(field) && isOneKind(was, is) ? undefined : FIGURES[field];
  if (told && old !== now) return [t('{name}: {old} becomes {now}', { name, old, now })];
  if ((isItems(was) || same(was, [])) && (isItems(is) || same(is, [])))
    return ofItems(was as Item[], is as Item[], context);
  if (Array.isArray(was) && Array.isArray(is) && [...was, ...is].every((one) => !isPlain(one)))
    return ofList(field, was, is, context);
  if (isPlain(was) || isPlain(is))
    return fieldChanges(was ?? {}, is ?? {}, context).map((words) => `${name}, ${words}`);
  return old === now
    ? [t('{name} changes', { name })]
    : [t('{name}: {old} becomes {now}', { name, old, now })];
};

/**
 * What changed between two states of a rule, field by field, with the former and the present figure: 'minimum order:
 * 20.00 becomes 25.00'. A secret is only said to have changed.
 */
export const fieldChanges = (was: object, is: object, context: FieldContext): string[] => {
  const names = new Set([...Object.keys(was), ...Object.keys(is)]);
  return [...names].flatMap((field) => {
    const [old, now] = [was[field as never] as unknown, is[field as never] as unknown];
    return same(old, now) ? [] : ofField(field, old, now, context);
  });
};
