import type { TableRow } from '../model/price.ts';
import { placeKey } from './table.ts';
import { eachAmount } from './tiers.ts';

/** Something that is odd about a table's rows; rows count from 0. */
export type TableOddity =
  /** The same place and range twice: the second never acts. */
  | { kind: 'duplicate'; row: number; with: number }
  /** Two rows of a place hold one value: the first listed stands. */
  | { kind: 'overlap'; row: number; with: number; from: number; to: number | undefined }
  /** Values that no row of the place holds: before its first row, between two, or from its last on. */
  | { kind: 'hole'; row: number; from: number; to: number | undefined }
  /** It ends where it begins, or before. */
  | { kind: 'empty'; row: number };

const end = ({ to }: TableRow): number => to ?? Number.POSITIVE_INFINITY;
const orNone = (value: number): number | undefined => (Number.isFinite(value) ? value : undefined);

interface Numbered {
  row: TableRow;
  at: number;
}

/** What is odd within one place, its rows in order of `from`. */
const oddInPlace = (rows: readonly Numbered[]): TableOddity[] => {
  const odd: TableOddity[] = [];
  let widest: Numbered | null = null;
  for (const one of rows) {
    const { row, at } = one;
    const reached = widest ? end(widest.row) : 0;
    if (end(row) <= row.from) {
      odd.push({ kind: 'empty', row: at });
      continue;
    }
    if (row.from > reached) {
      odd.push({ kind: 'hole', row: at, from: reached, to: row.from });
    } else if (widest && row.from < reached) {
      const isSame = widest.row.from === row.from && end(widest.row) === end(row);
      const both = { row: Math.max(at, widest.at), with: Math.min(at, widest.at) };
      odd.push(
        isSame
          ? { kind: 'duplicate', ...both }
          : { kind: 'overlap', ...both, from: row.from, to: orNone(Math.min(end(row), reached)) },
      );
    }
    if (!widest || end(row) > reached) widest = one;
  }
  const last = widest ?? rows[0];
  const reached = widest ? end(widest.row) : 0;
  if (last && Number.isFinite(reached))
    odd.push({ kind: 'hole', row: last.at, from: reached, to: undefined });
  return odd;
};

/** The rows of a table place by place, each in order of `from`. */
const byPlace = (rows: readonly TableRow[]): Numbered[][] => {
  const places = new Map<string, Numbered[]>();
  rows.forEach((row, at) => {
    const key = placeKey(row);
    const known = places.get(key);
    if (known) known.push({ row, at });
    else places.set(key, [{ row, at }]);
  });
  return [...places.values()].map((inPlace) =>
    inPlace.sort((a, b) => a.row.from - b.row.from || a.at - b.at),
  );
};

/** Duplicates, overlaps and holes of a table, place by place, and rows that hold nothing. */
export const tableOddities = (rows: readonly TableRow[]): TableOddity[] => byPlace(rows).flatMap(oddInPlace);

/** A row of a place at whose beginning the charge is below what it is just before, by so much. */
export interface TableFall {
  row: number;
  at: number;
  by: number;
}

const lastAmount = ({ amount, each, from, to = from }: TableRow): number =>
  amount + (each ? eachAmount(each, Math.max(0, to - 1 - from)) : 0);

/** Where the charge falls though more is sent, place by place; rows that overlap are not compared. */
export const tableFalls = (rows: readonly TableRow[]): TableFall[] =>
  byPlace(rows).flatMap((inPlace) =>
    inPlace.flatMap(({ row, at }, place): TableFall[] => {
      const before = inPlace[place - 1]?.row;
      if (before?.to === undefined || before.to > row.from) return [];
      const by = lastAmount(before) - row.amount;
      return by > 0 ? [{ row: at, at: row.from, by }] : [];
    }),
  );
