import {
  firstZones,
  GOODS_KINDS,
  type FirstAnswers,
  type FirstZone,
  type GoodsKind,
} from '../../../core/begin/first-book.ts';
import { t } from '../../../core/translate/translate.ts';
import { withDay } from '../../../core/formats/hours-typed.ts';
import type { OpeningHours } from '../../../core/model/time.ts';
import { normaliseCode } from '../../../core/place/postal.ts';
import { pastedPatterns, type PastedPatterns } from '../../../core/place/pasted-patterns.ts';
import { currencyDecimals, type DisplayFormat } from '../../../core/words/figure.ts';
import { optional, readMeasure, readMoney, readName, readPercent, readSpans } from '../../fields/readers.ts';
import { located } from '../../places/use-gazetteer.ts';
import { codeForm, isWholeCode } from '../../places/whole-code.ts';
import { hasPostalCode } from '../shopfront/address-form.ts';
import { countryName } from '../../../core/words/country-name.ts';

/** The answers to the five questions as they are typed. */
export interface BeginValues {
  shop: string;
  place: string;
  country: string;
  subdivision: string;
  postalCode: string;
  city: string;
  currency: string;
  timeZone: string;
  units: 'metric' | 'imperial';
  taxName: string;
  taxPercent: string;
  /** Whether the prices and charges contain the tax at home. */
  taxIncluded: boolean;
  /** How customers get their orders: shipped, brought by the shop (`near`), collected (`collect`). */
  ships: boolean;
  reach: FirstAnswers['reach'];
  countries: string[];
  goodName: string;
  goodPrice: string;
  goodWeight: string;
  kinds: GoodsKind[];
  charges: Record<FirstZone, Record<GoodsKind, string>>;
  hours: string[];
  collect: boolean;
  near: boolean;
  nearCodes: string;
  nearCharge: string;
  nearLeast: string;
}

/** The hours of a week, Monday first, that is open on all but the days of rest; Monday is 1. */
export const usualHours = (weekend: readonly number[]): string[] =>
  [1, 2, 3, 4, 5, 6, 7].map((day) => (weekend.includes(day) ? '' : '9-17'));

const NO_CHARGES = { letters: '', parcels: '', heavy: '' };

export const emptyValues = (timeZone: string): BeginValues => ({
  shop: '',
  place: '',
  country: '',
  subdivision: '',
  postalCode: '',
  city: '',
  currency: '',
  timeZone,
  units: 'metric',
  taxName: '',
  taxPercent: '',
  taxIncluded: true,
  ships: true,
  reach: 'home',
  countries: [],
  goodName: '',
  goodPrice: '',
  goodWeight: '',
  kinds: ['parcels'],
  charges: { home: NO_CHARGES, abroad: NO_CHARGES, rest: NO_CHARGES },
  hours: usualHours([6, 7]),
  collect: false,
  near: false,
  nearCodes: '',
  nearCharge: '',
  nearLeast: '',
});

export type Faults = Record<string, string>;

const displayFormatOf = ({ currency, units }: BeginValues): DisplayFormat => ({
  decimals: currency === '' ? 2 : currencyDecimals(currency),
  units,
});

/** The codes nearby, as they were pasted. */
export const nearPatterns = ({ country, nearCodes }: BeginValues): PastedPatterns =>
  pastedPatterns(country, nearCodes, codeForm(country));

const fromFaults = (values: BeginValues): Faults => {
  const faults: Faults = {};
  const name = readName(values.shop);
  if (!name.ok) faults.shop = name.text;
  if (values.country === '') faults.country = t('Choose the country that you send from.');
  if (!values.ships && !values.near && !values.collect) faults.ways = t('Choose at least one.');
  else if (values.near && values.country !== '' && !hasPostalCode(values.country))
    faults.ways = t(
      'Addresses in {country} have no postal codes, and delivery nearby goes by them. Untick it to go on.',
      { country: countryName(values.country) },
    );
  if (values.currency === '') faults.currency = t('Choose the currency of your prices.');
  const code = normaliseCode(values.country, values.postalCode);
  if (code !== '' && !isWholeCode(values.country)(values.postalCode.trim()))
    faults.postalCode = t('“{text}” is not a postal code of this country.', {
      text: values.postalCode.trim(),
    });
  const points = optional<number>(readPercent)(values.taxPercent);
  if (!points.ok) faults.taxPercent = points.text;
  else if (points.value !== undefined && values.taxName.trim() === '')
    faults.taxName = t('Name the tax, as customers know it.');
  return faults;
};

const reachFaults = ({ reach, countries }: BeginValues): Faults =>
  reach === 'listed' && countries.length === 0
    ? { countries: t('Add a country, or choose another answer.') }
    : {};

