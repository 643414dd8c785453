import type { Condition } from '../model/adjustment.ts';
import { roundedBound } from '../model/measured.ts';
import type { Good } from '../model/good.ts';
import { buildPlaceIndex, holdsPlace } from '../place/place-index.ts';
import { unknownRefusal, type Refusal } from '../basket/limits.ts';
import { dateOf, weekdayOf } from '../time/calendar.ts';
import type { OrderContext } from './order-context.ts';
import { placedDay } from './placed-day.ts';

/** Whether a condition holds; a refusal where it turns on a weight or size that is not known. */
export type Test = (order: OrderContext) => boolean | Refusal;

type Of<T extends Condition['test']> = Extract<Condition, { test: T }>;

/** Whether a good is among those that are named, by any of its groups or by itself. */
export const namesGood = (
  named: { groupIds?: readonly string[] | undefined; skus?: readonly string[] | undefined },
  { groupIds, sku }: Good,
): boolean =>
  groupIds?.some((id) => named.groupIds?.includes(id)) === true || named.skus?.includes(sku) === true;

const testMeasure = ({ of, ...bounds }: Of<'measure'>): Test => {
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

const testGoods =
  (goods: Of<'goods'>): Test =>
  ({ basket: { physical } }) => {
    const isNamed = ({ good }: { good: Good }): boolean => namesGood(goods, good);
    if (goods.match === 'every') return physical.every(isNamed);
    return physical.some(isNamed) === (goods.match === 'any');
  };

const testDestination = ({ in: regions, not = false }: Of<'destination'>): Test => {
  const index = buildPlaceIndex([{ owner: null, regions }]);
  return ({ place }) => place !== null && holdsPlace(index, place) !== not;
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

const testDates = ({ from, to, everyYear = false }: Of<'dates'>): Test => {
  const part = (date: string | undefined): string | undefined => (everyYear ? date?.slice(5) : date);
  return (order) => isBetween(part(dateOf(placedDay(order))) as string, part(from), part(to), everyYear);
};

/** A condition made ready to be asked of many orders. Codes are compared whatever their case. */
export const compileCondition = (condition: Condition): Test => {
  switch (condition.test) {
    case 'measure':
      return testMeasure(condition);
    case 'goods':
      return testGoods(condition);
    case 'destination':
      return testDestination(condition);
    case 'dates':
      return testDates(condition);
    case 'weekday':
      return (order) => condition.days.includes(weekdayOf(placedDay(order)));
    case 'code': {
      const codes = new Set(condition.in.map((code) => code.trim().toUpperCase()));
      return ({ request: { code } }) => code !== undefined && codes.has(code.trim().toUpperCase());
    }
    case 'customer':
    case 'channel': {
      const names = new Set(condition.in);
      const field = condition.test;
      return ({ request }) => names.has(request[field] ?? '');
    }
  }
};

/** Whether all conditions hold; a refusal where all that can be judged hold and one turns on an unknown figure. */
export const allHold = (tests: readonly Test[], order: OrderContext): boolean | Refusal => {
  let refusal: Refusal | null = null;
  for (const test of tests) {
    const held = test(order);
    if (held === false) return false;
    if (held !== true) refusal ??= held;
  }
  return refusal ?? true;
};
