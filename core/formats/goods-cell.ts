import { t } from '../translate/translate.ts';
import type { Fault } from '../model/fault.ts';
import { goodSchema, type Good } from '../model/good.ts';
import { exampleAmount, type DisplayFormat } from '../words/figure.ts';
import { COLUMN_NAMES, usualUnit, type GoodsColumn } from './goods-columns.ts';
import { unread } from './list-format.ts';
import { typedSize } from './size-typed.ts';
import { typedLength, typedMoney, typedNumber, typedWeight, type Typed, type Mark } from './typed.ts';

/** How a table's cells are read: the currency and units of the shop, its marks, and its groups by id and name. */
export interface CellReading {
  display: DisplayFormat;
  mark: Mark;
  groups: readonly { id: string; name: string }[];
}

/** The part of a good that one cell holds: a field of it, or one side of its size. */
export type CellValue = Partial<Good> & { side?: { of: 'length' | 'width' | 'height'; value: number } };
type Cell = { ok: true; value: CellValue } | { ok: false; expected: string };
type Reader = (text: string, unit: string, reading: CellReading) => Cell;

const YES = ['yes', 'y', 'true', '1', 'x'];
const NO = ['no', 'n', 'false', '0', '-'];

const isBare = (text: string, mark: Mark): boolean => typedNumber(text, mark) !== null;

const measured = (
  text: string,
  unit: string,
  mark: Mark,
  read: (text: string, system: 'metric', mark: Mark) => Typed,
): Typed => read(isBare(text, mark) ? `${text} ${unit}` : text, 'metric', mark);

const money =
  (field: 'price' | 'shippingPrice' | 'onceFee'): Reader =>
  (text, _, { display, mark }) => {
    const typed = typedMoney(text, display.decimals, mark);
    if (typed.ok) return { ok: true, value: { [field]: typed.value } };
    return {
      ok: false,
      expected: t('an amount, such as {example}', { example: exampleAmount(display.decimals) }),
    };
  };

const side =
  (of: 'length' | 'width' | 'height'): Reader =>
  (text, unit, { mark }) => {
    const typed = measured(text, unit, mark, typedLength);
    if (typed.ok && typed.value <= 100_000) return { ok: true, value: { side: { of, value: typed.value } } };
    return { ok: false, expected: t('a length up to 100 m, such as 30 cm or 12 in') };
  };

const yesNo =
  (field: 'chargeFree' | 'packsAlone' | 'keepUpright'): Reader =>
  (text) => {
    const word = text.toLowerCase();
    if (YES.includes(word)) return { ok: true, value: { [field]: true } };
    if (NO.includes(word)) return { ok: true, value: { [field]: undefined } };
    return { ok: false, expected: t('yes or no') };
  };

const words =
  (field: 'sku' | 'name' | 'hsCode' | 'madeIn', most: number): Reader =>
  (text) =>
    goodSchema.shape[field].safeParse(text).success
      ? { ok: true, value: { [field]: text } }
      : { ok: false, expected: t('at most {most} characters', { most }) };

const fulfilment: Reader = (text) => {
  const word = text.toLowerCase();
  if (['physical', 'yes', 'true', 'goods'].includes(word))
    return { ok: true, value: { fulfilment: 'physical' } };
  if (['digital', 'no', 'false', 'download', 'virtual', 'service'].includes(word))
    return { ok: true, value: { fulfilment: 'digital' } };
  return { ok: false, expected: t('physical or digital') };
};

const READERS: Record<GoodsColumn, Reader> = {
  sku: words('sku', 120),
  name: words('name', 120),
  price: money('price'),
  fulfilment,
  weight: (text, unit, { mark }) => {
    const typed = measured(text, unit, mark, typedWeight);
    if (typed.ok && typed.value <= 100_000_000) return { ok: true, value: { weight: typed.value } };
    return { ok: false, expected: t('a weight, such as 2.5 kg or 7 lb 4 oz') };
  },
  size: (text, unit, { mark }) => {
    const size = typedSize(text, unit, mark);
    return size
      ? { ok: true, value: { size } }
      : { ok: false, expected: t('three sides, such as 30x20x15 cm') };
  },
  length: side('length'),
  width: side('width'),
  height: side('height'),
  groupIds: (text, _, { groups }) => {
    const ids = text
      .split(/[;,|]/)
      .map((part) => part.trim().toLowerCase())
      .filter(Boolean)
      .map((part) => groups.find(({ id, name }) => id === part || name.toLowerCase() === part)?.id);
    const known = ids.filter((id) => id !== undefined);
    if (known.length === ids.length) return { ok: true, value: { groupIds: [...new Set(known)] } };
    return {
      ok: false,
      expected:
        groups.length > 0 ? groups.map(({ name }) => name).join('; ') : t('nothing: there are no groups'),
    };
  },
  chargeFree: yesNo('chargeFree'),
  shippingPrice: money('shippingPrice'),
  onceFee: money('onceFee'),
  packsAlone: yesNo('packsAlone'),
  keepUpright: yesNo('keepUpright'),
  hsCode: words('hsCode', 20),
  madeIn: words('madeIn', 60),
};

/** What one filled cell holds, or the fault of it, located by row and column; a bare figure is in `unit`. */
export const readCell = (
  text: string,
  column: GoodsColumn,
  unit: string | undefined,
  row: number,
  reading: CellReading,
): { value: CellValue } | { fault: Fault } => {
  const cell = READERS[column](text, unit ?? usualUnit(column, 'metric') ?? '', reading);
  return cell.ok ? { value: cell.value } : { fault: unread(row, COLUMN_NAMES[column], text, cell.expected) };
};
