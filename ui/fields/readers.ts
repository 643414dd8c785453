import { inQuotes } from '../../core/words/in-quotes.ts';
import { spokenLocale, t } from '../../core/translate/translate.ts';
import { typedMeasure } from '../../core/formats/measure-typed.ts';
import { typedDates } from '../../core/formats/dates-typed.ts';
import { typedSpans, type Span } from '../../core/formats/hours-typed.ts';
import { typedSize } from '../../core/formats/size-typed.ts';
import {
  typedCount,
  typedMoney,
  typedNumber,
  typedPercent,
  type Mark,
  type Typed,
} from '../../core/formats/typed.ts';
import type { Size } from '../../core/model/good.ts';
import type { LimitMeasure, Measure } from '../../core/model/price.ts';
import {
  GREATEST_DISTANCE,
  GREATEST_LENGTH,
  GREATEST_MONEY,
  GREATEST_POINTS,
  GREATEST_WEIGHT,
} from '../../core/model/bounds.ts';
import { localDateSchema, localTimeSchema } from '../../core/model/unit.ts';
import {
  exampleAmount,
  measureFigure,
  moneyFigure,
  percentFigure,
  type DisplayFormat,
} from '../../core/words/figure.ts';
import type { Read } from './draft-field.tsx';

/** How fields read what is typed, with what to say where it cannot be read. */

const markIn = (locale?: string): string =>
  new Intl.NumberFormat(locale).formatToParts(1.5).find((part) => part.type === 'decimal')?.value ?? '.';

/** The mark of decimals in files that are written where this person is. */
export const decimalMark: '.' | ',' = markIn() === ',' ? ',' : '.';

/**
 * The mark of decimals in the fields of a locale. A dot is read as it is written, for the
 * program writes one in English; where people write a comma, that too.
 */
export const fieldMarkIn = (locale?: string): Mark => (markIn(locale) === ',' ? 'either' : '.');
export const fieldMark = fieldMarkIn(spokenLocale() === 'en' ? undefined : spokenLocale());

/** A figure, if it is understood and no greater than a book holds. */
const said = (typed: Typed, text: string, most?: { value: number; words: string }): Read<number> => {
  if (!typed.ok) return { ok: false, text };
  return most && typed.value > most.value
    ? { ok: false, text: t('This may be at most {words}.', { words: most.words }) }
    : { ok: true, value: typed.value };
};

export const readMoney =
  (display: DisplayFormat) =>
  (text: string): Read<number> =>
    said(
      typedMoney(text, display.decimals, fieldMark, Number.MAX_SAFE_INTEGER),
      t('Write an amount, such as {example}.', { example: exampleAmount(display.decimals) }),
      { value: GREATEST_MONEY, words: moneyFigure(GREATEST_MONEY, display.decimals) },
    );

const EXAMPLES: Record<Measure | LimitMeasure, { metric: string; imperial: string }> = {
  weight: { metric: t('a weight, such as 3.2 kg'), imperial: t('a weight, such as 7 lb 4 oz') },
  subtotal: { metric: t('an amount, such as 12.50'), imperial: t('an amount, such as 12.50') },
  units: { metric: t('a whole number'), imperial: t('a whole number') },
  volume: { metric: t('a volume, such as 12.5 L'), imperial: t('a volume, such as 700 cu in') },
  longestSide: { metric: t('a length, such as 120 cm'), imperial: t('a length, such as 48 in') },
  distance: { metric: t('a distance, such as 3 km'), imperial: t('a distance, such as 2 mi') },
};

/** The most of each measure that a book holds. */
const MOST: Record<Measure | LimitMeasure, number> = {
  weight: GREATEST_WEIGHT,
  subtotal: GREATEST_MONEY,
  units: GREATEST_MONEY,
  volume: GREATEST_LENGTH ** 3,
  longestSide: GREATEST_LENGTH,
  distance: GREATEST_DISTANCE,
};

export const readMeasure =
  (measure: Measure | LimitMeasure, display: DisplayFormat) =>
  (text: string): Read<number> =>
    said(
      typedMeasure(measure, text, display, fieldMark),
      t('Write {example}.', { example: EXAMPLES[measure][display.units] }),
      {
        value: MOST[measure],
        words: measureFigure(measure, MOST[measure], display),
      },
    );

/** A value of a measure that is more than 0. */
export const readSizeOf =
  (measure: Measure, display: DisplayFormat) =>
  (text: string): Read<number> => {
    const size = readMeasure(measure, display)(text);
    return size.ok && size.value === 0 ? { ok: false, text: t('This must be more than 0.') } : size;
  };

/** Three sides, in the shop's units where they have none of their own. */
export const readSize =
  ({ units }: DisplayFormat) =>
  (text: string): Read<Size> => {
    const metric = units === 'metric';
    const size = typedSize(text, metric ? 'cm' : 'in', fieldMark);
    const example = metric ? t('30 x 20 x 15 cm') : t('12 x 8 x 6 in');
    return size
      ? { ok: true, value: size }
      : { ok: false, text: t('Write three sides, such as {example}.', { example }) };
  };

