import { t } from '../translate/translate.ts';
import { unknownRefusal, type Refusal } from '../basket/limits.ts';
import type { Condition } from '../model/adjustment.ts';
import type { Good } from '../model/good.ts';
import { roundedBound } from '../model/measured.ts';
import type { Measure } from '../model/price.ts';
import { buildPlaceIndex, holdsPlace } from '../place/place-index.ts';
import { regionsPhrase } from '../place/region-phrase.ts';
import { dateOf, dayOf, weekdayOf, type DayNumber } from '../time/calendar.ts';
import { measureFigure } from '../words/figure.ts';
import { listed, namesOf } from '../words/names.ts';
import type {
  AdjustedOrder,
  ConditionKind,
  EmptyCondition,
  NamedGoods,
  Naming,
  Test,
} from './adjustment-kind.ts';
import { dateWords, weekdayWords } from './date-words.ts';
import { namesInSentence } from '../words/place-phrase.ts';

type Of<T extends Condition['test']> = Extract<Condition, { test: T }>;

/** Whether a good is among those that are named, by any of its groups or by itself. */
export const namesGood = (
  named: { groupIds?: readonly string[] | undefined; skus?: readonly string[] | undefined },
  { groupIds, sku }: Good,
): boolean =>
  groupIds?.some((id) => named.groupIds?.includes(id)) === true || named.skus?.includes(sku) === true;

/** How many products and groups are named. */
export const countNamed = ({ groupIds = [], skus = [] }: NamedGoods): number => groupIds.length + skus.length;

/** The name of each of the products and groups that a rule names. */
export const namedGoods = ({ groupIds = [], skus = [] }: NamedGoods, { book, goods }: Naming): string[] => [
  ...namesOf(groupIds, book.groups),
  ...skus.map((sku) => goods.get(sku)?.name ?? sku),
];

/** What most kinds have nothing to say to. */
const PLAIN = {
  excludes: () => false,
  basis: () => null,
  goods: () => ({}),
  regions: () => [],
  days: null,
};

const nothingNamed = (what: Extract<EmptyCondition, { what: unknown }>['what']): EmptyCondition => ({
  why: 'names-nothing',
  what,
});

const MEASURED: Record<Measure, (range: string) => string> = {
  weight: (range) => t('the products weigh {range}', { range }),
  subtotal: (range) => t('the order value is {range}', { range }),
  units: (range) => t('the basket has {range}', { range }),
  volume: (range) => t('the products take up {range}', { range }),
  distance: (range) => t('the address is away by {range}', { range }),
};

/** '2 kg or more', 'less than 5 kg', '2 kg or more, less than 5 kg'. */
const rangeWords = (least: string | null, end: string | null): string => {
  if (end === null) return least === null ? t('anything') : t('{least} or more', { least });
  return least === null
    ? t('less than {end}', { end })
    : t('{least} or more, less than {end}', { least, end });
};

const measureTest = ({ of, ...bounds }: Of<'measure'>): Test => {
  const min = roundedBound(of, bounds.min) ?? Number.NEGATIVE_INFINITY;
  const max = roundedBound(of, bounds.max) ?? Number.POSITIVE_INFINITY;
  const within = (value: number): boolean => value >= min && value < max;
  return ({ basket, distance }) => {
    if (of === 'subtotal') return within(basket.subtotal);
    if (of === 'units') return within(basket.charged.units);
    if (of === 'distance') return distance !== null && within(distance);
    const known = basket.charged[of];
    return known.unknown.length > 0 ? unknownRefusal(of, known) : within(known.value);
  };
};

const MEASURE: ConditionKind<Of<'measure'>> = {
  ...PLAIN,
  prepare: measureTest,
  words: ({ of, min, max }, { display }) => {
    const figure = (value: number | undefined): string | null =>
      value === undefined ? null : measureFigure(of, value, display);
    return MEASURED[of](rangeWords(figure(min), figure(max)));
  },
  empty: ({ min = 0, max }) => (max !== undefined && min >= max ? { why: 'range-empty' } : null),
  excludes: (a, b) => {
    if (a.of !== b.of) return false;
    const least = Math.max(a.min ?? 0, b.min ?? 0);
    return least >= Math.min(a.max ?? Number.POSITIVE_INFINITY, b.max ?? Number.POSITIVE_INFINITY);
  },
  about: ({ of }) => of,
  basis: ({ of, min, max }) => ({ of, at: [min, max].filter((end) => end !== undefined) }),
};

const GOODS: ConditionKind<Of<'goods'>> = {
  ...PLAIN,
  prepare:
    (goods) =>
    ({ basket: { physical } }) => {
      const isNamed = ({ good }: { good: Good }): boolean => namesGood(goods, good);
      if (goods.match === 'every') return physical.every(isNamed);
      return physical.some(isNamed) === (goods.match === 'any');
    },
  words: (condition, naming) => {
    const names = listed(namedGoods(condition, naming), 'or');
    if (condition.match === 'every') return t('every product is {names}', { names });
    return condition.match === 'any'
      ? t('the basket contains {names}', { names })
      : t('the basket contains no {names}', { names });
  },
  empty: (condition) =>
    countNamed(condition) === 0 && condition.match !== 'none' ? nothingNamed('goods') : null,
  about: () => t('goods'),
  goods: ({ groupIds, skus }) => ({ groupIds, skus }),
};

