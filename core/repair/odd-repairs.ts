import { inQuotes } from '../words/in-quotes.ts';
import { idleStepsOf } from '../audit/odd-rates.ts';
import type { Rate } from '../model/rate.ts';
import type { RateTable } from '../model/price.ts';
import { listed, namesOf } from '../words/names.ts';
import { ruleName } from '../audit/problem-sentence.ts';
import type { Change } from './change.ts';
import { withEnd, withLimits } from './limits.ts';
import { byId, namedBy, partOf, rateOf, rateTo, type Broken, type Repair } from './repair.ts';

const nameOfRate = ({ compiled: { book, goods } }: Broken, { id }: Rate): string =>
  ruleName({ kind: 'rate', id }, book, goods);

const without = <K extends 'min' | 'max'>(bounds: Rate['bounds'], end: K): Rate['bounds'] => {
  const { [end]: _, ...left } = bounds ?? {};
  return Object.keys(left).length > 0 ? left : undefined;
};

const bounded = ({ bounds: _, ...rate }: Rate, bounds: Rate['bounds']): Rate => ({
  ...rate,
  ...(bounds ? { bounds } : {}),
});

const neverFree = (broken: Broken, rate: Rate): Repair => {
  const { freeFrom: _, ...charged } = rate;
  return { code: 'never-free', a: nameOfRate(broken, rate), changes: [rateTo(charged)] };
};

/** A rate without its least charge, or its greatest, as a problem of its bounds asks. */
export const freedBounds = (broken: Broken): Repair[] => {
  const rate = rateOf(broken);
  if (!rate) return [];
  const a = nameOfRate(broken, rate);
  const { bounds, freeFrom } = rate;
  return [
    ...(bounds?.min === undefined
      ? []
      : [{ code: 'no-least' as const, a, changes: [rateTo(bounded(rate, without(bounds, 'min')))] }]),
    ...(bounds?.max === undefined
      ? []
      : [{ code: 'no-greatest' as const, a, changes: [rateTo(bounded(rate, without(bounds, 'max')))] }]),
    ...(freeFrom === undefined ? [] : [neverFree(broken, rate)]),
  ];
};

/** A rate or an area without its threshold for free shipping. */
export const chargedAlways = (broken: Broken): Repair[] => {
  const rate = rateOf(broken);
  if (rate) return rate.freeFrom === undefined ? [] : [neverFree(broken, rate)];
  const area = byId(broken.compiled.book.areas, namedBy(broken.problem, 'area')[0]);
  if (!area) return [];
  const { freeFrom: _, ...entry } = area;
  return [{ code: 'never-free', a: area.name, changes: [{ list: 'areas', at: area.id, entry }] }];
};

/** One of two limits that contradict each other, taken out. */
export const oneLimitLess = (broken: Broken): Repair[] => {
  const rate = rateOf(broken);
  const measure = partOf(broken.problem);
  if (
    !rate ||
    (measure !== 'weight' && measure !== 'subtotal' && measure !== 'units' && measure !== 'volume')
  )
    return [];
  return (['min', 'max'] as const).map((end) => ({
    code: 'no-limit',
    a: nameOfRate(broken, rate),
    b: `${end === 'min' ? 'minimum' : 'maximum'} ${measure}`,
    changes: [rateTo(withLimits(rate, withEnd(rate.limits, { measure, end }, null)))],
  }));
};

/** The steps that never act for one reason, taken out. */
export const idleStepsGone = (broken: Broken): Repair[] => {
  const rate = rateOf(broken);
  if (!rate || rate.price.kind !== 'steps') return [];
  const idle = idleStepsOf(rate);
  const why = idle.find(({ from }) => from === Number(partOf(broken.problem)))?.why;
  const gone = idle.filter((one) => one.why === why).map(({ from }) => from);
  // Of two steps with one beginning the first stands.
  const left = rate.price.steps.filter(({ from }, at, all) =>
    why === 'again' ? all.findIndex((one) => one.from === from) === at : !gone.includes(from),
  );
  if (gone.length === 0 || left.length === 0) return [];
  const price = { ...rate.price, steps: left };
  const count = rate.price.steps.length - left.length;
  return [
    {
      code: 'remove-step',
      a: nameOfRate(broken, rate),
      b: `${count}`,
      changes: [rateTo({ ...rate, price })],
    },
  ];
};

