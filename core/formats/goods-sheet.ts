import { COLUMN_NAMES, type GoodsColumn } from '../goods/columns.ts';
import { WRITTEN_COLUMNS } from './goods-table.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';

const GOODS: Record<GoodsColumn, ColumnAbout> = {
  sku: words('Tells the products apart; a row with a new one adds a product.'),
  name: words('As customers read it.'),
  price: numbers('In the shop’s currency.'),
  fulfilment: words('physical or digital.'),
  weight: words('With its unit, such as 120 g.'),
  size: words('Three sides with their unit, such as 300x200x150 mm.'),
  length: words('With its unit, such as 300 mm.'),
  width: words('With its unit, such as 200 mm.'),
  height: words('With its unit, such as 150 mm.'),
  groupIds: words('Handling groups, separated by semicolons.'),
  chargeFree: words('yes where it ships free; it still counts towards limits.'),
  shippingPrice: numbers('What shipping one costs where a rate is priced per product.'),
  onceFee: numbers('Charged once for each order line.'),
  packsAlone: words('yes where nothing else goes into its parcel.'),
  keepUpright: words('yes where it must not be tipped.'),
  hsCode: words('The customs tariff number.'),
  madeIn: words('The country it was made in.'),
};

/** The columns of the products. */
export const goodsSheet = (): SheetColumn[] =>
  WRITTEN_COLUMNS.map((column) => ({ heading: COLUMN_NAMES[column], ...GOODS[column] }));
