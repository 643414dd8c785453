import { GREATEST_MONEY } from '../model/bounds.ts';
import { GRAMS_A_POUND, METRES_A_MILE, MM3_A_CUBIC_INCH, MM_AN_INCH } from '../model/imperial.ts';
import { unitFactor, type UnitKind } from '../model/written-units.ts';

/** Figures as people type them, into what the book keeps: whole numbers, but exact where imperial units were typed. */

/** What marks decimals; 'either' where the one that was typed does: then a single mark never groups thousands. */
export type Mark = '.' | ',' | 'either';

export type Typed = { ok: true; value: number } | { ok: false };

/** No figure is written with more characters. */
const LONGEST = 200;

const NO: Typed = { ok: false };
const yes = (value: number): Typed =>
  value >= 0 && value <= Number.MAX_SAFE_INTEGER ? { ok: true, value } : NO;

/** '1,25,000': hundreds of thousands grouped by two, as in India. */
const BY_LAKHS = /^\d{1,2}(,\d{2})+,\d{3}$/;

/**
 * A plain decimal number. Of '.' and ',' the one that comes last marks the decimals; a single comma
 * or dot before exactly three digits groups thousands unless `mark` says that it marks decimals.
 */
export const typedNumber = (text: string, mark: Mark = '.'): number | null => {
  const bare = text.trim().replace(/[\s\u00A0\u202F']/g, '');
  if (!/^\d[\d.,]*$/.test(bare) && !/^[.,]\d+$/.test(bare)) return null;
  const dots = bare.split('.').length - 1;
  const commas = bare.split(',').length - 1;
  const grouped = /^\d{1,3}([.,]\d{3})+$/.test(bare) || BY_LAKHS.test(bare);
  const decimal =
    dots > 0 && commas > 0
      ? bare.lastIndexOf('.') > bare.lastIndexOf(',')
        ? '.'
        : ','
      : dots > 0
        ? '.'
        : ',';
  const onlyMark = decimal === '.' ? dots : commas;
  const isGrouping =
    dots + commas > 0 &&
    (dots === 0 || commas === 0) &&
    grouped &&
    (onlyMark > 1 || (decimal !== mark && mark !== 'either'));
  if (!isGrouping && onlyMark > 1) return null;
  const other = decimal === '.' ? ',' : '.';
  const plain = isGrouping ? bare.replace(/[.,]/g, '') : bare.replaceAll(other, '').replace(decimal, '.');
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
};

/** A number that cannot have decimals, without the marks that group its thousands; any other text as it is. */
const ungrouped = (text: string): string =>
  /^\s*[1-9]\d{0,2}([.,]\d{3})+(?![\d.,])/.test(text) ? text.replace(/[.,](?=\d{3})/g, '') : text;

/** A currency's sign or code, or what is written for it in a few countries. */
const CURRENCY =
  /\p{Sc}|(?<![\p{L}\d])(?:[A-Za-z]{3}(?![\p{L}\d])|[A-Z]{1,2}(?=\$)|(?:Rs|kr|zł|Kč|Ft)(?:\.|(?![\p{L}\d])))/gu;

/** '12.50' or '12,50' in minor units, up to `most`; a currency sign or code around it is passed over. */
export const typedMoney = (
  text: string,
  decimals: number,
  mark: Mark = '.',
  most = GREATEST_MONEY,
): Typed => {
  if (text.length > LONGEST) return NO;
  const bare = text.replace(CURRENCY, '');
  const value = typedNumber(decimals === 0 ? ungrouped(bare) : bare, mark);
  if (value === null) return NO;
  const minor = Math.round(value * 10 ** decimals);
  return Math.abs(minor - value * 10 ** decimals) < 1e-6 && minor <= most ? yes(minor) : NO;
};

/** No imperial unit has more decimals than these in grams, millimetres or metres. */
const DECIMALS = 9;

/** A sum as the book keeps it: rounded to a whole number, unless a unit was typed that is none. */
const kept = (total: number, factors: readonly number[]): number =>
  factors.every((factor) => Number.isInteger(factor)) ? Math.round(total) : Number(total.toFixed(DECIMALS));

/** A sum of figures with units, '7 lb 4 oz'; one figure alone has the unit `bare`. */
const withUnits = (text: string, kind: UnitKind, bare: number, mark: Mark): Typed => {
  if (text.length > LONGEST) return NO;
  const parts = [
    ...text
      .trim()
      .toLowerCase()
      .replace('cu in', 'cuin')
      .matchAll(/([\d.,\s]*\d)\s*([a-z³'"]+3?)?\s*/gy),
  ];
  if (
    parts.length === 0 ||
    parts.map((part) => part[0]).join('').length !== text.trim().replace(/cu in/i, 'cuin').length
  )
    return NO;
  let total = 0;
  const factors: number[] = [];
  for (const [, figure = '', name] of parts) {
    const value = typedNumber(figure, mark);
    const factor = name === undefined ? (parts.length === 1 ? bare : undefined) : unitFactor(kind, name);
    if (value === null || factor === undefined) return NO;
    total += value * factor;
    factors.push(factor);
  }
  return yes(kept(total, factors));
};

type System = 'metric' | 'imperial';

/** '3.2kg', '600 g', '7 lb 4 oz' in grams, pounds and ounces to the last decimal; a bare figure is kilograms, or pounds. */
export const typedWeight = (text: string, system: System, mark: Mark = '.'): Typed =>
  withUnits(text, 'weight', system === 'metric' ? 1_000 : GRAMS_A_POUND, mark);

/** '30 cm', '1.8 m', '12 in' in millimetres; a bare figure is centimetres, or inches. */
export const typedLength = (text: string, system: System, mark: Mark = '.'): Typed =>
  withUnits(text, 'length', system === 'metric' ? 10 : MM_AN_INCH, mark);

/** '12.5 L', '800 ml' in cubic millimetres; a bare figure is litres, or cubic inches. */
export const typedVolume = (text: string, system: System, mark: Mark = '.'): Typed => {
  const typed = withUnits(text, 'volume', system === 'metric' ? 1_000_000 : MM3_A_CUBIC_INCH, mark);
  return typed.ok ? yes(Math.round(typed.value)) : typed;
};

/** '3 km', '800 m', '2.5 mi' in metres; a bare figure is kilometres, or miles. */
export const typedDistance = (text: string, system: System, mark: Mark = '.'): Typed =>
  withUnits(text, 'distance', system === 'metric' ? 1_000 : METRES_A_MILE, mark);

/** A whole number not below 0, with or without the word 'units' or 'days'. */
export const typedCount = (text: string): Typed => {
  const match = /^(\d{1,10})\s*(units?|days?)?$/i.exec(text.length > LONGEST ? '' : ungrouped(text.trim()));
  return match ? yes(Number(match[1])) : NO;
};

/** '12.5 %' in basis points, two decimals at most. */
export const typedPercent = (text: string, mark: Mark = '.'): Typed => {
  const value = text.length > LONGEST ? null : typedNumber(text.replace('%', ''), mark);
  if (value === null) return NO;
  const points = Math.round(value * 100);
  return Math.abs(points - value * 100) < 1e-6 ? yes(points) : NO;
};
