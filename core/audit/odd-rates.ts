import type { Book } from '../model/book.ts';
import type { Limits, Price } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { fallsOf } from '../price/curve.ts';
import { kindOf } from '../price/kinds.ts';
import { sortTiers } from '../price/tiers.ts';
import { closedZones } from '../coverage/closed-zones.ts';
import { listed } from '../words/names.ts';
import type { Finding, RuleRef } from './finding.ts';

const rateAt = (id: string | number, part?: string | number): RuleRef => ({
  kind: 'rate',
  id: part === undefined ? String(id) : `${id}:${part}`,
});

/** Why no basket reaches a step. */
export type IdleWhy = 'again' | 'until' | 'limit' | 'least' | 'free';

/** Steps that no basket reaches: one more with the same beginning, one at or beyond the end, one beyond the limit. */
export const idleStepsOf = ({ price, limits, freeFrom }: Rate): { from: number; why: IdleWhy }[] => {
  if (price.kind !== 'steps') return [];
  const limit: { min?: number; max?: number } =
    price.basis === 'distance' || price.per === 'parcel' ? {} : (limits?.[price.basis] ?? {});
  const sorted = [...price.steps].sort((a, b) => a.from - b.from);
  const seen = new Set<number>();
  return price.steps.flatMap(({ from }) => {
    const isAgain = seen.has(from);
    seen.add(from);
    const next = sorted.find((step) => step.from > from);
    const why: IdleWhy | null = isAgain
      ? 'again'
      : price.until !== undefined && from >= price.until
        ? 'until'
        : limit.max !== undefined && from > limit.max
          ? 'limit'
          : limit.min !== undefined && next && next.from <= limit.min
            ? 'least'
            : price.basis === 'subtotal' && freeFrom !== undefined && from >= freeFrom
              ? 'free'
              : null;
    return why === null ? [] : [{ from, why }];
  });
};

/** Steps that no basket reaches, those for one reason as one. */
const idleSteps = (rate: Rate): Finding[] => {
  if (rate.price.kind !== 'steps') return [];
  const { basis } = rate.price;
  const idle = idleStepsOf(rate);
  return [...new Set(idle.map(({ why }) => why))].flatMap((why): Finding[] => {
    const [first, ...more] = idle.filter((one) => one.why === why);
    if (!first) return [];
    const detail = { from: first.from, basis, why, more: more.length };
    return [{ code: 'step-never-acts', where: [rateAt(rate.id, first.from)], detail }];
  });
};

/** The steps of a price at which it falls though more is sent. */
export const stepsThatFall = (where: (part: number) => RuleRef, price: Price): Finding[] =>
  price.kind !== 'steps'
    ? []
    : fallsOf(sortTiers(price)).map(({ at, by }) => ({
        code: 'price-falls',
        where: [where(at)],
        detail: { at, by, basis: price.basis },
      }));

const handlingOf = ({ handling }: Rate, { store }: Book): { least: number; isOpen: boolean } => {
  const both = [handling, store.handling];
  return {
    least: both.reduce((sum, one) => sum + (one?.per === 'order' ? (one.amount ?? 0) : 0), 0),
    isOpen: both.some((one) => one !== undefined && (one.points !== undefined || one.per !== 'order')),
  };
};

/** Bounds that contradict themselves, the free threshold, or every price the rate can have. */
const oddBounds = (rate: Rate, book: Book): Finding[] => {
  const { id, bounds: { min, max } = {}, freeFrom } = rate;
  const where: [RuleRef] = [rateAt(id)];
  const found: Finding[] = [];
  const add = (code: Finding['code'], detail: Finding['detail']): void =>
    void found.push({ code, where, detail });
  const extent = kindOf(rate.price).extent(rate.price);
  const { least, isOpen } = handlingOf(rate, book);
  // What only follows from a contradiction is not told.
  if (min !== undefined && max !== undefined && min > max) {
    add('bounds-contradict', { min, max });
    return found;
  }
  if (min !== undefined && freeFrom !== undefined && min > freeFrom)
    add('minimum-above-free', { min, freeFrom });
  else if (min !== undefined && extent && !isOpen && min > 0 && min >= extent.most + least)
    add('minimum-decides', { min, most: extent.most + least });
  if (max !== undefined && extent && max < extent.least + least)
    add('maximum-below-first', { max, least: extent.least + least });
  return found;
};

const MEASURES = ['weight', 'subtotal', 'units', 'volume'] as const;

/** Limits of which the least is above the greatest. */
export const limitsThatContradict = (
  where: (part: string) => RuleRef,
  limits: Limits | undefined,
): Finding[] =>
  MEASURES.flatMap((measure): Finding[] => {
    const { min, max } = limits?.[measure] ?? {};
    const isOdd = min !== undefined && max !== undefined && min > max;
    return isOdd
      ? [{ code: 'limits-contradict', where: [where(measure)], detail: { measure, min, max } }]
      : [];
  });

/** Services without a rate in zones that sell by others, not left out of them on purpose. */
const missingRates = (book: Book): Finding[] => {
  const { zones, services, rates } = book;
  const closed = closedZones(book);
  const selling = zones.filter(
    ({ id, active }) => active && !closed.has(id) && rates.some((rate) => rate.active && rate.zoneId === id),
  );
  return services.flatMap((service): Finding[] => {
    const lacking = selling.filter(
      ({ id, without }) =>
        !(without ?? []).includes(service.id) &&
        !rates.some(({ serviceId, zoneId }) => serviceId === service.id && zoneId === id),
    );
    if (lacking.length === 0) return [];
    return [
      {
        code: 'service-without-rate',
        where: [
          { kind: 'service', id: service.id },
          ...lacking.map(({ id }): RuleRef => ({ kind: 'zone', id })),
        ],
        detail: {
          zones: listed(
            lacking.map(({ name }) => name),
            'and',
          ),
        },
      },
    ];
  });
};

/** A threshold for free shipping that the rate's own limit keeps every order from reaching. */
const freeOutOfReach = ({ id, freeFrom, limits }: Rate): Finding[] => {
  const max = limits?.subtotal?.max;
  return freeFrom !== undefined && max !== undefined && freeFrom > max
    ? [{ code: 'free-out-of-reach', where: [rateAt(id)], detail: { freeFrom, max } }]
    : [];
};

/** Zones that name only places where the shop does not sell. */
const closed = (book: Book): Finding[] => {
  const ids = closedZones(book);
  return book.zones
    .filter(({ id, active }) => active && ids.has(id))
    .map(({ id }) => ({ code: 'zone-not-sold', where: [{ kind: 'zone', id }], detail: {} }));
};

/** What is odd about the rates that are switched on, rate by rate, and where a service has none. */
export const oddRates = (book: Book): Finding[] => [
  ...missingRates(book),
  ...closed(book),
  ...book.rates
    .filter(({ active }) => active)
    .flatMap((rate) => {
      const at = (part: string | number): RuleRef => rateAt(rate.id, part);
      const contradicting = limitsThatContradict(at, rate.limits);
      // What no order meets has no steps, thresholds or bounds that matter.
      if (contradicting.length > 0) return contradicting.slice(0, 1);
      return [
        ...stepsThatFall(at, rate.price),
        ...idleSteps(rate),
        ...oddBounds(rate, book),
        ...freeOutOfReach(rate),
      ];
    }),
];
