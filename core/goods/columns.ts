/** The columns of a table of goods: what they hold, how they are named, and the units of bare figures. */

export const GOODS_COLUMNS = [
  'sku',
  'name',
  'price',
  'fulfilment',
  'weight',
  'size',
  'length',
  'width',
  'height',
  'groupIds',
  'chargeFree',
  'shippingPrice',
  'onceFee',
  'packsAlone',
  'keepUpright',
  'hsCode',
  'madeIn',
] as const;
export type GoodsColumn = (typeof GOODS_COLUMNS)[number];

export type WeightUnit = 'kg' | 'g' | 'lb' | 'oz';
export type LengthUnit = 'cm' | 'mm' | 'm' | 'in' | 'ft';

/** What a column of a table is taken as; a column without a field is passed over. */
export interface Mapped {
  column: GoodsColumn | null;
  /** The unit of figures that have none. */
  unit?: WeightUnit | LengthUnit;
}

export const COLUMN_NAMES: Record<GoodsColumn, string> = {
  sku: 'Stock number',
  name: 'Name',
  price: 'Price',
  fulfilment: 'Fulfilment',
  weight: 'Weight',
  size: 'Size, three sides',
  length: 'Length',
  width: 'Width',
  height: 'Height',
  groupIds: 'Handling groups',
  chargeFree: 'Ships free',
  shippingPrice: 'Own shipping price',
  onceFee: 'Extra fee per order line',
  packsAlone: 'Packs alone',
  keepUpright: 'Keep upright',
  hsCode: 'HS code',
  madeIn: 'Made in',
};

const ALIASES: Record<GoodsColumn, readonly string[]> = {
  sku: [
    'sku',
    'stock number',
    'article',
    'article number',
    'item number',
    'item no',
    'code',
    'product code',
    'reference',
    'id',
  ],
  name: ['name', 'title', 'good', 'goods', 'item', 'product', 'description', 'product name', 'item name'],
  price: ['price', 'unit price', 'sale price', 'retail price', 'amount'],
  fulfilment: ['fulfilment', 'fulfillment', 'kind', 'type', 'physical or digital'],
  weight: ['weight', 'mass', 'gross weight', 'shipping weight', 'item weight', 'grams'],
  size: ['size', 'dimensions', 'dimension', 'measurements', 'l x w x h', 'lxwxh', 'size three sides'],
  length: ['length', 'long', 'depth', 'l'],
  width: ['width', 'wide', 'w'],
  height: ['height', 'high', 'h'],
  groupIds: ['handling groups', 'handling group', 'group', 'groups', 'groupid', 'group id'],
  chargeFree: ['travels free', 'charge free', 'chargefree', 'free shipping'],
  shippingPrice: ['its own shipping price', 'shipping price', 'own shipping price', 'postage'],
  onceFee: ['extra fee per order line', 'fee once a line', 'once fee', 'oncefee', 'fee'],
  packsAlone: ['packs alone', 'packsalone', 'own carton', 'own box'],
  keepUpright: ['keep upright', 'keepupright', 'this way up', 'upright'],
  hsCode: [
    'hs code',
    'hscode',
    'hs',
    'tariff code',
    'customs code',
    'commodity code',
    'harmonised system code',
  ],
  madeIn: ['made in', 'madein', 'origin', 'country of origin'],
};

const UNITS: readonly [RegExp, WeightUnit | LengthUnit][] = [
  [/\b(kg|kgs|kilos?|kilograms?)\b/, 'kg'],
  [/\b(g|gr|grams?)\b/, 'g'],
  [/\b(lbs?|pounds?)\b/, 'lb'],
  [/\b(oz|ounces?)\b/, 'oz'],
  [/\bcm\b/, 'cm'],
  [/\bmm\b/, 'mm'],
  [/\b(m|metres?|meters?)\b/, 'm'],
  [/\b(in|inch|inches)\b/, 'in'],
  [/\b(ft|feet|foot)\b/, 'ft'],
];

/** The units that bare figures of a column may be in; none where its figures have no unit. */
export const unitsOf = (column: GoodsColumn | null): readonly (WeightUnit | LengthUnit)[] => {
  if (column === 'weight') return ['kg', 'g', 'lb', 'oz'];
  const isLength = column === 'size' || column === 'length' || column === 'width' || column === 'height';
  return isLength ? ['cm', 'mm', 'm', 'in', 'ft'] : [];
};

/** A heading without its unit, its case and its marks: 'Weight_(kg)' is 'weight'. */
const plain = (heading: string): string =>
  heading
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
    .trim();

const withoutUnit = (text: string): string =>
  UNITS.reduce((left, [unit]) => left.replaceAll(new RegExp(unit, 'g'), ' '), text)
    .replace(/\s+/g, ' ')
    .trim();

const columnOf = (heading: string): GoodsColumn | null => {
  const text = plain(heading);
  const named = (wanted: string): GoodsColumn | undefined =>
    GOODS_COLUMNS.find(
      (column) => plain(COLUMN_NAMES[column]) === wanted || ALIASES[column].includes(wanted),
    );
  return named(text) ?? named(text.replaceAll(' ', '')) ?? named(withoutUnit(text)) ?? null;
};

const USUAL = { weight: { metric: 'kg', imperial: 'lb' }, side: { metric: 'cm', imperial: 'in' } } as const;

/** What the columns of a table most likely hold, by their headings; each field once. */
export const guessColumns = (headings: readonly string[], system: 'metric' | 'imperial'): Mapped[] => {
  const taken = new Set<GoodsColumn>();
  return headings.map((heading) => {
    const column = columnOf(heading);
    if (column === null || taken.has(column)) return { column: null };
    taken.add(column);
    const units = unitsOf(column);
    if (units.length === 0) return { column };
    const text = plain(heading);
    const named = UNITS.find(([shape, unit]) => units.includes(unit) && shape.test(text))?.[1];
    return { column, unit: named ?? USUAL[column === 'weight' ? 'weight' : 'side'][system] };
  });
};
