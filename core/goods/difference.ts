import { t } from '../translate/translate.ts';
import type { Good } from '../model/good.ts';
import {
  lengthFigure,
  moneyFigure,
  numberFigure,
  weightFigure,
  type DisplayFormat,
} from '../words/figure.ts';
import { FIELD_NAMES } from './field-names.ts';

type Field = Exclude<keyof typeof FIELD_NAMES, 'sku'>;
const FIELDS: readonly Field[] = [
  'name',
  'price',
  'fulfilment',
  'weight',
  'size',
  'groupIds',
  'chargeFree',
  'shippingPrice',
  'onceFee',
  'packsAlone',
  'keepUpright',
  'hsCode',
  'madeIn',
];

export interface ChangedGood {
  sku: string;
  name: string;
  fields: { name: string; from: string; to: string }[];
}

export interface GoodsDifference {
  added: Good[];
  removed: Good[];
  changed: ChangedGood[];
}

/** Three sides as people read them, in one unit: '30 × 20 × 15 cm'. */
export const sizeFigure = (size: NonNullable<Good['size']>, units: DisplayFormat['units']): string => {
  const sides = [size.length, size.width, size.height];
  if (units === 'metric')
    return t('{list} cm', { list: sides.map((side) => numberFigure(side / 10)).join(' × ') });
  return t('{list} in', { list: sides.map((side) => lengthFigure(side, units).split(' ')[0]).join(' × ') });
};

/** A field of a good as people read it; empty where the good has none. */
export const goodFigure = (good: Good, field: Field, { decimals, units }: DisplayFormat): string => {
  const value = good[field];
  if (value === undefined) return '';
  if (field === 'weight') return weightFigure(value as number, units);
  if (field === 'size') return sizeFigure(value as NonNullable<Good['size']>, units);
  if (field === 'fulfilment') return value === 'digital' ? t('digital') : t('physical');
  if (typeof value === 'number') return moneyFigure(value, decimals);
  if (typeof value === 'boolean') return value ? t('yes') : t('no');
  return Array.isArray(value) ? value.join(', ') : (value as string);
};

/** The fields of a product that differ, with both figures as people read them. */
export const goodFieldChanges = (from: Good, to: Good, display: DisplayFormat): ChangedGood['fields'] =>
  FIELDS.filter((field) => JSON.stringify(from[field]) !== JSON.stringify(to[field])).map((field) => ({
    name: t(FIELD_NAMES[field]).toLowerCase(),
    from: goodFigure(from, field, display) || t('none'),
    to: goodFigure(to, field, display) || t('none'),
  }));

/** What taking other goods in place of these would change, good by good and field by field. */
export const goodsDifference = (
  from: readonly Good[],
  to: readonly Good[],
  display: DisplayFormat,
): GoodsDifference => {
  const before = new Map(from.map((good) => [good.sku, good]));
  const after = new Set(to.map(({ sku }) => sku));
  const changed = to.flatMap((good) => {
    const old = before.get(good.sku);
    const fields = old && old !== good ? goodFieldChanges(old, good, display) : [];
    return fields.length > 0 ? [{ sku: good.sku, name: good.name, fields }] : [];
  });
  return {
    added: to.filter(({ sku }) => !before.has(sku)),
    removed: from.filter(({ sku }) => !after.has(sku)),
    changed,
  };
};
