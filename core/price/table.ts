import type { RateTable, TableRow } from '../model/price.ts';
import type { Region } from '../model/place.ts';
import { buildPlaceIndex, decidingClaim, type PlaceIndex } from '../place/place-index.ts';
import type { Place } from '../place/place.ts';
import { normaliseCode, parsePattern } from '../place/postal.ts';

/** The rows of one place of a table: a stretch of the rows in order. */
interface PlaceRows {
  country: string | undefined;
  subdivision: string | undefined;
  postal: string | undefined;
  start: number;
  end: number;
  /** Whether some of its rows hold one value, so that the first listed has to be sought. */
  overlaps: boolean;
}

/** A table made ready: its rows by place and by `from`, its places in an index. */
export interface TableIndex {
  table: RateTable;
  /** Row numbers, place by place, each place's by `from`. */
  order: Int32Array;
  froms: Float64Array;
  places: PlaceIndex<PlaceRows>;
  /** Patterns of rows that name no country, and the rows that name no place at all. */
  anywhere: PlaceIndex<PlaceRows> | null;
  rest: PlaceRows | null;
}

/** The country under which patterns are filed that hold in every country. */
const ANY = '*';

/** What a row says of its place, so that rows of one place come together. */
export const placeKey = ({ country, subdivision, postal }: TableRow): string => {
  const code = postal === undefined ? '' : normaliseCode(country === 'US' ? '' : (country ?? ''), postal);
  return `${country ?? subdivision?.slice(0, 2) ?? ''}|${subdivision ?? ''}|${code}`;
};

const toOf = (row: TableRow): number => row.to ?? Number.POSITIVE_INFINITY;

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

const overlapsIn = (rows: readonly TableRow[], order: Int32Array, start: number, end: number): boolean => {
  let reached = Number.NEGATIVE_INFINITY;
  for (let at = start; at < end; at += 1) {
    const row = rows[order[at] as number] as TableRow;
    if (row.from < reached) return true;
    reached = Math.max(reached, toOf(row));
  }
  return false;
};

const placesOf = (rows: readonly TableRow[], order: Int32Array, sizes: readonly number[]): PlaceRows[] => {
  let start = 0;
  return sizes.map((size) => {
    const { country, subdivision, postal } = rows[order[start] as number] as TableRow;
    const place: PlaceRows = {
      country: country ?? subdivision?.slice(0, 2),
      subdivision,
      postal,
      start,
      end: start + size,
      overlaps: overlapsIn(rows, order, start, start + size),
    };
    start += size;
    return place;
  });
};

const regionOf = ({ country = ANY, subdivision, postal }: PlaceRows): Region =>
  postal !== undefined
    ? { country, postal: [postal] }
    : subdivision !== undefined
      ? { country, subdivision }
      : { country };

const indexOf = (places: readonly PlaceRows[]): PlaceIndex<PlaceRows> =>
  buildPlaceIndex(places.map((place) => ({ owner: place, regions: [regionOf(place)] })));

/** A table with its rows in order and its places in an index. */
export const indexTable = (table: RateTable): TableIndex => {
  const { order, sizes } = sortedRows(table.rows);
  const places = placesOf(table.rows, order, sizes);
  const anywhere = places.filter(({ country, postal }) => country === undefined && postal !== undefined);
  return {
    table,
    order,
    froms: Float64Array.from(order, (row) => (table.rows[row] as TableRow).from),
    places: indexOf(places.filter(({ country }) => country !== undefined)),
    anywhere: anywhere.length > 0 ? indexOf(anywhere) : null,
    rest: places.find(({ country, postal }) => country === undefined && postal === undefined) ?? null,
  };
};

/** How specific a place of a table is: a whole code above all patterns, a pattern by its fixed beginning. */
const rankOf = ({ country = '', subdivision, postal }: PlaceRows): number => {
  const pattern = postal === undefined ? null : parsePattern(country, postal);
  if (pattern) return pattern.kind === 'exact' ? 1_000 : 100 + pattern.fixed;
  return subdivision === undefined ? 1 : 2;
};

const better = (a: PlaceRows, b: PlaceRows): PlaceRows => {
  const [rankA, rankB] = [rankOf(a), rankOf(b)];
  if (rankA !== rankB) return rankA > rankB ? a : b;
  return a.start <= b.start ? a : b;
};

/** The most specific place of the table that holds a place, or null. */
const placeRowsAt = (index: TableIndex, place: Place | null): PlaceRows | null => {
  if (!place) return index.rest;
  const accepts = ({ subdivision, postal }: PlaceRows): boolean =>
    postal === undefined || subdivision === undefined || subdivision === place.subdivision;
  const found = decidingClaim(index.places, place, accepts)?.owner ?? null;
  const any = index.anywhere && decidingClaim(index.anywhere, { ...place, country: ANY }, accepts)?.owner;
  if (found && any) return better(found, any);
  return found ?? any ?? index.rest;
};

const rowLists = new WeakMap<PlaceRows, readonly TableRow[]>();

/** All rows of the most specific place of a table that holds a place, by `from`; null where none holds it. */
export const tableRowsAt = (index: TableIndex, place: Place): readonly TableRow[] | null => {
  const found = placeRowsAt(index, place);
  if (!found) return null;
  const known = rowLists.get(found);
  if (known) return known;
  const rows = Array.from(
    index.order.subarray(found.start, found.end),
    (at) => index.table.rows[at] as TableRow,
  );
  rowLists.set(found, rows);
  return rows;
};

/** The last row of a place whose `from` the value reaches, as its position in the order; -1 where none is. */
const lastReached = ({ froms }: TableIndex, { start, end }: PlaceRows, value: number): number => {
  let low = start;
  let high = end;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((froms[middle] as number) <= value) low = middle + 1;
    else high = middle;
  }
  return low > start ? low - 1 : -1;
};

/** A place of a table in the fewest words that name it. */
const entryOf = ({ country, subdivision, postal }: PlaceRows): string =>
  postal ?? subdivision ?? country ?? 'anywhere';

export type TableFound =
  { ok: true; row: TableRow; at: number; place: string } | { ok: false; place: string | null };

/**
 * The row of a table for a place and a measured value: the most specific place that holds it, and there
 * the row with from ≤ value < to; of rows that overlap, the first listed. There is no falling through to a
 * wider place. `at` counts rows from 0.
 */
export const findTableRow = (index: TableIndex, place: Place | null, value: number): TableFound => {
  const rows = placeRowsAt(index, place);
  if (!rows) return { ok: false, place: null };
  const entry = entryOf(rows);
  const row = (at: number): TableRow => index.table.rows[at] as TableRow;
  const last = lastReached(index, rows, value);
  if (last < 0) return { ok: false, place: entry };
  let best = -1;
  for (let position = last; position >= rows.start; position -= 1) {
    const at = index.order[position] as number;
    if (value < toOf(row(at)) && (best < 0 || at < best)) best = at;
    if (!rows.overlaps) break;
  }
  return best < 0 ? { ok: false, place: entry } : { ok: true, row: row(best), at: best, place: entry };
};
