import { COLUMN_NAMES, GOODS_COLUMNS, type GoodsColumn, type Mapped } from '../goods/columns.ts';
import { fault, type Fault } from '../model/fault.ts';
import type { Good, Size } from '../model/good.ts';
import { exactFigure, plainMoney, type DisplayFormat } from '../words/figure.ts';
import { cellPlace, readCell, type CellReading, type CellValue } from './goods-cell.ts';

/** What to do with the goods that are here, as the person chose it. */
export interface TableTaking {
  /** An empty cell of a taken column: leave the field as it is, or take it out. */
  empty: 'leaves' | 'clears';
  /** Goods that the table does not name: kept, or taken out. */
  others: 'kept' | 'removed';
}

export interface GoodsTable {
  /** All products as they would be: those of sound rows taken in, rows with a fault left out. */
  goods: Good[];
  /** How many rows could be taken, and how many could not. */
  sound: number;
  faulty: number;
  faults: Fault[];
}

type PlacedColumn = Mapped & { column: GoodsColumn; at: number };

const NEEDED: readonly GoodsColumn[] = ['sku', 'name', 'price'];
const NEVER_CLEARED: readonly GoodsColumn[] = ['sku', 'name', 'price', 'fulfilment'];

/** What is wrong with the columns before any row is read. */
export const columnFaults = (mapped: readonly Mapped[], here: readonly Good[]): Fault[] => {
  const columns = mapped.flatMap(({ column }) => (column === null ? [] : [column]));
  const twice = columns.filter((column, at) => columns.indexOf(column) < at);
  const needed = here.length > 0 ? (['sku'] as const) : NEEDED;
  const named = (column: GoodsColumn): Fault['detail'] => ({ column: COLUMN_NAMES[column] });
  return [
    ...needed
      .filter((column) => !columns.includes(column))
      .map((column) => fault('column-missing', 'row 1', named(column))),
    ...[...new Set(twice)].map((column) => fault('column-twice', 'row 1', named(column))),
    ...(columns.includes('size') && columns.some((column) => ['length', 'width', 'height'].includes(column))
      ? [fault('column-twice', 'row 1', named('size'))]
      : []),
  ];
};

interface RowReading {
  cells: CellValue[];
  empty: GoodsColumn[];
  faults: Fault[];
}

const readRow = (
  cells: readonly string[],
  row: number,
  taken: readonly PlacedColumn[],
  reading: CellReading,
): RowReading => {
  const read: RowReading = { cells: [], empty: [], faults: [] };
  for (const one of taken) {
    const text = (cells[one.at] ?? '').trim();
    if (text === '') {
      read.empty.push(one.column);
      continue;
    }
    const cell = readCell(text, one, row, reading);
    if ('fault' in cell) read.faults.push(cell.fault);
    else read.cells.push(cell.value);
  }
  return read;
};

/** Three sides of a row put together; with a good that has a size, a row may give one side alone. */
const sizeOf = (
  cells: readonly CellValue[],
  before: Good | undefined,
  row: number,
): Partial<Good> | Fault => {
  const sides = Object.fromEntries(cells.flatMap(({ side }) => (side ? [[side.of, side.value]] : [])));
  if (Object.keys(sides).length === 0) return {};
  const { length, width, height } = { ...before?.size, ...sides };
  if (length === undefined || width === undefined || height === undefined)
    return fault('sides-incomplete', cellPlace(row, 'size'));
  return { size: { length, width, height } };
};

const SIDES: readonly GoodsColumn[] = ['length', 'width', 'height'];

/** A good without the optional fields that the row leaves empty. */
const cleared = (good: Good, empty: readonly GoodsColumn[]): Good => {
  const rest: Partial<Good> = { ...good };
  for (const column of empty) {
    if (SIDES.includes(column)) delete rest.size;
    else if (!NEVER_CLEARED.includes(column)) delete rest[column as keyof Good];
  }
  return rest as Good;
};

const without = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, held]) => held !== undefined)) as T;

/** The good that a row makes over the one that is here, or the row's faults. */
const goodOf = (
  read: RowReading,
  before: Good | undefined,
  row: number,
  taking: TableTaking,
): { good: Good } | { faults: Fault[] } => {
  const size = sizeOf(read.cells, before, row);
  const fields: Partial<Good> = Object.assign({}, ...read.cells.map(({ side: _, ...field }) => field));
  const missing = before
    ? []
    : NEEDED.filter((column) => read.empty.includes(column) || !(column in fields))
        .filter((column) => !read.faults.some(({ path }) => path === cellPlace(row, column)))
        .map((column) => fault('cell-missing', cellPlace(row, column)));
  const faults = [...read.faults, ...missing, ...('code' in size ? [size] : [])];
  if (faults.length > 0 || 'code' in size) return { faults };
  const start = before ?? ({ fulfilment: 'physical' } as Good);
  const kept = taking.empty === 'clears' ? cleared(start, read.empty) : start;
  return { good: without({ ...kept, ...fields, ...size }) };
};

