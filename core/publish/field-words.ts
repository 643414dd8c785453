import { t } from '../translate/translate.ts';
import { labelled } from '../words/labelled.ts';
import { same } from './changes.ts';
import type { Handling, Limits, Price } from '../model/price.ts';
import type { Book } from '../model/book.ts';
import type { Region } from '../model/place.ts';
import type { OpeningHours, Preparation, Timing } from '../model/time.ts';
import type { PackPlan } from '../model/pack.ts';
import {
  distanceFigure,
  moneyFigure,
  percentFigure,
  weightFigure,
  type DisplayFormat,
} from '../words/figure.ts';
import { namesOf } from '../words/names.ts';
import { placesListed } from '../words/place-phrase.ts';
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

interface FieldWords {
  name?: string;
  figure?: Figure;
  /** Whether its words leave something out: where both values are of one kind, each of their fields is told. */
  inParts?: true;
}

/** What a field is called where its own name does not say it, and how its value reads. */
const FIELDS: Record<string, FieldWords> = {
  accountId: { name: 'account', figure: from('carriers') },
  add: { name: 'addition', figure: money },
  addStays: { name: t('addition stays when delivery is free') },
  address: { name: 'address' },
  amount: { figure: money },
  capacity: { name: t('orders at each time') },
  boxIds: {
    name: 'boxes',
    figure: (ids: string[], { book }) => namesOf(ids, book.boxes).join(', ') || t('none'),
  },
  charge: { figure: money },
  closedDates: { name: t('closed dates') },
  covers: { name: 'covers', figure: (covers: never, { display }) => coveragePhrase(covers, display) },
  credentials: { name: 'credentials' },
  cost: { figure: money },
  freeFrom: { name: t('free from'), figure: money },
  handling: {
    figure: (value: Handling, { display }) => handlingWords(value, display).join(t(' and ')) || t('none'),
  },
  horizonDays: { name: t('days ahead at most') },
  hours: { figure: (hours: OpeningHours[]) => hoursPhrase(hours) },
  insure: { name: 'insurance', figure: points },
  leastParcelWeight: { name: t('least weight of a parcel'), figure: weight },
  limits: { figure: (limits: Limits, { display }) => limitPhrases(limits, display).join(', ') || t('none') },
  locationId: { name: 'location', figure: from('locations') },
  maxDistance: { name: t('greatest distance'), figure: distance },
  maxTotal: { name: t('greatest total'), figure: money },
  minSubtotal: { name: t('minimum order'), figure: money },
  minutes: { name: t('minutes per slot') },
  note: { name: t('note to customers') },
  on: { name: t('charged on') },
  onError: { name: t('when the carrier does not answer'), figure: fallback },
  onNone: { name: t('when no service is offered'), figure: fallback },
  override: { name: t('price in place of the carrier’s'), figure: money },
  packing: { figure: (plan: PackPlan, { display, book }) => packingPhrase(plan, book.boxes, display) },
  points: { name: 'percentage', figure: points },
  preparation: { figure: (preparation: Preparation) => preparationPhrase(preparation) },
  price: {
    figure: (price: Price, { display }) => {
      const { price: figure, by } = kindOf(price).phrase(price, display);
      return by === null ? figure : `${figure} ${by}`;
    },
  },
  region: {
    name: 'place',
    figure: (region: Region, { display }) => placesListed([region], display).join(', '),
  },
  tableId: { name: 'table', figure: from('rateTables') },
  taxable: { name: 'taxed' },
  tare: { name: t('empty weight'), figure: weight },
  timeoutMs: { name: t('time for an answer'), figure: (value: number) => t('{value} ms', { value }) },
  timing: { figure: (timing: Timing) => timingPhrase(timing), inParts: true },
  transit: { name: 'days', figure: transitPhrase },
  withinDays: { name: t('offered within days') },
};

const nameOf = (field: string): string =>
  FIELDS[field]?.name ?? field.replace(/([A-Z])/g, ' $1').toLowerCase();

const plainFigure = (value: unknown): string => {
  if (typeof value === 'boolean') return value ? t('yes') : t('no');
  if (Array.isArray(value)) return value.join(', ') || t('none');
  if (typeof value !== 'string') return String(value);
  return /^[a-z-]+$/.test(value) ? value.replaceAll('-', ' ') : `“${value}”`;
};

const figureOf = (field: string, value: unknown, context: FieldContext): string => {
  if (value === undefined || value === null) return t('none');
  const figure = FIELDS[field]?.figure;
  return figure ? figure(value as never, context) : plainFigure(value);
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
      return fieldChanges(before, item, context).map((words) => `“${titleOf(item)}”, ${words}`);
    }),
    ...was
      .filter((item) => !now.has(keyOf(item)))
      .map((item) => t('“{title}” is removed', { title: titleOf(item) })),
  ];
};

const ofList = (name: string, was: unknown[], is: unknown[]): string[] => {
  const come = is.filter((one) => !was.includes(one));
  const gone = was.filter((one) => !is.includes(one));
  const parts = [
    ...(come.length > 0 ? [t('{list} added', { list: come.join(', ') })] : []),
    ...(gone.length > 0 ? [t('{list} removed', { list: gone.join(', ') })] : []),
  ];
  return [labelled(name, parts.join(', ') || t('in another order'))];
};

const ofField = (field: string, was: unknown, is: unknown, context: FieldContext): string[] => {
  const name = nameOf(field);
  if (field === 'credentials') return [t('has other credentials')];
  const [old, now] = [figureOf(field, was, context), figureOf(field, is, context)];
  const told = FIELDS[field]?.inParts && isOneKind(was, is) ? undefined : FIELDS[field]?.figure;
  if (told && old !== now) return [t('{name}: {old} becomes {now}', { name, old, now })];
  if ((isItems(was) || same(was, [])) && (isItems(is) || same(is, [])))
    return ofItems(was as Item[], is as Item[], context);
  if (Array.isArray(was) && Array.isArray(is) && [...was, ...is].every((one) => !isPlain(one)))
    return ofList(name, was, is);
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
