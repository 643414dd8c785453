import { fault, type Fault } from '../model/fault.ts';
import type { Good, Size } from '../model/good.ts';
import { exactFigure, plainMoney, type DisplayFormat } from '../words/figure.ts';
import { readCell, type CellReading, type CellValue } from './goods-cell.ts';
import { COLUMN_NAMES, GOODS_COLUMNS, SIDES, type GoodsColumn, type Mapped } from './goods-columns.ts';
import {
  cellAt,
  mappingFaults,
  readList,
  sheetOf,
  type ListFormat,
  type ListMapping,
  type ReadingContext,
  type RowCells,
  type RowResult,
} from './list-format.ts';
import type { SheetColumn } from './sheet-column.ts';

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

/** How a file of products is meant: the shop's currency, units and groups, what is here, and the unit of each column. */
interface GoodsMeaning extends Omit<CellReading, 'mark'> {
  here: readonly Good[];
  taking: TableTaking;
  units: Partial<Record<GoodsColumn, string>>;
}

const NEEDED: readonly GoodsColumn[] = ['sku', 'name', 'price'];
const NEVER_CLEARED: readonly GoodsColumn[] = ['sku', 'name', 'price', 'fulfilment'];

/** What is wrong with the columns: new products need a name and a price, and a size is one column or three. */
const wrongColumns = (mapping: ListMapping<GoodsColumn>, { here }: GoodsMeaning): Fault[] => {
  const needed = here.length > 0 ? ['sku'] : NEEDED;
  const isTwofold = mapping.includes('size') && SIDES.some((side) => mapping.includes(side));
  return [
    ...mappingFaults(
      mapping,
      GOODS_COLUMNS.map((one) => ({ ...one, needed: needed.includes(one.column) })),
    ),
    ...(isTwofold ? [fault('column-twice', cellAt(1, null), { column: COLUMN_NAMES.size })] : []),
  ];
};

interface RowReading {
  cells: CellValue[];
  empty: GoodsColumn[];
  faults: Fault[];
}

const readRow = (
  cell: RowCells<GoodsColumn>,
  row: number,
  columns: readonly GoodsColumn[],
  units: GoodsMeaning['units'],
  reading: CellReading,
): RowReading => {
  const read: RowReading = { cells: [], empty: [], faults: [] };
  for (const column of columns) {
    const text = cell(column);
    if (text === '') {
      read.empty.push(column);
      continue;
    }
    const found = readCell(text, column, units[column], row, reading);
    if ('fault' in found) read.faults.push(found.fault);
    else read.cells.push(found.value);
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
    return fault('sides-incomplete', cellAt(row, COLUMN_NAMES.size));
  return { size: { length, width, height } };
};

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
): RowResult<Good> => {
  const size = sizeOf(read.cells, before, row);
  const fields: Partial<Good> = Object.assign({}, ...read.cells.map(({ side: _, ...field }) => field));
  const missing = before
    ? []
    : NEEDED.filter((column) => read.empty.includes(column) || !(column in fields))
        .filter((column) => !read.faults.some(({ path }) => path === cellAt(row, COLUMN_NAMES[column])))
        .map((column) => fault('cell-missing', cellAt(row, COLUMN_NAMES[column])));
  const faults = [...read.faults, ...missing, ...('code' in size ? [size] : [])];
  if (faults.length > 0 || 'code' in size) return { faults };
  const start = before ?? ({ fulfilment: 'physical' } as Good);
  const kept = taking.empty === 'clears' ? cleared(start, read.empty) : start;
  return { item: without({ ...kept, ...fields, ...size }) };
};

const rowReader = (
  { here, taking, units, ...shop }: GoodsMeaning,
  { mark }: ReadingContext,
  mapping: ListMapping<GoodsColumn>,
): ((cell: RowCells<GoodsColumn>, row: number) => RowResult<Good>) => {
  const columns = mapping.filter((column) => column !== null);
  const known = new Map(here.map((good) => [good.sku, good]));
  return (cell, row) => {
    const sku = cell('sku');
    if (sku === '') return { faults: [fault('cell-missing', cellAt(row, COLUMN_NAMES.sku))] };
    const read = readRow(cell, row, columns, units, { ...shop, mark });
    return goodOf(read, known.get(sku), row, taking);
  };
};

/** Products: a row names its product by stock number, and fills in what it says of it. */
const GOODS: ListFormat<GoodsColumn, Good, GoodsMeaning> = {
  columns: GOODS_COLUMNS,
  wrongColumns,
  rowReader,
  unique: { column: 'sku', key: ({ sku }) => sku },
};

/**
 * A table of products over those that are here. `rows` begin with the headings. Figures may carry their units; bare ones
 * are in the unit of their column.
 */
export const readGoodsTable = (
  rows: readonly (readonly string[])[],
  mapped: readonly Mapped[],
  meaning: Omit<GoodsMeaning, 'units'>,
  context: ReadingContext,
): GoodsTable => {
  const { here, taking } = meaning;
  const units = Object.fromEntries(
    mapped.flatMap(({ column, unit }) => (column === null ? [] : [[column, unit]])),
  );
  const mapping = mapped.map(({ column }) => column);
  const { isRead, items, faults, faulty } = readList(GOODS, rows, mapping, { ...meaning, units }, context);
  const keepsOthers = !isRead || taking.others === 'kept';
  const goods = keepsOthers
    ? [...new Map([...here, ...items].map((good) => [good.sku, good])).values()]
    : items;
  return { goods, sound: items.length, faulty, faults };
};

/** The columns that are written: a size is one, not three sides. */
const WRITTEN = GOODS_COLUMNS.filter(({ column }) => !SIDES.includes(column));

export const goodsSheet = (): SheetColumn[] => sheetOf(WRITTEN);

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
  WRITTEN.map(({ column }) => cellText(good, column, display));
