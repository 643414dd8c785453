import { inQuotes } from '../words/in-quotes.ts';
import { t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import type { StepsPrice } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { listed, namesOf } from '../words/names.ts';
import { ruleName } from '../audit/problem-sentence.ts';
import type { Change } from './change.ts';
import { areaWithEnd, brokenLimit, refusalsOf, withEnd, withLimits, type BrokenLimit } from './limits.ts';
import { byId, causeName, namedBy, rateOf, rateTo, type Broken, type Repair } from './repair.ts';

const MOST_NAMED = 3;
const zoneNames = ({ zones }: Book, ids: readonly string[]): string =>
  ids.length > MOST_NAMED ? t('{count} zones', { count: ids.length }) : listed(namesOf(ids, zones), 'and');

/** A rate whose steps end no more where its limit does. */
const endless = (rate: Rate, { measure, end }: BrokenLimit): Rate => {
  if (end !== 'max' || rate.price.kind !== 'steps' || rate.price.basis !== measure) return rate;
  const { until: _, ...price } = rate.price;
  return { ...rate, price };
};

/** A limit that is taken out, or a minimum order. */
export const freedLimits = (broken: Broken): Repair[] => {
  const { problem, compiled } = broken;
  const { book } = compiled;
  const [a, limit] = [causeName(broken), brokenLimit(broken)];
  const [rate, area] = [rateOf(broken), byId(book.areas, namedBy(problem, 'area')[0])];
  const point = byId(book.pickups, namedBy(problem, 'pickup')[0]);
  if (!limit) {
    const isMinimum = refusalsOf(broken).some(({ code }) => code === 'below-minimum');
    return isMinimum ? withoutMinimum(broken) : [];
  }
  const change: Change | null = rate
    ? rateTo(withLimits(endless(rate, limit), withEnd(rate.limits, limit, null)))
    : area
      ? { list: 'areas', at: area.id, entry: areaWithEnd(area, limit, null) }
      : point
        ? { list: 'pickups', at: point.id, entry: withLimits(point, withEnd(point.limits, limit, null)) }
        : null;
  if (!change) return [];
  const one: Repair = { code: 'no-limit', a, b: limit.measure, changes: [change] };
  if (!rate || Object.keys(rate.limits ?? {}).length < 2) return [one];
  const free = withLimits(endless(rate, limit), undefined);
  return [one, { code: 'no-limits', a, changes: [rateTo(free)] }];
};

const withoutMinimum = (broken: Broken): Repair[] => {
  const { problem, compiled } = broken;
  const { areas, pickups } = compiled.book;
  const area = byId(areas, namedBy(problem, 'area')[0]);
  const point = byId(pickups, namedBy(problem, 'pickup')[0]);
  const changes: Change[] = [];
  if (area) {
    const { minSubtotal: _, ...entry } = area;
    changes.push({ list: 'areas', at: area.id, entry });
  } else if (point) {
    const { minSubtotal: _, ...entry } = point;
    changes.push({ list: 'pickups', at: point.id, entry });
  }
  return changes.length > 0 ? [{ code: 'no-minimum', a: causeName(broken), changes }] : [];
};

/** Steps that have a price for what lies before the first or beyond the last of them. */
export const closedGaps = (broken: Broken): Repair[] => {
  const rate = rateOf(broken);
  if (!rate || rate.price.kind !== 'steps') return [];
  const codes = refusalsOf(broken).map(({ code }) => code);
  const { until, ...openEnded } = rate.price;
  const [first] = [...rate.price.steps].sort((x, y) => x.from - y.from);
  const a = causeName(broken);
  const priced = (price: StepsPrice): Change[] => [rateTo({ ...rate, price })];
  return [
    ...(codes.includes('above-last-step') && until !== undefined
      ? [{ code: 'no-end' as const, a, changes: priced(openEnded) }]
      : []),
    ...(codes.includes('below-first-step') && first
      ? [
          {
            code: 'from-zero' as const,
            a,
            changes: priced({
              ...rate.price,
              steps: rate.price.steps.map((step) => (step === first ? { ...step, from: 0 } : step)),
            }),
          },
        ]
      : []),
  ];
};

/** An adjustment that withholds no longer, or not where it leaves orders without a choice. */
export const tamedAdjustment = (broken: Broken): Repair[] => {
  const { problem, compiled } = broken;
  const { adjustments, zones } = compiled.book;
  const adjustment = byId(adjustments, namedBy(problem, 'adjustment')[0]);
  if (!adjustment) return [];
  const { id, name, to } = adjustment;
  const spared = namedBy(problem, 'zone');
  const left = (to.zoneIds ?? zones.map((zone) => zone.id)).filter((zone) => !spared.includes(zone));
  // A rule for zones is for shipping alone: one that was for deliveries and pickups too must not lose them.
  const isOfZones =
    to.zoneIds !== undefined ||
    to.kinds?.every((kind) => kind === 'shipping') === true ||
    (compiled.book.areas.length === 0 && compiled.book.pickups.length === 0);
  const sparing = { ...adjustment, to: { ...to, zoneIds: left } };
  return [
    {
      code: 'switch-off',
      a: inQuotes(name),
      changes: [{ list: 'adjustments', at: id, entry: { ...adjustment, active: false } }],
    },
    ...(isOfZones && spared.length > 0 && left.length > 0
      ? [
          {
            code: 'spare-zones' as const,
            a: inQuotes(name),
            b: zoneNames(compiled.book, spared),
            changes: [{ list: 'adjustments' as const, at: id, entry: sparing }],
          },
        ]
      : []),
  ];
};

/** A handling group that may be shipped to the zones where its goods cannot be bought. */
export const letGroup = ({ problem, compiled: { book } }: Broken): Repair[] => {
  const group = byId(book.groups, namedBy(problem, 'group')[0]);
  const zones = namedBy(problem, 'zone');
  if (!group || zones.length === 0) return [];
  const { onlyZones, neverZones, ...entry } = group;
  const never = neverZones?.filter((id) => !zones.includes(id)) ?? [];
  // What nothing shipped is shipped to these zones alone; a choice of services stays what it is.
  const open = group.shipping === 'none' ? zones : onlyZones && [...new Set([...onlyZones, ...zones])];
  const changed = {
    ...entry,
    shipping: group.shipping === 'none' ? ('any' as const) : group.shipping,
    ...(open ? { onlyZones: open } : {}),
    ...(never.length > 0 ? { neverZones: never } : {}),
  };
  return [
    {
      code: 'let-group',
      a: group.name,
      b: zoneNames(book, zones),
      changes: [{ list: 'groups', at: group.id, entry: changed }],
    },
  ];
};

/** A code that the postal list does not serve, served. */
export const servedCode = ({ problem, compiled: { book } }: Broken): Repair[] => {
  const line = problem.where.find(({ kind }) => kind === 'postal')?.id;
  if (line === undefined) {
    const store = { ...book.store, unlistedPostalCodes: 'served' as const };
    return [{ code: 'serve-code', a: '', changes: [{ list: 'store', entry: store }] }];
  }
  const rule = book.postalList.find(({ country, pattern }) => `${country}:${pattern}` === line);
  if (!rule) return [];
  return [
    {
      code: 'serve-code',
      a: rule.pattern,
      changes: [{ list: 'postalList', at: line, entry: { ...rule, served: true } }],
    },
  ];
};

/** A country in which no zone takes any place is no longer sold to; where some are taken, those are sold to still. */
const unsold = ({ zones, store }: Book, country: string): Repair[] => {
  const { sellsTo } = store;
  const isTaken = zones.some(
    ({ active, includes, remainder }) =>
      active && (remainder || includes.some((region) => region.country === country)),
  );
  if (isTaken) return [];
  const closed =
    sellsTo.mode === 'listed'
      ? { ...sellsTo, countries: sellsTo.countries.filter((one) => one !== country) }
      : { ...sellsTo, closedRegions: [...sellsTo.closedRegions, { country }] };
  const entry = { ...store, sellsTo: closed };
  return [{ code: 'stop-selling', a: country, changes: [{ list: 'store', entry }] }];
};

/** A place that no zone takes: in one of the zones that are nearest, or no longer sold to. */
export const takenIn = ({ problem, compiled: { book } }: Broken): Repair[] => {
  const country = problem.example?.destination?.country;
  if (country === undefined) return [];
  const near = namedBy(problem, 'zone')
    .slice(0, 2)
    .flatMap((id) => byId(book.zones, id) ?? []);
  return [
    ...near.map((zone): Repair => ({
      code: 'add-country',
      a: country,
      b: zone.name,
      changes: [
        { list: 'zones', at: zone.id, entry: { ...zone, includes: [...zone.includes, { country }] } },
      ],
    })),
    ...unsold(book, country),
  ];
};

/** A zone whose rates are all switched off: one of them, or the zone itself, switched. */
export const switchedRates = ({ problem, compiled: { book, goods } }: Broken): Repair[] => {
  const zone = byId(book.zones, namedBy(problem, 'zone')[0]);
  if (!zone) return [];
  const off = book.rates.filter(({ zoneId, active }) => zoneId === zone.id && !active).slice(0, 2);
  return [
    ...off.map((rate): Repair => ({
      code: 'switch-on',
      a: ruleName({ kind: 'rate', id: rate.id }, book, goods),
      changes: [rateTo({ ...rate, active: true })],
    })),
    {
      code: 'switch-off',
      a: zone.name,
      changes: [{ list: 'zones', at: zone.id, entry: { ...zone, active: false } }],
    },
  ];
};
