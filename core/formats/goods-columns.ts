import { marked, t } from '../translate/translate.ts';
import { FIELD_NAMES } from '../goods/field-names.ts';
import { WRITTEN_UNITS } from '../model/written-units.ts';
import { guessMapping, unitInHeading } from './list-columns.ts';
import { listColumn, type ListColumn } from './list-format.ts';
import { numbers, words } from './sheet-column.ts';

/** The columns of the products in a file. */
export type GoodsColumn =
  | 'sku'
  | 'name'
  | 'price'
  | 'fulfilment'
  | 'weight'
  | 'size'
  | 'length'
  | 'width'
  | 'height'
  | 'groupIds'
  | 'chargeFree'
  | 'shippingPrice'
  | 'onceFee'
  | 'packsAlone'
  | 'keepUpright'
  | 'hsCode'
  | 'madeIn';

/** What a column of a file is taken as; a column without a field is not imported. */
export interface Mapped {
  column: GoodsColumn | null;
  /** The unit of figures that have none. */
  unit?: string;
}

export const GOODS_COLUMNS: readonly ListColumn<GoodsColumn>[] = [
  listColumn(
    'sku',
    FIELD_NAMES.sku,
    words(t('Tells the products apart; a row with a new one adds a product.')),
    [
      ...[
        'sku',
        'article',
        'article number',
        'item number',
        'item no',
        'code',
        'product code',
        'reference',
        'id',
      ],
    ],
  ),
  listColumn('name', FIELD_NAMES.name, words(t('As customers read it.')), [
    ...['title', 'good', 'goods', 'item', 'product', 'description', 'product name', 'item name'],
  ]),
  listColumn('price', FIELD_NAMES.price, numbers(t('In the shop’s currency.')), [
    ...['unit price', 'sale price', 'retail price', 'amount'],
  ]),
  listColumn('fulfilment', FIELD_NAMES.fulfilment, words(t('physical or digital.')), [
    ...['fulfillment', 'kind', 'type', 'physical or digital'],
  ]),
  listColumn('weight', FIELD_NAMES.weight, words(t('With its unit, such as 120 g.')), [
    ...['mass', 'gross weight', 'shipping weight', 'item weight', 'grams'],
  ]),
  listColumn('size', FIELD_NAMES.size, words(t('Three sides with their unit, such as 300x200x150 mm.')), [
    ...['size', 'dimensions', 'dimension', 'measurements', 'l x w x h', 'lxwxh'],
  ]),
  listColumn('length', marked('Length'), words(t('With its unit, such as 300 mm.')), ['long', 'depth', 'l']),
  listColumn('width', marked('Width'), words(t('With its unit, such as 200 mm.')), ['wide', 'w']),
  listColumn('height', marked('Height'), words(t('With its unit, such as 150 mm.')), ['high', 'h']),
  listColumn('groupIds', FIELD_NAMES.groupIds, words(t('Handling groups, separated by semicolons.')), [
    ...['handling group', 'group', 'groups', 'group id'],
  ]),
  listColumn(
    'chargeFree',
    FIELD_NAMES.chargeFree,
    words(t('yes where it ships free; it still counts towards limits.')),
    [...['travels free', 'charge free', 'free shipping']],
  ),
  listColumn(
    'shippingPrice',
    FIELD_NAMES.shippingPrice,
    numbers(t('What shipping one costs where a rate is priced per product.')),
    ['its own shipping price', 'shipping price', 'postage'],
  ),
  listColumn('onceFee', FIELD_NAMES.onceFee, numbers(t('Charged once for each order line.')), [
    ...['fee once a line', 'once fee', 'fee'],
  ]),
  listColumn('packsAlone', FIELD_NAMES.packsAlone, words(t('yes where nothing else goes into its parcel.')), [
    ...['own carton', 'own box'],
  ]),
  listColumn('keepUpright', FIELD_NAMES.keepUpright, words(t('yes where it must not be tipped.')), [
    ...['this way up', 'upright'],
  ]),
  listColumn('hsCode', FIELD_NAMES.hsCode, words(t('The customs tariff number.')), [
    ...['hs', 'tariff code', 'customs code', 'commodity code', 'harmonised system code'],
  ]),
  listColumn('madeIn', FIELD_NAMES.madeIn, words(t('The country it was made in.')), [
    'origin',
    'country of origin',
  ]),
];

export const COLUMN_NAMES = Object.fromEntries(
  GOODS_COLUMNS.map(({ column, name }) => [column, name]),
) as Record<GoodsColumn, string>;

/** The sides of a size that have a column each. */
export const SIDES: readonly GoodsColumn[] = ['length', 'width', 'height'];

const UNIT_NAMES = {
  weight: WRITTEN_UNITS.weight.map(({ name }) => name),
  length: WRITTEN_UNITS.length.map(({ name }) => name),
};
const USUAL = { weight: { metric: 'kg', imperial: 'lb' }, length: { metric: 'cm', imperial: 'in' } } as const;

const unitKindOf = (column: GoodsColumn | null): 'weight' | 'length' | null => {
  if (column === 'weight') return 'weight';
  return column === 'size' || (column !== null && SIDES.includes(column)) ? 'length' : null;
};

/** The units that bare figures of a column may be in; none where its figures have no unit. */
export const unitsOf = (column: GoodsColumn | null): readonly string[] => {
  const kind = unitKindOf(column);
  return kind === null ? [] : UNIT_NAMES[kind];
};

/** The unit that bare figures of a column are most likely in. */
export const usualUnit = (column: GoodsColumn | null, system: 'metric' | 'imperial'): string | undefined => {
  const kind = unitKindOf(column);
  return kind === null ? undefined : USUAL[kind][system];
};

/** What the columns of a file most likely hold, by their headings, each column once, with the units of bare figures. */
export const guessColumns = (headings: readonly string[], system: 'metric' | 'imperial'): Mapped[] =>
  guessMapping(headings, GOODS_COLUMNS).map((column, at) => {
    const unit = unitInHeading(headings[at] ?? '', unitsOf(column)) ?? usualUnit(column, system);
    return { column, ...(unit === undefined ? {} : { unit }) };
  });
