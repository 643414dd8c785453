import { marked, t } from '../translate/translate.ts';
import { countryName } from '../words/country-name.ts';
import type { Fault } from '../model/fault.ts';
import type { PostalRule } from '../model/delivery.ts';
import { countrySchema } from '../model/place.ts';
import { cellPatterns } from '../place/cell-patterns.ts';
import { normaliseCode, parsePattern } from '../place/postal.ts';
import {
  listColumn,
  unread,
  type ListColumn,
  type ListFormat,
  type ReadingContext,
  type RowCells,
  type RowResult,
} from './list-format.ts';
import { numbers, words } from './sheet-column.ts';

/** The columns of a postal list in a file. */
export type PostalColumn = 'country' | 'pattern' | 'served' | 'cashOnDelivery' | 'days';

/** How a postal list is meant: whose codes those rows have that name no country. */
export interface PostalMeaning {
  home: string;
}

const COLUMNS: readonly ListColumn<PostalColumn>[] = [
  listColumn(
    'pattern',
    marked('Code'),
    words(t('A postal code or its beginning, such as B3H*; the most specific line decides.')),
    ['postal code', 'postal', 'postcode', 'zip', 'zip code', 'pin', 'pin code', 'pattern'],
    { needed: true },
  ),
  listColumn('days', marked('Days'), numbers(t('Working days on the way; empty where they are not known.')), [
    ...['delivery days', 'transit days', 'transit'],
  ]),
  listColumn('served', marked('Served'), words(t('yes or no.')), [
    'serviceable',
    'delivered',
    'active',
    'available',
  ]),
  listColumn(
    'cashOnDelivery',
    marked('Payable at the door'),
    words(t('yes where the customer can pay at the door.')),
    [...['cod', 'cash on delivery', 'cashondelivery', 'pay at the door']],
  ),
  listColumn('country', marked('Country'), words(t('Two letters, such as CA.')), ['country code', 'land']),
];

const NAMES = Object.fromEntries(COLUMNS.map(({ column, name }) => [column, name])) as Record<
  PostalColumn,
  string
>;

const YES = ['yes', 'y', 'true', '1', 'x', 'served'];
const NO = ['no', 'n', 'false', '0', '-', 'not served'];
const MOST_DAYS = 365;

type Cell = RowCells<PostalColumn>;

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
  if (!NO.includes(text)) faults.push(unread(row, NAMES[name], cell(name), t('yes or no')));
  return false;
};

const daysOf = (cell: Cell, row: number, faults: Fault[]): number | undefined => {
  const text = cell('days');
  if (text === '') return undefined;
  if (/^\d{1,3}$/.test(text) && Number(text) <= MOST_DAYS) return Number(text);
  faults.push(unread(row, NAMES.days, text, t('a whole number of days, up to {most}', { most: MOST_DAYS })));
  return undefined;
};

/** What is wrong with a cell that is no pattern: none of the forms, or no code of the country begins so. */
const patternFault = (row: number, country: string, text: string): Fault =>
  parsePattern(country, text)
    ? unread(row, NAMES.pattern, text, t('a postal code of {country}', { country: countryName(country) }))
    : unread(row, NAMES.pattern, text, t('a postal code or pattern: B3H4R2, B3H*, 90200 to 90299'));

const rowReader =
  ({ home }: PostalMeaning, context: ReadingContext) =>
  (cell: Cell, row: number): RowResult<PostalRule> => {
    const faults: Fault[] = [];
    const country = (cell('country') === '' ? home : context.countryOf(cell('country'))) ?? '';
    const patterns = cellPatterns(country, cell('pattern'), context.codes(country));
    const [pattern = '', ...others] = patterns ?? [];
    if (!countrySchema.safeParse(country).success)
      faults.push(
        unread(row, NAMES.country, cell('country'), t('a country by name or in two letters, such as CA')),
      );
    if (!patterns) faults.push(patternFault(row, country, cell('pattern')));
    const served = yesNo(cell, 'served', true, row, faults);
    const cashOnDelivery = yesNo(cell, 'cashOnDelivery', false, row, faults);
    const days = daysOf(cell, row, faults);
    if (faults.length > 0) return { faults };
    const rule = { country, served, cashOnDelivery, ...(days === undefined ? {} : { days }) };
    return { item: { ...rule, pattern }, more: others.map((other) => ({ ...rule, pattern: other })) };
  };

/** The lines of a postal list. An empty “served” is yes, an empty “payable at the door” no. */
export const POSTAL_LIST: ListFormat<PostalColumn, PostalRule, PostalMeaning> = {
  columns: COLUMNS,
  rowReader,
  unique: { column: 'pattern', key: ({ country, pattern }) => `${country}:${normaliseCode('', pattern)}` },
};

/** A line of the postal list as cells; read back it is the same line. */
export const postalLineCells = ({ country, pattern, served, cashOnDelivery, days }: PostalRule): string[] => [
  pattern,
  days === undefined ? '' : String(days),
  served ? 'yes' : 'no',
  cashOnDelivery ? 'yes' : 'no',
  country,
];
