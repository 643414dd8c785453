import { t } from '../translate/translate.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { conditionKind } from '../adjust/condition-kinds.ts';
import { measureFigure, type DisplayFormat } from '../words/figure.ts';
import { listed, namesOf } from '../words/names.ts';
import { widestLimit } from './causes.ts';
import type { Finding, RuleRef } from './finding.ts';
import { placeKey, placeWords, type PlaceClass } from './place-classes.ts';
import type { Stop } from './stops.ts';

/** Orders of so many units come last, by themselves: they are beyond any likely size. */
const VAST = 1_000;
/** So many places are named as rules to open besides the cause. */
const MOST_PLACES = 12;
const MOST_NAMED = 3;
/** So many places outside of all zones. */
const MOST_LISTED = 8;

/** The names of goods, or how many there are; all that a group holds go by its name. */
const goodsWords = ({ goods, book }: CompiledBook, skus: readonly string[]): string => {
  if (skus.length <= MOST_NAMED)
    return listed(
      skus.map((sku) => goods.get(sku)?.name ?? sku),
      'and',
    );
  const here = new Set(skus);
  const group = book.groups.find(({ id }) => {
    const members = [...goods.values()].filter(({ groupIds }) => groupIds?.includes(id));
    return members.length === here.size && members.every(({ sku }) => here.has(sku));
  });
  return group ? group.name : t('{count} products', { count: skus.length });
};

type Zones = Map<string, PlaceClass[]>;

const zoneOf = ({ zone, served }: PlaceClass): string => (zone && served ? zone.zone.id : '');

const byZone = (places: Iterable<PlaceClass>): Zones => {
  const zones: Zones = new Map();
  for (const place of places) zones.set(zoneOf(place), [...(zones.get(zoneOf(place)) ?? []), place]);
  return zones;
};

/** Places that no zone takes, by name, what rules do not name last. */
const placesWords = (places: readonly PlaceClass[], display: DisplayFormat): string => {
  const named = places.filter(({ restOf }) => restOf !== 'world');
  const rest = places.filter(({ restOf }) => restOf === 'world');
  const words = [...named, ...rest].map((place) => placeWords(place, display));
  return words.length > MOST_LISTED
    ? t('{list} and {count} more places', {
        list: words.slice(0, MOST_LISTED - 1).join(', '),
        count: words.length - MOST_LISTED + 1,
      })
    : listed(words, 'and');
};

const nameOf = (places: readonly PlaceClass[], display: DisplayFormat): string => {
  const [first] = places;
  if (!first) return '';
  return first.zone && first.served ? first.zone.zone.name : placesWords(places, display);
};

/** What was seen of a cause, put so that it holds for every good and place it names. */
interface Reach {
  /** The places by name: whole zones, or parts of them. */
  places: string;
  /** Whether each good that is named is stopped in each place that is named. */
  isEach: boolean;
  zones: string[];
}

const reachOf = ({ alone, places }: Stop, all: Zones, display: DisplayFormat): Reach => {
  const sets = alone.size > 0 ? [...alone.values()] : [places];
  const seen = byZone(new Set(sets.flatMap((set) => [...set])));
  const isIn = (set: ReadonlySet<PlaceClass>, zone: string): boolean =>
    [...set].some((one) => zoneOf(one) === zone);
  const isWhole = (zone: string): boolean =>
    sets.every((set) => (all.get(zone) ?? []).every((place) => set.has(place)));
  const isEach = sets.every((set) => [...seen.keys()].every((zone) => isIn(set, zone)));
  const names = [...seen].map(([zone, list]) =>
    zone === '' || !isEach || isWhole(zone)
      ? nameOf(list, display)
      : t('parts of {places}', { places: nameOf(list, display) }),
  );
  const counted = t('{count} zones{parts}', {
    count: names.length,
    parts: isEach && ![...seen.keys()].every(isWhole) ? t(' or parts of them') : '',
  });
  return {
    places: names.length > MOST_NAMED ? counted : listed(names, 'and'),
    isEach,
    zones: [...byZone(places).keys()].filter((zone) => zone !== ''),
  };
};

/** When and for whom an adjustment withholds: its conditions on anything but goods and places. */
const adjustmentWhen = (compiled: CompiledBook, id: string): string => {
  const { book, goods, display } = compiled;
  const adjustment = book.adjustments.find((one) => one.id === id);
  const conditions = (adjustment?.when ?? []).filter(
    ({ test }) => test !== 'goods' && test !== 'destination',
  );
  const naming = { book, goods, display };
  return conditions.map((one) => conditionKind(one).words(one, naming)).join(t(' and '));
};

/** Who orders and when, where a cause was never seen without. */
const contextWords = ({ isPlain, example: { customer, code, channel, placedAt } }: Stop): string => {
  if (isPlain) return '';
  const parts = [
    ...(customer === undefined ? [] : [t('the customer is {customer}', { customer })]),
    ...(code === undefined ? [] : [t('the code is {code}', { code })]),
    ...(channel === undefined ? [] : [t('the order comes from {channel}', { channel })]),
  ];
  return parts.length > 0
    ? parts.join(t(' and '))
    : t('the order is placed on {date}', { date: placedAt.slice(0, 10) });
};

