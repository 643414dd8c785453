import { t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import type { Region } from '../model/place.ts';
import type { RateTable } from '../model/price.ts';
import { areasAt, bestAreas } from '../place/area-index.ts';
import { placeOf, type Place } from '../place/place.ts';
import { askPostalList } from '../place/postal-list.ts';
import { findZone, REMAINDER, sellsThere, type ZoneFound } from '../place/zone-index.ts';
import { subdivisionOfCode } from '../place/subdivision-of-code.ts';
import { tableRowsAt, type TableIndex } from '../price/table.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { memoizeByObject } from '../memo/memoize-by-object.ts';
import { codeClasses } from './code-classes.ts';
import { isNamedIn } from './relevant.ts';
import { conditionKind } from '../adjust/condition-kinds.ts';
import { tableOf } from '../price/kinds.ts';
import type { DisplayFormat } from '../words/figure.ts';
import { placePhrase } from '../words/place-phrase.ts';

/** Places that every rule of a book treats alike, with one that stands for them. */
export interface PlaceClass {
  place: Place;
  /** The place as an address. */
  destination: { country: string; subdivision?: string; postalCode?: string };
  sold: boolean;
  served: boolean;
  /** The line of the postal list that says so, where one does. */
  postalLine: string | null;
  zone: ZoneFound | null;
  /** Whether it stands for what no rule names: of its country, or of the world. */
  restOf: 'country' | 'world' | null;
}

/** Countries of which one that no rule names stands for all that none does. */
const OTHERS =
  'NZ JP BR ZA IS TH PE KE NO CH MX IN SG AE CL KR TR EG MA FJ AQ BV TF HM GS PN TK NU NR TV'.split(' ');

const listsOf = ({ book }: CompiledBook): readonly (readonly Region[])[] => [
  book.store.sellsTo.closedRegions,
  book.store.sellsTo.onlyRegions ?? [],
  book.store.sellsTo.countries.map((country) => ({ country })),
  ...book.zones.flatMap(({ includes, excludes }) => [includes, excludes]),
  book.postalList.map(({ country, pattern }) => ({ country, postal: [pattern] })),
  ...book.adjustments.flatMap(({ when }) =>
    when.map((condition) => conditionKind(condition).regions(condition)),
  ),
  ...book.rateTables.map(({ rows }) => tableRegions(rows)),
  ...book.areas.map(({ active, covers }) =>
    active && covers.kind === 'postal' ? [{ country: covers.country, postal: covers.patterns }] : [],
  ),
];

const tableRegions = (rows: RateTable['rows']): Region[] =>
  rows.flatMap(({ country, subdivision, postal }) => {
    const home = country ?? subdivision?.slice(0, 2);
    if (home === undefined) return [];
    return [
      ...(subdivision === undefined ? [{ country: home }] : [{ country: home, subdivision }]),
      ...(postal === undefined ? [] : [{ country: home, postal: [postal] }]),
    ];
  });

/** What rules name within a country. */
interface NamedWithin {
  subdivisions: Set<string>;
  patterns: Set<string>;
}

type Named = Map<string, NamedWithin>;

/** What rules name within each country, and last the country that stands for all that none names. */
const namedIn = (compiled: CompiledBook): { named: Named; other: string | undefined } => {
  const named: Named = new Map();
  for (const regions of listsOf(compiled)) {
    for (const { country, subdivision, postal } of regions) {
      const known = named.get(country) ?? { subdivisions: new Set<string>(), patterns: new Set<string>() };
      named.set(country, known);
      if (subdivision) known.subdivisions.add(subdivision);
      for (const pattern of postal ?? []) known.patterns.add(pattern);
    }
  }
  const other = OTHERS.find((country) => !named.has(country));
  if (other) named.set(other, { subdivisions: new Set(), patterns: new Set() });
  return { named, other };
};

const anywherePatterns = ({ book }: CompiledBook): string[] => [
  ...new Set(
    book.rateTables.flatMap(({ rows }) =>
      rows.flatMap(({ country, subdivision, postal }) =>
        country === undefined && subdivision === undefined && postal !== undefined ? [postal] : [],
      ),
    ),
  ),
];

type Destination = PlaceClass['destination'];

/** The countries of which zones take parts by name. */
const takenInParts = ({ book }: CompiledBook): ReadonlySet<string> =>
  new Set(
    book.zones
      .flatMap(({ includes }) => includes)
      .filter(({ subdivision, postal }) => subdivision !== undefined || postal !== undefined)
      .map(({ country }) => country),
  );

/**
 * A destination for each country, subdivision and class of codes that rules tell apart, and their remainders. A code that
 * tells its subdivision goes with that one alone: checkout asks about an address with another, and fills in one that lacks.
 */
function* destinations(compiled: CompiledBook, named: Named): Generator<Destination> {
  const anywhere = anywherePatterns(compiled);
  for (const [country, { subdivisions, patterns }] of named) {
    const codes = codeClasses(country, [...new Set([...patterns, ...anywhere])]);
    const told = codes.map((code) => subdivisionOfCode(country, code));
    for (const [at, postalCode] of codes.entries()) {
      const subdivision = told[at];
      if (subdivision !== undefined) yield { country, subdivision, postalCode };
    }
    for (const subdivision of [undefined, ...subdivisions]) {
      const area = { country, ...(subdivision === undefined ? {} : { subdivision }) };
      yield area;
      for (const [at, postalCode] of codes.entries())
        if (told[at] === undefined) yield { ...area, postalCode };
    }
  }
}

/** The rows of a table's place in so far as they differ: their ranges, and which of them charge nothing. */
const shapeOf = (rows: NonNullable<ReturnType<typeof tableRowsAt>>): string =>
  rows
    .map(({ from, to, amount, each }) => `${from}-${to ?? ''}${amount === 0 ? '!' : ''}${each ? '+' : ''}`)
    .join();

/** What the tables and the destination conditions of a book say of a place, as text. */
const judgesOf = (compiled: CompiledBook): ((place: Place, zone: ZoneFound | null) => string) => {
  const conditions = compiled.book.adjustments.flatMap(({ when }) =>
    when.flatMap((condition) => (condition.test === 'destination' ? [condition] : [])),
  );
  const usedIn = memoizeByObject((zone: ZoneFound['zone']): TableIndex[] =>
    compiled.services.flatMap(({ byZone }) => {
      const price = byZone.get(zone.id)?.rate.price;
      const table = price && tableOf(price, compiled.tables);
      return table ? [table] : [];
    }),
  );
  const shape = memoizeByObject(shapeOf);
  return (place, zone) => {
    const held = conditions.map((condition) => (isNamedIn(compiled, condition, place) ? '1' : '0')).join('');
    const shapes = zone
      ? usedIn(zone.zone).map((table) => {
          const rows = tableRowsAt(table, place);
          return rows ? shape(rows) : 'none';
        })
      : [];
    const areas = [...bestAreas(areasAt(compiled.areaIndex, place, undefined)).values()].map(
      ({ area }) => area.id,
    );
    return `${held}/${shapes.join('/')}/${areas.join('/')}`;
  };
};

/** All that a walk over the places of a book found. */
export interface PlacesFound {
  classes: PlaceClass[];
  /** The entries that decide some place, as 'zone id/entry'. */
  deciding: ReadonlySet<string>;
}

/** All that the classes of places of a book turn on: while each of these is the same, they are. */
export const placesTurnOn = ({ zones, rates, adjustments, ...book }: Book): unknown[] => [
  zones,
  book.store.sellsTo,
  book.store.unlistedPostalCodes,
  book.postalList,
  book.rateTables,
  book.areas,
  book.services,
  rates
    .flatMap(({ id, serviceId, zoneId, price }) =>
      price.kind === 'table' ? [`${id} ${serviceId} ${zoneId} ${price.tableId}`] : [],
    )
    .join('|'),
  JSON.stringify(adjustments.flatMap(({ when }) => when.map((one) => conditionKind(one).regions(one)))),
];

/**
 * The places of the world cut into classes that a book tells apart: every country, subdivision and postal
 * pattern that any rule names, and the remainder of each, brought together where all rules agree.
 */
export const placeClasses = (compiled: CompiledBook): PlacesFound => {
  const judge = judgesOf(compiled);
  const classes = new Map<string, PlaceClass>();
  const deciding = new Set<string>();
  const { unlistedPostalCodes } = compiled.book.store;
  const { named, other } = namedIn(compiled);
  const inParts = takenInParts(compiled);
  const restOf = ({ country, subdivision, postalCode }: Destination): PlaceClass['restOf'] => {
    if (country === other) return 'world';
    return subdivision === undefined && postalCode === undefined && inParts.has(country) ? 'country' : null;
  };
  for (const destination of destinations(compiled, named)) {
    const place = placeOf(destination);
    const sold = sellsThere(compiled.sellsTo, place);
    const { served, rule } = askPostalList(compiled.postalList, place, unlistedPostalCodes);
    const zone = findZone(compiled.zones, place);
    if (zone) deciding.add(`${zone.zone.id}/${zone.because}`);
    if (!sold) continue;
    const postalLine = served ? null : rule ? `${rule.country}:${rule.pattern}` : '';
    const found = { place, destination, sold, served, postalLine, zone, restOf: restOf(destination) };
    const key = served
      ? `${zone?.zone.id ?? `-${place.country}`}/${judge(place, zone)}`
      : `postal/${postalLine}/${place.country}`;
    const known = classes.get(key);
    if (!known || isPlainer(found, known)) classes.set(key, found);
  }
  return { classes: [...classes.values()], deciding };
};

/** Of two places of one class, the one that needs fewer words stands for it. */
const isPlainer = ({ destination: a }: PlaceClass, { destination: b }: PlaceClass): boolean =>
  Object.keys(a).length < Object.keys(b).length;

/** A class of places as people say it: 'B3S 0B9 in Canada', 'the United States', 'the rest of Canada'. */
export const placeWords = (
  { destination: { country, subdivision, postalCode }, restOf: rest }: PlaceClass,
  display: DisplayFormat,
): string => {
  if (rest === 'world') return t('all other countries');
  const area = subdivision ?? country;
  const words = placePhrase(postalCode === undefined ? area : `${area}, ${postalCode}`, display);
  return rest === 'country' ? t('the rest of {place}', { place: words }) : words;
};

/** A class of places by the entry that decides and the zone: what accepted problems are known by, so that it never changes. */
export const placeKey = ({ zone, destination }: PlaceClass): string => {
  const place = destination.postalCode ?? destination.subdivision ?? destination.country;
  if (!zone || zone.because === place) return place;
  return `${place} (${zone.because === REMAINDER ? t('everywhere else') : zone.because})`;
};