/** The inside of a box: three sides, none of them 0. */
export const readRoom =
  (display: DisplayFormat) =>
  (text: string): Read<Size> => {
    const size = readSize(display)(text);
    return size.ok && Math.min(size.value.length, size.value.width, size.value.height) === 0
      ? { ok: false, text: t('Each side must be more than 0.') }
      : size;
  };

export const readPercent = (text: string): Read<number> =>
  said(typedPercent(text, fieldMark), t('Write a percentage, such as 4.5.'), {
    value: GREATEST_POINTS,
    words: percentFigure(GREATEST_POINTS),
  });

/** A figure that may take something off: '-5', '+5' or '5'. */
export const signed =
  (read: (text: string) => Read<number>) =>
  (text: string): Read<number> => {
    const [, sign = '', rest = ''] = /^\s*([-−+]?)\s*(.*)$/.exec(text) ?? [];
    const found = read(rest);
    return found.ok && sign !== '' && sign !== '+' ? { ok: true, value: 0 - found.value } : found;
  };

/** Seconds, as 2 or 2.5, in milliseconds between two others. */
export const readSeconds =
  (least: number, most: number) =>
  (text: string): Read<number> => {
    const seconds = typedNumber(text.replace(/s(ec(onds?)?)?\.?\s*$/i, ''), fieldMark);
    const value = seconds === null ? null : Math.round(seconds * 1_000);
    return value !== null && value >= least && value <= most
      ? { ok: true, value }
      : {
          ok: false,
          text: t('Write seconds, from {least} to {most}.', { least: least / 1_000, most: most / 1_000 }),
        };
  };

/** A whole number between two others. */
export const readCountWithin =
  (least: number, most: number) =>
  (text: string): Read<number> => {
    const typed = typedCount(text);
    const within = typed.ok && typed.value >= least && typed.value <= most;
    return within
      ? typed
      : { ok: false, text: t('Write a whole number from {least} to {most}.', { least, most }) };
  };

/** A field that may be left empty. */
export const optional =
  <T>(read: (text: string) => Read<T>) =>
  (text: string): Read<T | undefined> =>
    text.trim() === '' ? { ok: true, value: undefined } : read(text);

/** A name people read: not empty, not longer than 120 characters. */
export const readName = (text: string): Read<string> => {
  const name = text.trim();
  if (name === '') return { ok: false, text: t('A name is needed.') };
  return name.length <= 120
    ? { ok: true, value: name }
    : { ok: false, text: t('A name has at most 120 characters.') };
};

/** Words of at most so many characters; they may be empty. */
export const readWords =
  (most: number) =>
  (text: string): Read<string> =>
    text.length <= most
      ? { ok: true, value: text }
      : { ok: false, text: t('At most {most} characters.', { most }) };

export const readDate = (text: string): Read<string> =>
  localDateSchema.safeParse(text.trim()).success
    ? { ok: true, value: text.trim() }
    : { ok: false, text: t('Write a date, such as 2026-11-24.') };

export const readTime = (text: string): Read<string> =>
  localTimeSchema.safeParse(text.trim()).success && text.trim() !== '24:00'
    ? { ok: true, value: text.trim() }
    : { ok: false, text: t('Write a time, such as 10:15.') };

const SPAN_FAULTS = {
  unread: t('is not understood: write hours as 09:00–12:00, 13:00–17:30, or nothing where it is closed.'),
  reversed: t('ends before it begins.'),
  overlap: t('overlaps the hours before it.'),
} as const;

/** The opening hours of one day. */
export const readSpans = (text: string): Read<Span[]> => {
  const typed = typedSpans(text);
  return typed.ok
    ? { ok: true, value: typed.spans }
    : { ok: false, text: `${inQuotes(typed.text)} ${SPAN_FAULTS[typed.why]}` };
};

/** Dates and ranges of dates. */
export const readDates = (text: string): Read<string[]> => {
  const typed = typedDates(text);
  return typed.ok
    ? { ok: true, value: typed.dates }
    : {
        ok: false,
        text: t('“{typed}” is not a date: write 2026-12-25 or 2026-12-24 to 2026-12-26.', {
          typed: typed.text,
        }),
      };
};

const LONGEST_TOKEN = 120;

/** Words separated by commas or lines, each once: customer groups, codes, channels. */
export const readTokens = (text: string): Read<string[]> => {
  const tokens = [
    ...new Set(
      text
        .split(/[,;\n]/)
        .map((token) => token.trim())
        .filter(Boolean),
    ),
  ];
  const long = tokens.find((token) => token.length > LONGEST_TOKEN);
  return long === undefined
    ? { ok: true, value: tokens }
    : {
        ok: false,
        text: t('“{text}…” is longer than {most} characters.', {
          text: long.slice(0, 20),
          most: LONGEST_TOKEN,
        }),
      };
};
