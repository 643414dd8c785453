import { IntlMessageFormat } from 'intl-messageformat';
import type { Language } from '../../model/language.ts';
import { dayOf } from '../../time/calendar.ts';
import {
  englishDistance,
  englishLength,
  englishMeasure,
  englishMoney,
  englishPercent,
  englishWeight,
  type DisplayFormat,
  type MeasureName,
} from '../english-figure.ts';
import { ENGLISH, type MessageId } from './english.ts';
import { FRENCH } from './french.ts';
import { REGION_NAMES } from './region-names.ts';

/** The texts of each language. */
export const CATALOGUES: Record<Language, Record<MessageId, string>> = { en: ENGLISH, fr: FRENCH };

/** The locale by which a language writes days and figures. */
const LOCALES: Record<Language, string> = { en: 'en-GB', fr: 'fr-CA' };

type Values = Record<string, string | number>;
interface Slot {
  start: string;
  end: string;
}

/** How a shop speaks to a customer: its texts, and its figures and days as the language writes them. */
export interface CustomerWords {
  language: Language;
  display: DisplayFormat;
  /** A text of the catalogue with its figures put in. */
  say: (id: MessageId, values?: Values) => string;
  /** Minor units beside others: '12.50'. */
  money: (amount: number) => string;
  /** An amount that stands alone, with the currency: 'CAD 12.50', '12,50 CAD'. */
  price: (amount: number) => string;
  /** Basis points: '12.5 %'. */
  percent: (points: number) => string;
  weight: (grams: number) => string;
  length: (millimetres: number) => string;
  distance: (metres: number) => string;
  measure: (measure: MeasureName, value: number) => string;
  /** A date: 'Mon 30 Nov'. */
  day: (date: string) => string;
  /** A date as it is said: today, tomorrow, the day of the week within six days, else day and month. */
  spokenDay: (date: string, today: string) => string;
  /** A day of the week, 1 is Monday: 'Mon'. */
  weekday: (day: number) => string;
  /** A date, or an instant by the clocks of its own offset: 'Mon 30 Nov, 09:00'. */
  moment: (moment: string) => string;
  /** 'Tue 24 Nov, 14:30 to 15:30'. */
  slot: (slot: Slot) => string;
  /** From one date to another: 'Thu 26 to Mon 30 Nov'. */
  span: (earliest: string, latest: string) => string;
  /** A country's name. */
  country: (code: string) => string;
  /** A region's name, where the language has one of its own; else the name it is given. */
  region: (code: string, name: string) => string;
}

/** Inches as a language writes their sign; other units are the same in both. */
const INCHES: Partial<Record<Language, readonly [RegExp, string][]>> = {
  fr: [
    [/\bcu in\b/, 'po³'],
    [/\bin\b/, 'po'],
  ],
};

/** A figure of this program, which has English marks and units, as a language writes it. */
const figureIn = (language: Language): ((figure: string) => string) => {
  const parts = new Intl.NumberFormat(LOCALES[language]).formatToParts(12_345.6);
  const mark = (type: string): string => parts.find((part) => part.type === type)?.value ?? '';
  const marks: Record<string, string> = { ',': mark('group'), '.': mark('decimal') };
  return (figure) =>
    (INCHES[language] ?? []).reduce(
      (text, [unit, name]) => text.replace(unit, name),
      figure.replace(/(?<=\d)[.,](?=\d)/g, (sign) => marks[sign] ?? sign),
    );
};

const FIRST_MONDAY = '2024-01-01';
const dateAt = (date: string): Date => new Date(`${date.slice(0, 10)}T00:00:00Z`);

/** Days and moments as a language says them. */
const calendarOf = (language: Language, say: CustomerWords['say']) => {
  const format = (options: Intl.DateTimeFormatOptions): ((date: string) => string) => {
    const made = new Intl.DateTimeFormat(LOCALES[language], { timeZone: 'UTC', ...options });
    return (date) => made.format(dateAt(date)).replace(',', '');
  };
  const day = format({ weekday: 'short', day: 'numeric', month: 'short' });
  const weekdayAndDay = format({ weekday: 'short', day: 'numeric' });
  const weekdayName = format({ weekday: 'long' });
  const weekdayShort = format({ weekday: 'short' });
  const dayAndMonth = format({ day: 'numeric', month: 'long' });
  const moment: CustomerWords['moment'] = (text) =>
    text.length > 10 ? say('time.moment', { day: day(text), time: text.slice(11, 16) }) : day(text);
  return {
    day,
    moment,
    weekday: (number: number) => weekdayShort(`${FIRST_MONDAY.slice(0, 8)}0${number}`),
    spokenDay: (date: string, today: string) => {
      const ahead = dayOf(date) - dayOf(today);
      if (ahead === 0) return say('time.today');
      if (ahead === 1) return say('time.tomorrow');
      if (ahead > 1 && ahead < 7) return weekdayName(date);
      const written = dayAndMonth(date);
      return say('time.date', { day: language === 'fr' ? written.replace(/^1 /, '1er ') : written });
    },
    slot: ({ start, end }: Slot) => say('time.span', { from: moment(start), to: end.slice(11, 16) }),
    span: (earliest: string, latest: string) => {
      if (earliest === latest) return day(latest);
      const first = earliest.slice(0, 7) === latest.slice(0, 7) ? weekdayAndDay : day;
      return say('time.span', { from: first(earliest), to: day(latest) });
    },
  };
};

/** The texts of a catalogue, each made ready when it is first said. */
const speakerOf = (catalogue: Record<MessageId, string>, locale: string): CustomerWords['say'] => {
  const made = new Map<MessageId, IntlMessageFormat>();
  return (id, values) => {
    const message =
      made.get(id) ?? new IntlMessageFormat(catalogue[id], locale, undefined, { ignoreTag: true });
    made.set(id, message);
    return String(message.format(values));
  };
};

/** How a shop of a currency and units speaks a language; `catalogue` in place of the language's own is for tests. */
export const customerWords = (
  language: Language,
  { currency, ...display }: DisplayFormat & { currency: string },
  catalogue: Record<MessageId, string> = CATALOGUES[language],
): CustomerWords => {
  const say = speakerOf(catalogue, LOCALES[language]);
  const figure = figureIn(language);
  const countries = new Intl.DisplayNames([language], { type: 'region' });
  const money = (amount: number): string => figure(englishMoney(amount, display.decimals));
  return {
    language,
    display,
    say,
    money,
    price: (amount) =>
      language === 'fr' ? `${money(amount)}\u00A0${currency}` : `${currency}\u00A0${money(amount)}`,
    percent: (points) => figure(englishPercent(points)),
    weight: (grams) => figure(englishWeight(grams, display.units)),
    length: (millimetres) => figure(englishLength(millimetres, display.units)),
    distance: (metres) => figure(englishDistance(metres, display.units)),
    measure: (measure, value) =>
      measure === 'units'
        ? say('measure.units', { count: value })
        : figure(englishMeasure(measure, value, display)),
    country: (code) => countries.of(code) ?? code,
    region: (code, name) => REGION_NAMES[language]?.[code] ?? name,
    ...calendarOf(language, say),
  };
};