const goodsFaults = (values: BeginValues): Faults => {
  const faults: Faults = {};
  const display = displayFormatOf(values);
  const name = readName(values.goodName);
  const price = readMoney(display)(values.goodPrice);
  const readWeight = readMeasure('weight', display);
  const weight = (values.ships ? readWeight : optional<number>(readWeight))(values.goodWeight);
  if (!name.ok) faults.goodName = name.text;
  if (!price.ok) faults.goodPrice = price.text;
  if (!weight.ok) faults.goodWeight = weight.text;
  if (!values.ships) return faults;
  if (values.kinds.length === 0) faults.kinds = t('Choose at least one.');
  for (const zone of firstZones(values)) {
    for (const kind of values.kinds) {
      const charge = readMoney(display)(values.charges[zone][kind]);
      const path = `charges.${zone}.${kind}`;
      if (!charge.ok) faults[path] = charge.text;
      else if (charge.value === 0) faults[path] = t('Nothing would be charged.');
    }
  }
  return faults;
};

const hoursFaults = ({ hours }: BeginValues): Faults =>
  Object.fromEntries(
    hours.flatMap((text, at) => {
      const spans = readSpans(text);
      return spans.ok ? [] : [[`hours.${at}`, spans.text]];
    }),
  );

const nearFaults = (values: BeginValues): Faults => {
  if (!values.near) return {};
  const faults: Faults = {};
  const display = displayFormatOf(values);
  const { patterns, unread } = nearPatterns(values);
  if (unread.length > 0)
    faults.nearCodes = t('Not understood: {list}.', { list: unread.slice(0, 5).join(', ') });
  else if (patterns.length === 0) faults.nearCodes = t('Paste the postal codes that you bring orders to.');
  const charge = readMoney(display)(values.nearCharge);
  if (!charge.ok) faults.nearCharge = charge.text;
  else if (charge.value === 0) faults.nearCharge = t('Nothing would be charged.');
  const least = optional<number>(readMoney(display))(values.nearLeast);
  if (!least.ok) faults.nearLeast = least.text;
  return faults;
};

const STEPS = [fromFaults, reachFaults, goodsFaults, hoursFaults, nearFaults];
export const QUESTIONS = [
  t('Where is your shop?'),
  t('Where to?'),
  t('What do you sell?'),
  t('When are you open?'),
  t('Where do you bring orders to?'),
] as const;

/** The questions that apply, by their places in the list: a shop that only collects is asked nothing of shipping. */
export const askedSteps = ({ ships, near }: Pick<BeginValues, 'ships' | 'near'>): number[] => [
  0,
  ...(ships ? [1] : []),
  2,
  3,
  ...(near ? [4] : []),
];

/** What is wrong with the answers to one question, by field. */
export const faultsOfStep = (values: BeginValues, step: number): Faults => STEPS[step]?.(values) ?? {};

const figure = (read: { ok: true; value: number } | { ok: false }): number => (read.ok ? read.value : 0);

const chargesOf = (values: BeginValues, display: DisplayFormat): FirstAnswers['charges'] =>
  Object.fromEntries(
    firstZones(values).map((zone) => [
      zone,
      Object.fromEntries(
        values.kinds.map((kind) => [kind, figure(readMoney(display)(values.charges[zone][kind]))]),
      ),
    ]),
  );

const hoursOf = ({ hours }: BeginValues): OpeningHours[] =>
  hours.reduce<OpeningHours[]>((week, text, at) => {
    const spans = readSpans(text);
    return spans.ok ? withDay(week, (at + 1) as OpeningHours['day'], spans.value) : week;
  }, []);

const nearbyOf = (values: BeginValues, display: DisplayFormat): FirstAnswers['nearby'] => {
  if (!values.near) return undefined;
  const least = figure(readMoney(display)(values.nearLeast));
  return {
    patterns: nearPatterns(values).patterns,
    charge: figure(readMoney(display)(values.nearCharge)),
    ...(least > 0 ? { minSubtotal: least } : {}),
  };
};

const skuOf = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 60) || 'good';

/** The answers, once nothing is wrong with any of them. */
export const answersOf = (values: BeginValues): FirstAnswers => {
  const display = displayFormatOf(values);
  const { country, subdivision, postalCode, city, taxName, taxPercent, taxIncluded, kinds } = values;
  const nearby = nearbyOf(values, display);
  const points = figure(readPercent(taxPercent));
  const weight = optional<number>(readMeasure('weight', display))(values.goodWeight);
  return {
    name: values.shop.trim(),
    currency: values.currency,
    timeZone: values.timeZone,
    units: values.units,
    from: located({
      country,
      ...(subdivision === '' ? {} : { subdivision }),
      ...(postalCode.trim() === '' ? {} : { postalCode: postalCode.trim() }),
      ...(city.trim() === '' ? {} : { city: city.trim() }),
    }),
    fromName: values.place.trim() || values.shop.trim(),
    homeName: countryName(country),
    ...(points > 0 ? { tax: { name: taxName.trim(), points, included: taxIncluded } } : {}),
    reach: values.ships ? values.reach : 'home',
    countries: values.ships ? values.countries.filter((one) => one !== country) : [],
    kinds: values.ships ? GOODS_KINDS.filter((kind) => kinds.includes(kind)) : [],
    charges: values.ships ? chargesOf(values, display) : {},
    good: {
      sku: skuOf(values.goodName),
      name: values.goodName.trim(),
      price: figure(readMoney(display)(values.goodPrice)),
      ...(weight.ok && weight.value !== undefined ? { weight: weight.value } : {}),
    },
    hours: hoursOf(values),
    collect: values.collect,
    ...(nearby ? { nearby } : {}),
  };
};
