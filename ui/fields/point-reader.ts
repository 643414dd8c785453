import { pointSchema, type Destination } from '../../core/model/place.ts';
import { t } from '../../core/translate/translate.ts';
import type { Read } from './draft-field.tsx';

export type Point = NonNullable<Destination['point']>;

/** A point as it is written in its field: '59.3293, 18.0686'. */
export const pointText = (point: Point | undefined): string => (point ? `${point.lat}, ${point.lng}` : '');

/** Decimal degrees, with the letter of a half of the globe before or after: '59.3293° N', 'W 63.58'. */
const DEGREES = /^([NSEW])?\s*([+-]?\d{1,3}(?:[.,]\d+)?)\s*°?\s*([NSEW])?$/i;

interface Angle {
  degrees: number;
  letter: string;
}

const angleOf = (text: string): Angle | null => {
  const [, before = '', figure, after = ''] = DEGREES.exec(text.trim()) ?? [];
  if (figure === undefined || (before !== '' && after !== '')) return null;
  const letter = (before + after).toUpperCase();
  const degrees = Number(figure.replace(',', '.'));
  return { degrees: 'SW'.includes(letter) && letter !== '' ? -degrees : degrees, letter };
};

/** The two halves of a pair: parted by a semicolon, a comma and a blank, a lone comma, or blanks. */
const halvesOf = (text: string): string[] => {
  const parts = [/;/, /,\s+/, /(?<=[NSEW])[\s,]+/i, /\s+/, /,/].map((mark) => text.split(mark));
  return parts.find((halves) => halves.length === 2 && halves.every((half) => angleOf(half))) ?? [];
};

/**
 * A point as maps write it: latitude and longitude in decimal degrees, '59.3293, 18.0686', '59,3293; 18,0686',
 * '44.65° N, 63.58° W'; letters say which is which.
 */
export const readPoint = (text: string): Read<Point> => {
  const [first, second] = halvesOf(text.trim()).map(angleOf);
  const isTurned = /[EW]/.test(first?.letter ?? '') || /[NS]/.test(second?.letter ?? '');
  const [lat, lng] = isTurned ? [second, first] : [first, second];
  const isMixed = /[EW]/.test(lat?.letter ?? '') || /[NS]/.test(lng?.letter ?? '');
  const point = pointSchema.safeParse({ lat: lat?.degrees, lng: lng?.degrees });
  return point.success && !isMixed
    ? { ok: true, value: point.data }
    : { ok: false, text: t('Write latitude and longitude, such as 44.6592, -63.5987.') };
};
