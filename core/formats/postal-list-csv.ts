import { countryName } from '../words/country-name.ts';
import { fault, type Fault } from '../model/fault.ts';
import type { PostalRule } from '../model/delivery.ts';
import { countrySchema } from '../model/place.ts';
import { canTakeCodes } from '../place/code-shapes.ts';
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
  column(
    'pattern',
    'Code',
    ['postal code', 'postal', 'postcode', 'zip', 'zip code', 'pin', 'pin code', 'pattern'],
    true,
  ),
  column('days', 'Days', ['delivery days', 'transit days', 'transit']),
  column('served', 'Served', ['serviceable', 'delivered', 'active', 'available']),
  column('cashOnDelivery', 'Payable at the door', [
    'cod',
    'cash on delivery',
    'cashondelivery',
    'pay at the door',
  ]),
  column('country', 'Country', ['country code', 'land']),
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

/** How a postal list is meant: whose codes those rows have that name no country, and what is known of codes. */
export interface PostalMeaning {
  home: string;
  /** The country of a name or code, or null. */
  countryOf?: (text: string) => string | null;
  /** Whether some code of a country begins as a text does. */
  isBeginning?: (country: string) => (text: string) => boolean;
  /** Whether a text is a whole code of a country; a shorter one is taken as the beginning of codes. */
  isWhole?: (country: string) => (code: string) => boolean;
}

const anything = (): boolean => true;

/** What is wrong with a pattern: none of the forms, or no code of the country begins so. */
const patternFault = (
  row: number,
  country: string,
  pattern: string,
  isBeginning: NonNullable<PostalMeaning['isBeginning']>,
): Fault | null => {
  if (pattern.length > 40 || !parsePattern(country, pattern))
    return unread(row, NAMES.pattern, pattern, 'a postal code or pattern: B3H4R2, B3H*, 90200 to 90299');
  return canTakeCodes(country, pattern, isBeginning(country))
    ? null
    : unread(row, NAMES.pattern, pattern, `a postal code of ${countryName(country)}`);
};

/** Tells the first row of a pattern from its repetitions. */
const lineReader = ({
  home,
  countryOf = (text) => text.toUpperCase(),
  isBeginning = () => anything,
  isWhole = () => anything,
}: PostalMeaning): ((cell: Cell, row: number) => { item: PostalRule } | { faults: Fault[] }) => {
  const seen = new Map<string, number>();
  return (cell, row) => {
    const faults: Fault[] = [];
    const named = cell('country') === '' ? home : countryOf(cell('country'));
    const country = named ?? '';
    const written = writtenPattern(cell('pattern'));
    const isShort = /^[A-Z0-9]+$/.test(written) && !isWhole(country)(written);
    const pattern = isShort ? `${written}*` : written;
    if (!countrySchema.safeParse(country).success)
      faults.push(
        unread(row, NAMES.country, cell('country'), 'a country by name or in two letters, such as CA'),
      );
    const odd = patternFault(row, country, pattern, isBeginning);
    if (odd) faults.push(odd);
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
 * The lines of a postal list out of a file whose first row has the headings. An empty “served” is yes, an empty “cash on delivery” no. A code that is there twice is
 * taken once.
 */
export const readPostalLines = (
  rows: readonly (readonly string[])[],
  mapping: ListMapping<PostalColumn>,
  meaning: PostalMeaning,
): ListReading<PostalRule> => {
  const faults = mappingFaults(mapping, POSTAL_COLUMNS);
  if (faults.length > 0) return { items: [], rows: [], faults, faulty: Math.max(0, rows.length - 1) };
  const cells = cellsBy(mapping);
  const read = lineReader(meaning);
  return readList(rows, (row, at) => read(cells(row), at));
};

export const postalHeadings = (): string[] => POSTAL_COLUMNS.map(({ name }) => name);

/** A line of the postal list as cells; read back it is the same line. */
export const postalLineCells = ({ country, pattern, served, cashOnDelivery, days }: PostalRule): string[] => [
  pattern,
  days === undefined ? '' : String(days),
  served ? 'yes' : 'no',
  cashOnDelivery ? 'yes' : 'no',
  country,
];