/** The limit of the cause itself: 'above 450 kg'; where limits alone keep orders out, the widest of them. */
const limitWords = (
  { display }: CompiledBook,
  { quoted, where: [{ id }] }: Stop,
  isLimited: boolean,
): string => {
  const own = quoted.withheld.filter((one) => one.id === id || one.id.startsWith(`${id}:`));
  const limit = widestLimit(isLimited ? quoted : { ...quoted, withheld: own });
  if (limit) {
    const figure = measureFigure(limit.measure, limit.limit, display);
    return limit.code === 'above-limit' ? t('above {figure}', { figure }) : t('below {figure}', { figure });
  }
  const least = own.find(({ code }) => code === 'below-minimum')?.detail.least;
  return least === undefined
    ? ''
    : t('below {figure}', { figure: measureFigure('subtotal', Number(least), display) });
};

const LIMITS = ['above-limit', 'below-limit', 'above-last-step'];
/** Reasons that say nothing of a rule that might have taken the order. */
const ELSEWHERE = ['no-rate', 'rate-off', 'outside-area', 'too-far'];

/** Whether limits of one measure and direction alone keep the order from everything that takes orders there. */
const isByLimitsAlone = ({ goods }: CompiledBook, { quoted }: Stop): boolean => {
  const refused = quoted.withheld.filter(({ code }) => !ELSEWHERE.includes(code));
  const kinds = new Set(
    refused.map(
      ({ code, detail }) => `${code === 'below-limit' ? 'below' : 'above'} ${String(detail.measure)}`,
    ),
  );
  // Steps measure what is charged for, limits all that travels: goods free of charge are beyond no step.
  const hasFree = [...goods.values()].some(({ chargeFree }) => chargeFree === true);
  const isLimit = (code: string): boolean =>
    LIMITS.includes(code) && !(hasFree && code === 'above-last-step');
  return refused.every(({ code }) => isLimit(code)) && kinds.size === 1;
};

/** A delivery area is itself the place where it stops orders. */
const areaName = ({ book }: CompiledBook, { kind, id }: RuleRef): string | undefined =>
  kind === 'area' ? book.areas.find((one) => one.id === id)?.name : undefined;

/** How far a cause reaches: '8 zones · 1 product', or the places where no zone is. */
const reachFigure = (
  zones: readonly string[],
  skus: readonly string[],
  places: ReadonlySet<PlaceClass>,
  display: DisplayFormat,
): string => {
  const where =
    zones.length > 0
      ? t('{count, plural, one {# zone} other {# zones}}', { count: zones.length })
      : nameOf([...places], display);
  return skus.length > 0
    ? t('{where} · {count, plural, one {# product} other {# products}}', { where, count: skus.length })
    : where;
};

/** What keeps all goods from a place: it says nothing of the one that was tried. */
const OF_PLACES: readonly string[] = ['no-zone', 'zone-without-rate', 'postal-not-served'];

/** What a handling group lets be done with its goods: 'shipped by no service'. */
const groupWords = ({ book }: CompiledBook, id: string): string => {
  const group = book.groups.find((one) => one.id === id);
  if (!group) return '';
  const { shipping, onlyZones, neverZones } = group;
  const zones = (ids: readonly string[]): string => listed(namesOf(ids, book.zones), 'and');
  return [
    ...(shipping === 'none' ? [t('shipped by no service')] : []),
    ...(Array.isArray(shipping)
      ? [t('shipped only by {services}', { services: listed(namesOf(shipping, book.services), 'or') })]
      : []),
    ...(onlyZones && shipping !== 'none' ? [t('shipped only to {zones}', { zones: zones(onlyZones) })] : []),
    ...(neverZones && shipping !== 'none'
      ? [t('never shipped to {zones}', { zones: zones(neverZones) })]
      : []),
  ].join(', ');
};

const zonesAt = (ids: readonly string[], cause: RuleRef): RuleRef[] =>
  ids
    .filter((id) => !(cause.kind === 'zone' && cause.id === id))
    .slice(0, MOST_PLACES)
    .map((id) => ({ kind: 'zone', id }));

/** What was found of the orders without a choice, one finding a cause. */
export const stopFindings = (
  compiled: CompiledBook,
  stops: readonly Stop[],
  classes: readonly PlaceClass[],
): Finding[] => {
  const all = byZone(classes);
  return stops.map((stop): Finding => {
    const { code, example, units, alone, parts } = stop;
    const [cause, ...more] = stop.where;
    const skus = OF_PLACES.includes(code) ? [] : [...alone.keys()];
    const { places, isEach, zones } = reachOf(stop, all, compiled.display);
    const when = cause.kind === 'adjustment' ? adjustmentWhen(compiled, cause.id) : contextWords(stop);
    const isLimited = isByLimitsAlone(compiled, stop);
    return {
      code,
      gravity: 'stops',
      where: [cause, ...more, ...zonesAt(zones, cause)],
      detail: {
        goods: skus.length > 0 ? goodsWords(compiled, skus) : '',
        places: areaName(compiled, cause) ?? places,
        each: isEach ? 'yes' : '',
        when,
        rule: cause.kind === 'group' ? groupWords(compiled, cause.id) : '',
        limit: limitWords(compiled, stop, isLimited),
        limited: isLimited ? 'yes' : '',
        one: stop.isSmall ? 'yes' : '',
        delivered: cause.kind === 'area' ? 'yes' : '',
        ...(parts === null ? {} : { parts }),
      },
      example,
      reach: reachFigure(zones, skus, stop.places, compiled.display),
      goods: skus,
      places: [...new Set([...stop.places].map(placeKey))],
      isVast: units >= VAST,
    };
  });
};
