import { t } from '../translate/translate.ts';
import { roundedMeasure } from '../model/measured.ts';
import type { RateTable, TableRow } from '../model/price.ts';
import type { Region } from '../model/place.ts';
import { buildPlaceIndex, decidingOwner, type PlaceIndex } from '../place/place-index.ts';
import type { Place } from '../place/place.ts';
import { normaliseCode, parsePattern } from '../place/postal.ts';

/** The rows of one place of a table: a stretch of the rows in order. */
interface PlaceRows {
  country: string | undefined;
  subdivision: string | undefined;
  postal: string | undefined;
  start: number;
  end: number;
}

/**
 * A table made ready. A look-up among a hundred thousand rows is mostly waiting for memory, so what it reads
 * lies in flat lists: places are numbers until they are named.
 */
export interface TableIndex {
  table: RateTable;
  /** Row numbers, place by place, each place's by `from`. */
  order: Int32Array;
  /** Each row's from and to, side by side, in that order. */
  ranges: Float64Array;
  placeList: readonly PlaceRows[];
  /** For each place: where its rows start, where they end, and what is special about it. */
  stretches: Int32Array;
  places: PlaceIndex<number>;
  /** Patterns of rows that name no country. */
  anywhere: PlaceIndex<number> | null;
  /** The place of the rows that name none. */
  rest: number;
  /** The rows of places that were asked for, the same list each time. */
  listed: Map<PlaceRows, readonly TableRow[]>;
}

/** Some of a place's rows hold one value, so that the first listed has to be sought. */
const OVERLAPS = 1;
/** A place of both a pattern and a subdivision: both must hold. */
const BOTH = 2;

const NOWHERE = -1;

/** The country under which patterns are filed that hold in every country. */
const ANY = '*';

/** What a row says of its place, so that rows of one place come together. */
export const placeKey = ({ country, subdivision, postal }: TableRow): string => {
  const code = postal === undefined ? '' : normaliseCode(country === 'US' ? '' : (country ?? ''), postal);
  return `${country ?? subdivision?.slice(0, 2) ?? ''}|${subdivision ?? ''}|${code}`;
};

/** The numbers of the rows, place by place in the order in which places are first named, and by `from` within. */
const sortedRows = (rows: readonly TableRow[]): { order: Int32Array; sizes: number[] } => {
  const placeOf = new Map<string, number>();
  const places = new Int32Array(rows.length);
  const sizes: number[] = [];
  rows.forEach((row, at) => {
    const key = placeKey(row);
    const place = placeOf.get(key) ?? placeOf.size;
    placeOf.set(key, place);
    places[at] = place;
    sizes[place] = (sizes[place] ?? 0) + 1;
  });
  const next = new Int32Array(sizes.length);
  for (let place = 1; place < sizes.length; place += 1)
    next[place] = (next[place - 1] as number) + (sizes[place - 1] as number);
  const order = new Int32Array(rows.length);
  places.forEach((place, at) => {
    order[next[place] as number] = at;
    next[place] = (next[place] as number) + 1;
  });
  let start = 0;
  for (const size of sizes) {
    order
      .subarray(start, start + size)
      .sort((a, b) => (rows[a] as TableRow).from - (rows[b] as TableRow).from || a - b);
    start += size;
  }
  return { order, sizes };
};

const overlapsIn = (ranges: Float64Array, start: number, end: number): boolean => {
  let reached = Number.NEGATIVE_INFINITY;
  for (let at = start; at < end; at += 1) {
    if ((ranges[at * 2] as number) < reached) return true;
    reached = Math.max(reached, ranges[at * 2 + 1] as number);
  }
  return false;
};

const rangesOf = ({ rows, basis }: RateTable, order: Int32Array): Float64Array => {
  const ranges = new Float64Array(rows.length * 2);
  order.forEach((row, at) => {
    const { from, to } = rows[row] as TableRow;
    ranges[at * 2] = roundedMeasure(basis, from);
    ranges[at * 2 + 1] = to === undefined ? Number.POSITIVE_INFINITY : roundedMeasure(basis, to);
  });
  return ranges;
};

const placesOf = (rows: readonly TableRow[], order: Int32Array, sizes: readonly number[]): PlaceRows[] => {
  let start = 0;
  return sizes.map((size) => {
    const { country, subdivision, postal } = rows[order[start] as number] as TableRow;
    const place = {
      country: country ?? subdivision?.slice(0, 2),
      subdivision,
      postal,
      start,
      end: start + size,
    };
    start += size;
    return place;
  });
};

const stretchesOf = (places: readonly PlaceRows[], ranges: Float64Array): Int32Array =>
  Int32Array.from(
    places.flatMap(({ subdivision, postal, start, end }) => [
      start,
      end,
      (overlapsIn(ranges, start, end) ? OVERLAPS : 0) |
        (postal !== undefined && subdivision !== undefined ? BOTH : 0),
    ]),
  );

const regionOf = ({ country = ANY, subdivision, postal }: PlaceRows): Region =>
  postal !== undefined
    ? { country, postal: [postal] }
    : subdivision !== undefined
      ? { country, subdivision }
      : { country };

