import type { Adjustment, ChoiceKind, Condition, Effect } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Measure } from '../model/price.ts';
import { regionsPhrase } from '../place/region-phrase.ts';
import { measureFigure, moneyFigure, percentFigure, type DisplayFormat } from './figure.ts';
import { listed, namesOf } from './names.ts';

/** What the ids of a rule name, and how its figures are written. */
export interface Naming {
  book: Pick<Book, 'services' | 'zones' | 'groups' | 'areas' | 'pickups'>;
  goods: ReadonlyMap<string, Good>;
  display: DisplayFormat;
}

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

const dateWords = (date: string, everyYear: boolean): string => {
  const [year, month, day] = date.split('-');
  return `${Number(day)} ${MONTHS[Number(month) - 1] ?? month}${everyYear ? '' : ` ${year}`}`;
};

const MEASURED: Record<Measure, [subject: string, verb: string]> = {
  weight: ['the goods', 'weigh'],
  subtotal: ['the goods', 'come to'],
  units: ['the basket', 'has'],
  volume: ['the goods', 'take up'],
  distance: ['the address', 'is away by'],
};

/** The name of each of the goods and groups that a rule names. */
export const namedGoods = (
  { groupIds = [], skus = [] }: { groupIds?: string[] | undefined; skus?: string[] | undefined },
  { book, goods }: Naming,
): string[] => [...namesOf(groupIds, book.groups), ...skus.map((sku) => goods.get(sku)?.name ?? sku)];

type Of<T extends Condition['test']> = Extract<Condition, { test: T }>;

const measureWords = ({ of, min, max }: Of<'measure'>, { display }: Naming): string => {
  const [subject, verb] = MEASURED[of];
  const figure = (value: number): string => measureFigure(of, value, display);
  if (min === undefined && max === undefined) return `${subject} ${verb} anything`;
  if (max === undefined) return `${subject} ${verb} ${figure(min ?? 0)} or more`;
  return min === undefined
    ? `${subject} ${verb} less than ${figure(max)}`
    : `${subject} ${verb} ${figure(min)} or more, less than ${figure(max)}`;
};

const goodsWords = (condition: Of<'goods'>, naming: Naming): string => {
  const names = listed(namedGoods(condition, naming), 'or');
  if (condition.match === 'every') return `all goods are ${names}`;
  return condition.match === 'any' ? `${names} is in the basket` : `no ${names} is in the basket`;
};

const datesWords = ({ from, to, everyYear = false }: Of<'dates'>): string => {
  const year = everyYear ? ' of any year' : '';
  const date = (one: string): string => dateWords(one, everyYear);
  if (from && to) return `it is placed from ${date(from)} to ${date(to)}${year}`;
  if (from) return `it is placed on ${date(from)} or later${everyYear ? ' in the year' : ''}`;
  return to
    ? `it is placed on ${date(to)} or earlier${everyYear ? ' in the year' : ''}`
    : 'it is placed on any day';
};

/** A condition as part of a sentence: 'the goods come to 85.00 or more'. */
export const conditionWords = (condition: Condition, naming: Naming): string => {
  switch (condition.test) {
    case 'measure':
      return measureWords(condition, naming);
    case 'goods':
      return goodsWords(condition, naming);
    case 'destination':
      return `the address is ${condition.not ? 'not ' : ''}in ${regionsPhrase(condition.in) || 'no place'}`;
    case 'dates':
      return datesWords(condition);
    case 'weekday':
      return `it is placed on ${listed(
        [...condition.days].sort().map((day) => DAYS[day - 1] ?? ''),
        'or',
      )}`;
    case 'customer':
      return `the customer is ${listed(condition.in, 'or')}`;
    case 'code':
      return `the code is ${listed(condition.in, 'or')}`;
    case 'channel':
      return `it comes from ${listed(condition.in, 'or')}`;
  }
};

const KINDS: Record<ChoiceKind, string> = {
  shipping: 'what is shipped',
  delivery: 'what is delivered',
  pickup: 'what is collected',
  'nothing-to-ship': 'what needs no sending',
};

