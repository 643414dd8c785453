import type { TableRow } from '../model/price.ts';
import { placeKey } from './table.ts';

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

/** Duplicates, overlaps and holes of a table, place by place, and rows that hold nothing. */
export const tableOddities = (rows: readonly TableRow[]): TableOddity[] => {
  const places = new Map<string, Numbered[]>();
  rows.forEach((row, at) => {
    const key = placeKey(row);
    const known = places.get(key);
    if (known) known.push({ row, at });
    else places.set(key, [{ row, at }]);
  });
  return [...places.values()].flatMap((inPlace) =>
    oddInPlace(inPlace.sort((a, b) => a.row.from - b.row.from || a.at - b.at)),
  );
};
