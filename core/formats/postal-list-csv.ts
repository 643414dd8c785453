import { fault, type Fault } from '../model/fault.ts';
import type { PostalRule } from '../model/delivery.ts';
import { countrySchema } from '../model/place.ts';
import { normaliseCode, parsePattern, writtenPattern } from '../place/postal.ts';
import {
  cellAt,
  cellsBy,
  mappingFaults,
  readList,
  unread,
  type ListColumn,
  type ListMapping,
  type ListReading,
} from './list-columns.ts';

/** The columns of a postal list in a file. */
export type PostalColumn = 'country' | 'pattern' | 'served' | 'cashOnDelivery' | 'days';

const column = (
  name: PostalColumn,
  heading: string,
  aliases: string[],
  needed = false,
): ListColumn<PostalColumn> => ({ column: name, name: heading, aliases, needed, measured: false });

export const POSTAL_COLUMNS: readonly ListColumn<PostalColumn>[] = [
  column('country', 'Country', ['country code', 'land']),
  column(
    'pattern',
    'Postal code',
    ['postal', 'postcode', 'zip', 'zip code', 'code', 'pin', 'pin code', 'pattern'],
    true,
  ),
  column('served', 'Served', ['serviceable', 'delivered', 'active', 'available']),
  column('cashOnDelivery', 'Cash on delivery', ['cod', 'cashondelivery', 'pay at the door']),
  column('days', 'Days', ['delivery days', 'transit days', 'transit']),
];

const NAMES = Object.fromEntries(POSTAL_COLUMNS.map(({ column: key, name }) => [key, name])) as Record<
  PostalColumn,
  string
>;

const YES = ['yes', 'y', 'true', '1', 'x', 'served'];
const NO = ['no', 'n', 'false', '0', '-', 'not served'];
const MOST_DAYS = 365;

type Cell = (column: PostalColumn) => string;

const yesNo = (
  cell: Cell,
  name: 'served' | 'cashOnDelivery',
  empty: boolean,
  row: number,
  faults: Fault[],
): boolean => {
  const text = cell(name).toLowerCase();
  if (text === '') return empty;
  if (YES.includes(text)) return true;
  if (!NO.includes(text)) faults.push(unread(row, NAMES[name], cell(name), 'yes or no'));
  return false;
};

const daysOf = (cell: Cell, row: number, faults: Fault[]): number | undefined => {
  const text = cell('days');
  if (text === '') return undefined;
  if (/^\d{1,3}$/.test(text) && Number(text) <= MOST_DAYS) return Number(text);
  faults.push(unread(row, NAMES.days, text, `a whole number of days, up to ${MOST_DAYS}`));
  return undefined;
};

/** Tells the first row of a pattern from its repetitions. */
const lineReader = (
  home: string,
): ((cell: Cell, row: number) => { item: PostalRule } | { faults: Fault[] }) => {
  const seen = new Map<string, number>();
  return (cell, row) => {
    const faults: Fault[] = [];
    const country = (cell('country') || home).toUpperCase();
    const pattern = writtenPattern(cell('pattern'));
    if (!countrySchema.safeParse(country).success)
      faults.push(unread(row, NAMES.country, cell('country'), 'a country of two letters, as CA'));
    if (pattern.length > 40 || !parsePattern(country, pattern))
      faults.push(
        unread(row, NAMES.pattern, pattern, 'a postal code or pattern: B3H4R2, B3H*, 90200 to 90299'),
      );
    const served = yesNo(cell, 'served', true, row, faults);
    const cashOnDelivery = yesNo(cell, 'cashOnDelivery', false, row, faults);
    const days = daysOf(cell, row, faults);
    const key = `${country}:${normaliseCode('', pattern)}`;
    const first = seen.get(key);
    if (first !== undefined)
      faults.push(fault('cell-duplicate', cellAt(row, NAMES.pattern), { text: pattern, row: first }));
    if (faults.length > 0) return { faults };
    seen.set(key, row);
    return { item: { country, pattern, served, cashOnDelivery, ...(days === undefined ? {} : { days }) } };
  };
};

/**
 * The lines of a postal list out of a file whose first row has the headings; `home` is the country of rows
 * that name none. An empty “served” is yes, an empty “cash on delivery” no. A code that is there twice is
 * taken once.
 */
export const readPostalLines = (
  rows: readonly (readonly string[])[],
  mapping: ListMapping<PostalColumn>,
  home: string,
): ListReading<PostalRule> => {
  const faults = mappingFaults(mapping, POSTAL_COLUMNS);
  if (faults.length > 0) return { items: [], rows: [], faults, faulty: Math.max(0, rows.length - 1) };
  const cells = cellsBy(mapping);
  const read = lineReader(home);
  return readList(rows, (row, at) => read(cells(row), at));
};

export const postalHeadings = (): string[] => POSTAL_COLUMNS.map(({ name }) => name);

/** A line of the postal list as cells; read back it is the same line. */
export const postalLineCells = ({ country, pattern, served, cashOnDelivery, days }: PostalRule): string[] => [
  country,
  pattern,
  served ? 'yes' : 'no',
  cashOnDelivery ? 'yes' : 'no',
  days === undefined ? '' : String(days),
];
