import { marked, t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import type { Measure } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { kindOf } from '../price/kinds.ts';
import type { FigureRow } from '../price/price-kind.ts';
import { exactFigure, plainMoney, type DisplayFormat } from '../words/figure.ts';
import { listColumn, sheetOf, type ListColumn } from './list-format.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';

/** The columns of the rates of a board in a file. */
export type RateColumn =
  | 'zone'
  | 'service'
  | 'price'
  | 'basis'
  | 'from'
  | 'amount'
  | 'percent'
  | 'freeFrom'
  | 'leastCharge'
  | 'mostCharge'
  | 'leastOrder'
  | 'mostOrder'
  | 'offered';

const COLUMNS: Record<RateColumn, { name: string; aliases: string[]; needed?: boolean } & ColumnAbout> = {
  zone: {
    name: marked('Zone'),
    aliases: ['region'],
    needed: true,
    ...words(t('A zone of the board, by its name.')),
  },
  service: {
    ...{ name: marked('Service'), aliases: ['method'], needed: true },
    ...words(t('A service of the board, by its name. The rows of one zone and service are one rate.')),
  },
  price: {
    ...{ name: marked('Price'), aliases: ['kind', 'price kind', 'type'] },
    ...words(t('flat, steps or percent; per product, table and carrier for rates that are so already.')),
  },
  basis: {
    ...{ name: marked('Goes by'), aliases: ['by', 'basis', 'measure'] },
    ...words(t('What steps go by: weight, subtotal, units, volume or distance.')),
  },
  from: {
    ...{ name: marked('From'), aliases: ['min', 'step from', 'weight from'] },
    ...words(t('Where a step begins, with its unit, such as 2000 g. A step takes a row.')),
  },
  amount: {
    ...{ name: marked('Amount'), aliases: ['charge', 'cost', 'fee', 'rate'] },
    ...numbers(t('In the shop’s currency; of a rate that a carrier prices, its fallback.')),
  },
  percent: {
    ...{ name: marked('Percent'), aliases: ['percentage', 'share'] },
    ...numbers(t('Of the subtotal: the price, or what a step adds.')),
  },
  freeFrom: {
    name: marked('Free from'),
    aliases: ['free above'],
    ...numbers(t('Free from this subtotal; empty for never.')),
  },
  leastCharge: { name: marked('Minimum charge'), aliases: ['min charge'], ...numbers(t('Empty for none.')) },
  mostCharge: { name: marked('Maximum charge'), aliases: ['max charge'], ...numbers(t('Empty for none.')) },
  leastOrder: {
    name: marked('Minimum order'),
    aliases: ['min order'],
    ...numbers(t('The least subtotal; empty for none.')),
  },
  mostOrder: {
    name: marked('Maximum order'),
    aliases: ['max order'],
    ...numbers(t('The greatest subtotal; empty for none.')),
  },
  offered: {
    name: marked('Offered'),
    aliases: ['on', 'active'],
    ...words(t('yes, or no where the rate is switched off.')),
  },
};

const NAMES = Object.keys(COLUMNS) as RateColumn[];

export const RATE_COLUMNS: readonly ListColumn<RateColumn>[] = NAMES.map((column) => {
  const { name, aliases, needed, ...about } = COLUMNS[column];
  return listColumn(column, name, about, aliases, needed === undefined ? {} : { needed });
});

/** What a column is called. */
export const rateColumnName = (column: RateColumn): string => COLUMNS[column].name;

/** The columns of the rates of a board. */
export const ratesSheet = (): SheetColumn[] => sheetOf(RATE_COLUMNS);

/** A value of a measure as a file keeps it, to be read again to the last decimal. */
const valueCell = (measure: Measure, value: number, { decimals }: DisplayFormat): string => {
  switch (measure) {
    case 'weight':
      return exactFigure(value, 'g');
    case 'distance':
      return exactFigure(value, 'm');
    case 'volume':
      return `${value / 1_000} cm3`;
    case 'subtotal':
      return plainMoney(value, decimals);
    case 'units':
      return String(value);
  }
};

/** What stands in a rate's first row alone. */
const edgeCells = (rate: Rate, money: (amount: number | null | undefined) => string): string[] => [
  money(rate.freeFrom),
  money(rate.bounds?.min),
  money(rate.bounds?.max),
  money(rate.limits?.subtotal?.min),
  money(rate.limits?.subtotal?.max),
  rate.active ? 'yes' : 'no',
];

/** A step of a rate, or the whole of one that has none, as it stands in a row of the file. */
export interface RateRow {
  rate: Rate;
  figures: FigureRow;
  isFirst: boolean;
}

/** The rows of the rates, zone by zone and service by service as on the board. */
export const rateRows = ({ zones, services, rates }: Book): RateRow[] =>
  zones.flatMap(({ id: zoneId }) =>
    services.flatMap(({ id: serviceId }) => {
      const rate = rates.find((one) => one.zoneId === zoneId && one.serviceId === serviceId);
      if (!rate) return [];
      return kindOf(rate.price)
        .rows(rate.price)
        .map((figures, at) => ({ rate, figures, isFirst: at === 0 }));
    }),
  );

const nameOf = (list: readonly { id: string; name: string }[], wanted: string): string =>
  list.find(({ id }) => id === wanted)?.name ?? '';

/** The cells of a row, in the order of the columns. */
export const rateRowCells = (
  { rate, figures, isFirst }: RateRow,
  { zones, services }: Pick<Book, 'zones' | 'services'>,
  display: DisplayFormat,
): string[] => {
  const { price } = rate;
  const money = (amount: number | null | undefined): string =>
    amount === null || amount === undefined ? '' : plainMoney(amount, display.decimals);
  const { from, amount, percent } = figures;
  const basis = price.kind === 'steps' ? price.basis : null;
  return [
    nameOf(zones, rate.zoneId),
    nameOf(services, rate.serviceId),
    price.kind === 'per-product' ? 'per product' : price.kind,
    basis ?? '',
    basis === null || from === null || from === undefined ? '' : valueCell(basis, from, display),
    money(amount),
    percent === null || percent === undefined ? '' : String(percent / 100),
    ...(isFirst ? edgeCells(rate, money) : ['', '', '', '', '', '']),
  ];
};