/** A row of a table that never acts, taken out. */
export const oneRowLess = ({ problem, compiled: { book } }: Broken): Repair[] => {
  const table: RateTable | undefined = byId(book.rateTables, namedBy(problem, 'table')[0]);
  const row = Number(partOf(problem)) - 1;
  if (!table || table.rows[row] === undefined) return [];
  const entry = { ...table, rows: table.rows.filter((_, at) => at !== row) };
  return [
    {
      code: 'remove-row',
      a: table.name,
      b: `${row + 1}`,
      changes: [{ list: 'rateTables', at: table.id, entry }],
    },
  ];
};

/** A zone that is switched off, on; or one that does nothing, off. */
export const switchedZone =
  (active: boolean) =>
  ({ problem, compiled: { book } }: Broken): Repair[] => {
    const zone = byId(book.zones, namedBy(problem, 'zone')[0]);
    if (!zone) return [];
    return [
      {
        code: active ? 'switch-on' : 'switch-off',
        a: zone.name,
        changes: [{ list: 'zones', at: zone.id, entry: { ...zone, active } }],
      },
    ];
  };

/** An entry that two zones name, taken from the one that does not get it. */
export const oneEntryLess = ({ problem, compiled: { book } }: Broken): Repair[] => {
  const loser = problem.where.at(-1);
  const [id, entry] = [loser?.id.split(':')[0], loser?.id.split(':')[1]];
  const zone = byId(book.zones, id);
  if (!zone || entry === undefined) return [];
  const includes = zone.includes.flatMap((region) => {
    if (region.postal === undefined) return (region.subdivision ?? region.country) === entry ? [] : [region];
    const postal = region.postal.filter((pattern) => pattern !== entry);
    return postal.length > 0 ? [{ ...region, postal }] : [];
  });
  return [
    {
      code: 'remove-entry',
      a: zone.name,
      b: entry,
      changes: [{ list: 'zones', at: zone.id, entry: { ...zone, includes } }],
    },
  ];
};

/** An adjustment that never acts, gone; one that takes too much off, switched off. */
export const adjustmentGone =
  (how: 'remove-adjustment' | 'switch-off') =>
  ({ problem, compiled: { book } }: Broken): Repair[] => {
    const adjustment = byId(book.adjustments, namedBy(problem, 'adjustment')[0]);
    if (!adjustment) return [];
    const entry = how === 'switch-off' ? { ...adjustment, active: false } : null;
    return [
      {
        code: how,
        a: inQuotes(adjustment.name),
        changes: [{ list: 'adjustments', at: adjustment.id, entry }],
      },
    ];
  };

/** The rates that an adjustment takes money off, without their threshold for free shipping. */
export const neverBoth = (broken: Broken): Repair[] => {
  const { book } = broken.compiled;
  const rates = namedBy(broken.problem, 'rate')
    .flatMap((id) => byId(book.rates, id) ?? [])
    .filter(({ freeFrom }) => freeFrom !== undefined);
  const gone: Repair[] =
    rates.length > 0
      ? [
          {
            code: 'never-free',
            a: listed(
              rates.map((rate) => nameOfRate(broken, rate)),
              'and',
            ),
            changes: rates.map(({ freeFrom: _, ...rate }) => rateTo(rate)),
          },
        ]
      : [];
  return [...adjustmentGone('switch-off')(broken), ...gone];
};

/** A service that is left out of the zones where it has no rate, so that it is known to be meant. */
export const leftOut = ({ problem, compiled: { book } }: Broken): Repair[] => {
  const service = byId(book.services, namedBy(problem, 'service')[0]);
  const ids = namedBy(problem, 'zone');
  if (!service || ids.length === 0) return [];
  const changes = ids.flatMap((id): Change[] => {
    const zone = byId(book.zones, id);
    if (!zone) return [];
    const entry = { ...zone, without: [...new Set([...(zone.without ?? []), service.id])] };
    return [{ list: 'zones', at: id, entry }];
  });
  return [{ code: 'leave-out', a: service.name, b: listed(namesOf(ids, book.zones), 'and'), changes }];
};