const DESTINATION: ConditionKind<Of<'destination'>> = {
  ...PLAIN,
  prepare: ({ in: regions, not = false }) => {
    const index = buildPlaceIndex([{ owner: null, regions }]);
    return ({ place }) => place !== null && holdsPlace(index, place) !== not;
  },
  words: ({ in: regions, not }, { display }) =>
    t('the address is {not, select, yes {not in} other {in}} {places}', {
      not: not ? 'yes' : 'no',
      places: regionsPhrase(regions, namesInSentence(display)) || t('no place'),
    }),
  empty: ({ in: regions, not }) => (regions.length === 0 && !not ? nothingNamed('places') : null),
  about: () => t('destination'),
  regions: ({ in: regions }) => regions,
};

/** Whether a date lies between two others, both included; `from` after `to` runs over the end of the year. */
const isBetween = (
  date: string,
  from: string | undefined,
  to: string | undefined,
  wraps: boolean,
): boolean => {
  const begun = from === undefined || date >= from;
  const goesOn = to === undefined || date <= to;
  return wraps && from !== undefined && to !== undefined && from > to ? begun || goesOn : begun && goesOn;
};

const isInDates = ({ from, to, everyYear = false }: Of<'dates'>, day: DayNumber): boolean => {
  const part = (date: string): string => (everyYear ? date.slice(5) : date);
  return isBetween(part(dateOf(day)), from && part(from), to && part(to), everyYear);
};

const DATES: ConditionKind<Of<'dates'>> = {
  ...PLAIN,
  prepare:
    (condition) =>
    ({ placedOn }) =>
      isInDates(condition, placedOn()),
  words: ({ from, to, everyYear = false }) => {
    const yearly = everyYear ? 'yes' : 'no';
    const date = (one: string): string => dateWords(one, everyYear);
    if (from && to)
      return t('the order is placed from {from} to {to}{yearly, select, yes { of any year} other {}}', {
        from: date(from),
        to: date(to),
        yearly,
      });
    if (from)
      return t('the order is placed on {from} or later{yearly, select, yes { in the year} other {}}', {
        from: date(from),
        yearly,
      });
    return to
      ? t('the order is placed on {to} or earlier{yearly, select, yes { in the year} other {}}', {
          to: date(to),
          yearly,
        })
      : t('the order is placed on any day');
  },
  empty: ({ from, to, everyYear }, on) => {
    if (everyYear) return null;
    if (from !== undefined && to !== undefined && from > to) return { why: 'dates-empty' };
    return to !== undefined && to < on ? { why: 'dates-over', to } : null;
  },
  excludes: (a, b) => {
    if (a.everyYear || b.everyYear) return false;
    const from = [a.from ?? '', b.from ?? ''].sort().at(-1) ?? '';
    const [to = '9'] = [a.to ?? '9', b.to ?? '9'].sort();
    return from > to;
  },
  about: () => t('dates'),
  days: {
    holds: isInDates,
    changes: ({ from, to }) => [from, to].flatMap((date) => (date ? [dayOf(date), dayOf(date) + 1] : [])),
  },
};

const WEEKDAY: ConditionKind<Of<'weekday'>> = {
  ...PLAIN,
  prepare:
    ({ days }) =>
    ({ placedOn }) =>
      days.includes(weekdayOf(placedOn())),
  words: ({ days }) => t('the order is placed on {weekday}', { weekday: weekdayWords(days) }),
  empty: ({ days }) => (days.length === 0 ? nothingNamed('days') : null),
  about: () => t('weekday'),
  days: { holds: ({ days }, day) => days.includes(weekdayOf(day)), changes: () => [] },
};

type Listed = Of<'customer' | 'code' | 'channel'>;

/** A condition that holds for what a list names; `asWritten` is how two texts are compared. */
const listKind = <C extends Listed>(
  test: C['test'],
  subject: string,
  asWritten: (text: string) => string,
): ConditionKind<C> => ({
  ...PLAIN,
  prepare: (condition) => {
    const names = new Set(condition.in.map(asWritten));
    return ({ request }) => {
      const value = request[test];
      return value !== undefined && names.has(asWritten(value));
    };
  },
  words: (condition) => `${subject} ${listed(condition.in, 'or')}`,
  empty: (condition) => (condition.in.length === 0 ? nothingNamed('codes') : null),
  excludes: (a, b) =>
    test !== 'customer' && !a.in.some((one) => b.in.map(asWritten).includes(asWritten(one))),
  about: () => test,
});

const asIs = (text: string): string => text;

/** Every kind of condition; one that is not here, or lacks a part, does not compile. */
export const CONDITION_KINDS: { readonly [T in Condition['test']]: ConditionKind<Of<T>> } = {
  measure: MEASURE,
  goods: GOODS,
  destination: DESTINATION,
  dates: DATES,
  weekday: WEEKDAY,
  customer: listKind('customer', t('the customer is'), asIs),
  // Codes are compared whatever their case.
  code: listKind('code', t('the code is'), (text) => text.trim().toUpperCase()),
  channel: listKind('channel', t('the order comes from'), asIs),
};

/** All that is known of a condition's kind, to be asked about conditions of that kind. */
export const conditionKind = <C extends Condition>({ test }: C): ConditionKind<C> =>
  CONDITION_KINDS[test] as unknown as ConditionKind<C>;

/** Whether no order meets both of two conditions. */
export const exclude = (a: Condition, b: Condition): boolean =>
  a.test === b.test && conditionKind(a).excludes(a, b);

/** Whether all conditions hold; a refusal where all that can be judged hold and one turns on an unknown figure. */
export const allHold = (tests: readonly Test[], order: AdjustedOrder): boolean | Refusal => {
  let refusal: Refusal | null = null;
  for (const test of tests) {
    const held = test(order);
    if (held === false) return false;
    if (held !== true) refusal ??= held;
  }
  return refusal ?? true;
};