const takenOf = (mapped: readonly Mapped[]): PlacedColumn[] =>
  mapped.flatMap(({ column, unit }, at) =>
    column === null ? [] : [{ column, at, ...(unit === undefined ? {} : { unit }) }],
  );

const isBlank = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '');

/** One row over what is here: its good, or its faults. */
const takeRow = (
  cells: readonly string[],
  row: number,
  taken: readonly PlacedColumn[],
  here: ReadonlyMap<string, Good>,
  seen: ReadonlyMap<string, number>,
  reading: CellReading,
  taking: TableTaking,
  width: number,
): { good: Good } | { faults: Fault[] } => {
  if (cells.slice(width).some((cell) => cell.trim() !== ''))
    return { faults: [fault('row-too-long', cellPlace(row, null), { cells: cells.length, columns: width })] };
  const sku = (cells[taken.find(({ column }) => column === 'sku')?.at ?? -1] ?? '').trim();
  if (sku === '') return { faults: [fault('cell-missing', cellPlace(row, 'sku'))] };
  const first = seen.get(sku);
  if (first !== undefined)
    return { faults: [fault('cell-duplicate', cellPlace(row, 'sku'), { text: sku, row: first })] };
  return goodOf(readRow(cells, row, taken, reading), here.get(sku), row, taking);
};

/**
 * A table of goods over the goods that are here. `rows` begin with the headings; a row names its good by
 * stock number. Figures may carry their units; bare ones are in the unit of their column. Rows with a
 * fault are left out and each fault says its row and column.
 */
export const readGoodsTable = (
  rows: readonly (readonly string[])[],
  mapped: readonly Mapped[],
  here: readonly Good[],
  reading: CellReading,
  taking: TableTaking,
): GoodsTable => {
  const faults = columnFaults(mapped, here);
  if (faults.length > 0) return { goods: [...here], sound: 0, faulty: Math.max(rows.length - 1, 0), faults };
  const taken = takenOf(mapped);
  const known = new Map(here.map((good) => [good.sku, good]));
  const seen = new Map<string, number>();
  const table = new Map<string, Good>();
  let faulty = 0;
  rows.slice(1).forEach((cells, at) => {
    if (isBlank(cells)) return;
    const result = takeRow(cells, at + 2, taken, known, seen, reading, taking, mapped.length);
    if ('faults' in result) {
      faults.push(...result.faults);
      faulty += 1;
      return;
    }
    seen.set(result.good.sku, at + 2);
    table.set(result.good.sku, result.good);
  });
  const goods = taking.others === 'kept' ? [...new Map([...known, ...table]).values()] : [...table.values()];
  return { goods, sound: table.size, faulty, faults };
};

/** The columns that are written: a size is one, not three sides. */
export const WRITTEN_COLUMNS = GOODS_COLUMNS.filter((column) => !SIDES.includes(column));
const yes = (value: boolean | undefined): string => (value ? 'yes' : '');

const sizeCell = ({ length, width, height }: Size): string =>
  [length, width, height].every(Number.isInteger)
    ? `${length}x${width}x${height} mm`
    : [length, width, height].map((side) => exactFigure(side, 'mm')).join(' x ');

const cellText = (good: Good, column: GoodsColumn, { decimals }: DisplayFormat): string => {
  const money = (amount: number | undefined): string =>
    amount === undefined ? '' : plainMoney(amount, decimals);
  switch (column) {
    case 'price':
    case 'shippingPrice':
    case 'onceFee':
      return money(good[column]);
    case 'weight':
      return good.weight === undefined ? '' : exactFigure(good.weight, 'g');
    case 'size':
      return good.size ? sizeCell(good.size) : '';
    case 'chargeFree':
    case 'packsAlone':
    case 'keepUpright':
      return yes(good[column]);
    case 'groupIds':
      return (good.groupIds ?? []).join('; ');
    case 'length':
    case 'width':
    case 'height':
      return good.size ? exactFigure(good.size[column], 'mm') : '';
    default:
      return good[column] ?? '';
  }
};

/** A product as the cells of its row: read back, it is the same product to the gram and the millimetre. */
export const goodCells = (good: Good, display: DisplayFormat): string[] =>
  WRITTEN_COLUMNS.map((column) => cellText(good, column, display));
