import { GRAMS_A_POUND, METRES_A_MILE, MM_AN_INCH } from '../model/imperial.ts';

/** Figures with English marks, in the store's currency and units; `figure.ts` writes them as the program's language does. */

export interface DisplayFormat {
  /** How many decimals the currency has: 2 for CAD, 0 for JPY. */
  decimals: number;
  units: 'metric' | 'imperial';
  /** What a region is called, by its code of ISO 3166-2; where names are not at hand, the code stands. */
  regionName?: (code: string) => string;
}

/** The decimals of a currency (ISO 4217, as the JavaScript engine's own tables give them). */
export const currencyDecimals = (currency: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;

/** Minor units as files hold them, without a currency sign or separators: 2264066 is '22640.66'. */
export const plainMoney = (amount: number, decimals: number): string => {
  const sign = amount < 0 ? '-' : '';
  const digits = String(Math.abs(amount));
  if (decimals === 0) return sign + digits;
  const padded = digits.padStart(decimals + 1, '0');
  return `${sign}${padded.slice(0, -decimals)}.${padded.slice(-decimals)}`;
};

/** A whole number, or the whole part of a decimal one, in groups of three digits. */
const grouped = (figure: string): string => {
  const [whole = '', part] = figure.split('.');
  const groups = whole.replace(/\d(?=(?:\d{3})+$)/g, '$&,');
  return part === undefined ? groups : `${groups}.${part}`;
};

/** A whole number as people read it: 22640 is '22,640'. */
export const englishWhole = (count: number): string => grouped(String(count));

/** Minor units as a figure without a currency sign: 1250 is '12.50', 2264066 is '22,640.66'. */
export const englishMoney = (amount: number, decimals: number): string => {
  const plain = plainMoney(amount, decimals);
  return Math.abs(amount) < 10 ** (decimals + 3) ? plain : grouped(plain);
};

const trimmed = (value: number, places: number): string => String(Number(value.toFixed(places)));

const GRAMS_AN_OUNCE = GRAMS_A_POUND / 16;

const imperialWeight = (grams: number): string => {
  const pounds = Math.floor(grams / GRAMS_A_POUND + 1e-9);
  const ounces = trimmed((grams - pounds * GRAMS_A_POUND) / GRAMS_AN_OUNCE, 2);
  if (pounds === 0) return `${ounces} oz`;
  if (ounces === '16') return `${pounds + 1} lb`;
  return ounces === '0' ? `${pounds} lb` : `${pounds} lb ${ounces} oz`;
};

/** Grams as '3.2 kg', '600 g' or '7 lb 4 oz'. */
export const englishWeight = (grams: number, units: DisplayFormat['units']): string => {
  if (units === 'imperial') return imperialWeight(grams);
  return grams > 0 && grams < 1_000 ? `${trimmed(grams, 1)} g` : `${trimmed(grams / 1_000, 3)} kg`;
};

/** Millimetres as '30 cm', '4 mm' or '11.8 in'. */
export const englishLength = (millimetres: number, units: DisplayFormat['units']): string => {
  if (units === 'imperial') return `${trimmed(millimetres / MM_AN_INCH, 2)} in`;
  return millimetres % 10 === 0 || millimetres >= 100
    ? `${trimmed(millimetres / 10, 3)} cm`
    : `${trimmed(millimetres, 2)} mm`;
};

/** A size as '60 x 45 x 45 cm' in one unit, or each side in its own where they differ. */
export const englishSize = (
  { length, width, height }: { length: number; width: number; height: number },
  units: DisplayFormat['units'],
): string => {
  const sides = [length, width, height].map((side) => englishLength(side, units));
  const unit = sides[0]?.split(' ')[1] ?? '';
  const same = sides.every((side) => side.endsWith(` ${unit}`));
  return same ? `${sides.map((side) => side.split(' ')[0]).join(' × ')} ${unit}` : sides.join(' × ');
};

/** Cubic millimetres as '12.5 L' or '763 cu in'. */
export const englishVolume = (cubicMm: number, units: DisplayFormat['units']): string =>
  units === 'imperial'
    ? `${trimmed(cubicMm / MM_AN_INCH ** 3, 2)} cu in`
    : `${trimmed(cubicMm / 1_000_000, 6)} L`;

/** Metres as '25 km', '800 m' or '15.5 mi'. */
export const englishDistance = (metres: number, units: DisplayFormat['units']): string => {
  if (units === 'imperial') return `${trimmed(metres / METRES_A_MILE, 2)} mi`;
  return metres > 0 && metres < 1_000 ? `${trimmed(metres, 1)} m` : `${trimmed(metres / 1_000, 3)} km`;
};

const EXACT_UNITS = { g: ['lb', GRAMS_A_POUND], mm: ['in', MM_AN_INCH], m: ['mi', METRES_A_MILE] } as const;

/**
 * A figure with its unit as a file keeps it: whole grams, millimetres and metres as such; others, which came from
 * pounds, inches and miles, in those, so that read again they are the same to the last decimal.
 */
export const exactFigure = (value: number, unit: 'g' | 'mm' | 'm'): string => {
  if (Number.isInteger(value)) return `${value} ${unit}`;
  const [imperial, factor] = EXACT_UNITS[unit];
  return `${trimmed(value / factor, 12)} ${imperial}`;
};

/** Basis points as '12.5 %'. */
export const englishPercent = (points: number): string => `${points / 100} %`;

export type MeasureName = 'weight' | 'subtotal' | 'units' | 'volume' | 'distance' | 'longestSide';

/** A measured value with its unit: grams, minor units, cubic millimetres, metres or millimetres; units as a number alone. */
export const englishMeasure = (measure: MeasureName, value: number, display: DisplayFormat): string => {
  switch (measure) {
    case 'weight':
      return englishWeight(value, display.units);
    case 'subtotal':
      return englishMoney(value, display.decimals);
    case 'units':
      return englishWhole(value);
    case 'volume':
      return englishVolume(value, display.units);
    case 'distance':
      return englishDistance(value, display.units);
    case 'longestSide':
      return englishLength(value, display.units);
  }
};
