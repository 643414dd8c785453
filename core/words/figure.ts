import { spokenLocale, t } from '../translate/translate.ts';
import {
  englishDistance,
  englishLength,
  englishMeasure,
  englishMoney,
  englishPercent,
  englishSize,
  englishVolume,
  englishWeight,
  englishWhole,
  type DisplayFormat,
  type MeasureName,
} from './english-figure.ts';

export { currencyDecimals, exactFigure, plainMoney } from './english-figure.ts';
export type { DisplayFormat, MeasureName } from './english-figure.ts';

/** Figures as the program's language writes them, in the store's currency and units. */

let marks: Record<string, string> | undefined;

/** The marks of thousands and decimals, by the English ones; read at the first figure that needs them. */
const marksOf = (locale: string): Record<string, string> => {
  const parts = new Intl.NumberFormat(locale, { useGrouping: 'always' }).formatToParts(12_345.6);
  const mark = (type: string): string => parts.find((part) => part.type === type)?.value ?? '';
  return { ',': mark('group'), '.': mark('decimal') };
};

const spoken = (figure: string): string => {
  const locale = spokenLocale();
  if (locale === 'en') return figure;
  const own = (marks ??= marksOf(locale));
  return figure.replace(/(?<=\d)[.,](?=\d)/g, (mark) => own[mark] ?? mark);
};

/** A whole number: 22640 is '22,640'. */
export const wholeFigure = (count: number): string => spoken(englishWhole(count));

/** Minor units without a currency sign: 1250 is '12.50', 2264066 is '22,640.66'. */
export const moneyFigure = (amount: number, decimals: number): string =>
  spoken(englishMoney(amount, decimals));

/**
 * What an amount may look like where one is asked for, of `about` hundredths: '12.50', or '1,250' in a currency without
 * smaller units, where a figure of one unit would be next to nothing.
 */
export const exampleAmount = (decimals: number, about = 1_250): string =>
  moneyFigure(decimals === 0 ? about : about * 10 ** (decimals - 2), decimals);

/** An amount that stands alone, with its currency: 1250 is 'CAD 12.50'. */
export const priceFigure = (amount: number, decimals: number, currency: string): string =>
  `${currency}\u00A0${moneyFigure(amount, decimals)}`;

/** Grams as '3.2 kg', '600 g' or '7 lb 4 oz'. */
export const weightFigure = (grams: number, units: DisplayFormat['units']): string =>
  spoken(englishWeight(grams, units));

/** Millimetres as '30 cm', '4 mm' or '11.8 in'. */
export const lengthFigure = (millimetres: number, units: DisplayFormat['units']): string =>
  spoken(englishLength(millimetres, units));

/** A size as '60 x 45 x 45 cm' in one unit, or each side in its own where they differ. */
export const sizeFigure = (...size: Parameters<typeof englishSize>): string => spoken(englishSize(...size));

/** Cubic millimetres as '12.5 L' or '763 cu in'. */
export const volumeFigure = (cubicMm: number, units: DisplayFormat['units']): string =>
  spoken(englishVolume(cubicMm, units));

/** Metres as '25 km', '800 m' or '15.5 mi'. */
export const distanceFigure = (metres: number, units: DisplayFormat['units']): string =>
  spoken(englishDistance(metres, units));

/** A number of any kind with its decimals: 4.5 is '4.5'. */
export const numberFigure = (value: number): string => spoken(String(value));

/** Basis points as '12.5 %'. */
export const percentFigure = (points: number): string => spoken(englishPercent(points));

/** A measured value with its unit: grams, minor units, units, cubic millimetres, metres or millimetres. */
export const measureFigure = (measure: MeasureName, value: number, display: DisplayFormat): string =>
  measure === 'units'
    ? t('{count, plural, one {# unit} other {# units}}', { count: value })
    : spoken(englishMeasure(measure, value, display));