const indexOf = (
  places: readonly PlaceRows[],
  isIn: (place: PlaceRows) => boolean,
): PlaceIndex<number> | null => {
  const lists = places.flatMap((place, at) =>
    isIn(place) ? [{ owner: at, regions: [regionOf(place)] }] : [],
  );
  return lists.length > 0 ? buildPlaceIndex(lists) : null;
};

/** A table with its rows in order and its places in an index. */
export const indexTable = (table: RateTable): TableIndex => {
  const { order, sizes } = sortedRows(table.rows);
  const ranges = rangesOf(table, order);
  const placeList = placesOf(table.rows, order, sizes);
  return {
    table,
    order,
    ranges,
    placeList,
    stretches: stretchesOf(placeList, ranges),
    places: indexOf(placeList, ({ country }) => country !== undefined) ?? buildPlaceIndex<number>([]),
    anywhere: indexOf(placeList, ({ country, postal }) => country === undefined && postal !== undefined),
    rest: placeList.findIndex(({ country, postal }) => country === undefined && postal === undefined),
    listed: new Map(),
  };
};

/** How specific a place of a table is: a whole code above all patterns, a pattern by its fixed beginning. */
const rankOf = ({ country = '', subdivision, postal }: PlaceRows): number => {
  const pattern = postal === undefined ? null : parsePattern(country, postal);
  if (pattern) return pattern.kind === 'exact' ? 1_000 : 100 + pattern.fixed;
  return subdivision === undefined ? 1 : 2;
};

const better = ({ placeList }: TableIndex, a: number, b: number): number => {
  const [placeA, placeB] = [placeList[a] as PlaceRows, placeList[b] as PlaceRows];
  const [rankA, rankB] = [rankOf(placeA), rankOf(placeB)];
  if (rankA !== rankB) return rankA > rankB ? a : b;
  return placeA.start <= placeB.start ? a : b;
};

/** The number of the most specific place of the table that holds a place, or -1. */
const placeAt = (index: TableIndex, place: Place | null): number => {
  if (!place) return index.rest;
  const { stretches, placeList } = index;
  const accepts = (at: number): boolean =>
    ((stretches[at * 3 + 2] as number) & BOTH) === 0 ||
    (placeList[at] as PlaceRows).subdivision === place.subdivision;
  const found = decidingOwner(index.places, place, accepts) ?? NOWHERE;
  const any = index.anywhere
    ? (decidingOwner(index.anywhere, { ...place, country: ANY }, accepts) ?? NOWHERE)
    : NOWHERE;
  if (found !== NOWHERE && any !== NOWHERE) return better(index, found, any);
  return Math.max(found, any) === NOWHERE ? index.rest : Math.max(found, any);
};

/** All rows of the most specific place of a table that holds a place, by `from`; null where none holds it. */
export const tableRowsAt = (index: TableIndex, place: Place): readonly TableRow[] | null => {
  const found = index.placeList[placeAt(index, place)];
  if (!found) return null;
  const known = index.listed.get(found);
  if (known) return known;
  const rows = Array.from(
    index.order.subarray(found.start, found.end),
    (at) => index.table.rows[at] as TableRow,
  );
  index.listed.set(found, rows);
  return rows;
};

/** The last position from `start` to `end` whose `from` the value reaches; -1 where none is. */
const lastReached = (ranges: Float64Array, start: number, end: number, value: number): number => {
  let low = start;
  let high = end;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((ranges[middle * 2] as number) <= value) low = middle + 1;
    else high = middle;
  }
  return low > start ? low - 1 : -1;
};

/** A row counted from 0, or -1 where none holds the value; the place in which it was sought, or -1 where there is none. */
export interface TableFound {
  row: number;
  place: number;
}

/** A place of a table in the fewest words that name it; null for no place. */
export const tablePlaceName = ({ placeList }: TableIndex, at: number): string | null => {
  const place = placeList[at];
  return place ? (place.postal ?? place.subdivision ?? place.country ?? t('anywhere')) : null;
};

/**
 * The row of a table for a place and a measured value: the most specific place that holds it, and there
 * the row with from ≤ value < to; of rows that overlap, the first listed. There is no falling through to a
 * wider place.
 */
export const findTableRow = (index: TableIndex, place: Place | null, value: number): TableFound => {
  const { ranges, order, stretches } = index;
  const found = placeAt(index, place);
  if (found === NOWHERE) return { row: -1, place: found };
  const start = stretches[found * 3] as number;
  const overlaps = ((stretches[found * 3 + 2] as number) & OVERLAPS) !== 0;
  const last = lastReached(ranges, start, stretches[found * 3 + 1] as number, value);
  let row = -1;
  for (let at = last; at >= start; at -= 1) {
    const here = order[at] as number;
    if (value < (ranges[at * 2 + 1] as number) && (row < 0 || here < row)) row = here;
    if (!overlaps) break;
  }
  return { row, place: found };
};
