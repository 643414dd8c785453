import { t } from '../../../core/translate/translate.ts';
import { gapsOf } from '../../../core/goods/gaps.ts';
import { goodFigure, sizeFigure } from '../../../core/goods/difference.ts';
import type { Good } from '../../../core/model/good.ts';
import { moneyFigure, weightFigure, type DisplayFormat } from '../../../core/words/figure.ts';
import type { Read } from '../../fields/draft-field.tsx';
import { optional, readMeasure, readMoney, readName, readSize } from '../../fields/readers.ts';

/** The columns that are edited where they stand. */
export const COLUMNS = ['name', 'price', 'weight', 'size'] as const;
export type Column = (typeof COLUMNS)[number];

export const TITLES: Record<Column, string> = {
  name: t('Product'),
  price: t('Price'),
  weight: t('Weight'),
  size: t('Size'),
};

/** What a cell shows: its figure, or that it is missing. */
export const cellWords = (
  good: Good,
  column: Column,
  display: DisplayFormat,
): { text: string; missing: boolean } => {
  const isGap = (column === 'weight' || column === 'size') && gapsOf(good).includes(column);
  if (isGap) return { text: t('missing'), missing: true };
  return { text: goodFigure(good, column, display) || '–', missing: false };
};

/** A cell as it is written while it is edited. */
export const cellText = (good: Good, column: Column, display: DisplayFormat): string => {
  if (column === 'name') return good.name;
  if (column === 'price') return moneyFigure(good.price, display.decimals);
  if (column === 'weight') return good.weight === undefined ? '' : weightFigure(good.weight, display.units);
  return good.size ? sizeFigure(good.size, display.units) : '';
};

const readWeight =
  (display: DisplayFormat) =>
  (text: string): Read<number> => {
    const read = readMeasure('weight', display)(text);
    return read.ok && read.value > 100_000_000 ? { ok: false, text: t('At most 100,000 kg.') } : read;
  };

/** A bare figure typed over one with a unit has that unit: 600 over '12 g' is grams. */
const withShownUnit = (text: string, shown: string): string => {
  const [, unit] = /^[\d.,\s×]+\s([a-z]+)$/i.exec(shown) ?? [];
  return unit !== undefined && /\d/.test(text) && !/[a-wyz"']/i.test(text) ? `${text} ${unit}` : text;
};

/** What is typed into a cell over what it shows, as the change to its good. */
export const readCellText =
  (column: Column, display: DisplayFormat, shown = '') =>
  (typed: string): Read<Partial<Good>> => {
    const text = column === 'weight' || column === 'size' ? withShownUnit(typed, shown) : typed;
    const read: Read<unknown> = {
      name: readName,
      price: readMoney(display),
      weight: optional<number>(readWeight(display)),
      size: optional(readSize(display)),
    }[column](text);
    return read.ok ? { ok: true, value: { [column]: read.value } } : read;
  };