/** 'Van in Harbour ring' for each delivery method. */
const methodNames = (methods: NonNullable<Adjustment['to']['methods']>, areas: Book['areas']): string[] =>
  methods.map(({ areaId, methodId }) => {
    const area = areas.find(({ id }) => id === areaId);
    return `${area?.methods.find(({ id }) => id === methodId)?.name ?? methodId} in ${area?.name ?? areaId}`;
  });

/** What an adjustment is for, in a few words: 'Parcel', 'what is delivered', 'every choice'. */
export const subjectWords = ({ to }: Pick<Adjustment, 'to'>, { book }: Naming): string => {
  const named = [
    ...(to.serviceIds ? [listed(namesOf(to.serviceIds, book.services), 'or')] : []),
    ...(to.areaIds ? [listed(namesOf(to.areaIds, book.areas), 'or')] : []),
    ...(to.methods ? [listed(methodNames(to.methods, book.areas), 'or')] : []),
    ...(to.pickupIds ? [listed(namesOf(to.pickupIds, book.pickups), 'or')] : []),
  ];
  const codes = to.carrierCodes ? ` by ${listed(to.carrierCodes, 'or')}` : '';
  if (named.length > 0) return `${named.join(' and ')}${codes}`;
  const kinds = to.kinds
    ? listed(
        to.kinds.map((kind) => KINDS[kind]),
        'or',
      )
    : 'every choice';
  return `${kinds}${codes}`;
};

const addWords = ({ amount, per, goods }: Extract<Effect, { do: 'add' }>, naming: Naming): string => {
  const money = moneyFigure(Math.abs(amount), naming.display.decimals);
  const names = goods ? listed(namedGoods(goods, naming), 'or') : '';
  const each = per === 'order' ? (goods ? ' where there is any' : '') : ` for each ${per}`;
  const of = goods
    ? per === 'parcel'
      ? ` with ${names}`
      : ` ${per === 'order' ? names : `of ${names}`}`
    : '';
  return `costs ${money} ${amount < 0 ? 'less' : 'more'}${each}${of}`;
};

/** What an adjustment does, as the end of a sentence: 'is free'. */
export const effectWords = (effect: Effect, naming: Naming): string => {
  const money = (amount: number): string => moneyFigure(amount, naming.display.decimals);
  switch (effect.do) {
    case 'free':
      return 'is free';
    case 'set':
      return `costs ${money(effect.amount)}`;
    case 'add':
      return addWords(effect, naming);
    case 'percent': {
      const share = percentFigure(Math.abs(effect.points));
      return `costs ${share}${effect.of === 'subtotal' ? ' of the subtotal' : ''} ${effect.points < 0 ? 'less' : 'more'}`;
    }
    case 'bounds': {
      const ends = [
        ...(effect.min === undefined ? [] : [`at least ${money(effect.min)}`]),
        ...(effect.max === undefined ? [] : [`at most ${money(effect.max)}`]),
      ];
      return ends.length > 0 ? `costs ${ends.join(' and ')}` : 'costs what it does';
    }
    case 'withhold':
      return 'is not offered';
    case 'terms':
      return effect.terms === 'both' ? 'goes DAP or DDP' : `goes ${effect.terms}`;
  }
};

/**
 * An adjustment as a sentence: 'When the goods come to 85.00 or more and the zone is Maritimes: Parcel is
 * free.' An adjustment without conditions holds always.
 */
export const adjustmentSentence = (
  { when, to, effect }: Pick<Adjustment, 'when' | 'to' | 'effect'>,
  naming: Naming,
): string => {
  const conditions = [
    ...when.map((condition) => conditionWords(condition, naming)),
    ...(to.zoneIds ? [`the zone is ${listed(namesOf(to.zoneIds, naming.book.zones), 'or')}`] : []),
  ];
  const start = conditions.length === 0 ? 'Always' : `When ${conditions.join(' and ')}`;
  return `${start}: ${subjectWords({ to }, naming)} ${effectWords(effect, naming)}.`;
};
