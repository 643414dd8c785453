import type { DutyRate, DutyRules } from '../model/tax.ts';
import { moneyFigure, percentFigure, type DisplayFormat } from '../words/figure.ts';
import { placeNames } from '../words/place-phrase.ts';
import { firstFew } from './first-few.ts';

const dutyRatePhrase = (rate: DutyRate, decimals: number): string =>
  `duty ${percentFigure(rate.duty)}, tax ${percentFigure(rate.importTax)}, free below ${moneyFigure(rate.freeBelow, decimals)}, on ${rate.valueBasis === 'goods' ? 'products' : 'products and shipping'}`;

const dutyRateChanges = (
  was: readonly DutyRate[],
  is: readonly DutyRate[],
  display: DisplayFormat,
): string[] => {
  const { decimals } = display;
  const nameOf = placeNames(display);
  const keyOf = ({ country, hsPrefix }: DutyRate): string =>
    `${nameOf(country)}${hsPrefix ? ` ${hsPrefix}` : ''}`;
  const old = new Map(was.map((rate) => [keyOf(rate), dutyRatePhrase(rate, decimals)]));
  const now = new Map(is.map((rate) => [keyOf(rate), dutyRatePhrase(rate, decimals)]));
  const lines = [
    ...[...now].flatMap(([key, words]) => {
      const before = old.get(key);
      if (before === words) return [];
      return [before === undefined ? `${key}: ${words}` : `${key}: ${before} becomes ${words}`];
    }),
    ...[...old.keys()].filter((key) => !now.has(key)).map((key) => `${key} is removed`),
  ];
  return lines.length === 0 ? [] : [`Duty rates: ${firstFew(lines)}.`];
};

/** What customers are told of import charges. */
const SHOWN: Record<DutyRules['show'], string> = {
  nothing: 'nothing',
  mention: 'that some may fall due',
  amount: 'about how much',
};

/** What changed in the rules of import charges, a sentence each. */
export const dutySentences = (was: DutyRules, is: DutyRules, display: DisplayFormat): string[] => {
  const { decimals } = display;
  const named = (countries: readonly string[]): string =>
    countries.map(placeNames(display)).join(', ') || 'none';
  return [
    ...(was.terms === is.terms ? [] : [`Terms of delivery: ${was.terms} becomes ${is.terms}.`]),
    ...(was.show === is.show
      ? []
      : [`Customers are told of import charges: ${SHOWN[was.show]} becomes ${SHOWN[is.show]}.`]),
    ...(was.clearanceFee === is.clearanceFee
      ? []
      : [
          `Clearance fee: ${moneyFigure(was.clearanceFee, decimals)} becomes ${moneyFigure(is.clearanceFee, decimals)}.`,
        ]),
    ...(was.homeCountries.join() === is.homeCountries.join()
      ? []
      : [`Home countries: ${named(was.homeCountries)} becomes ${named(is.homeCountries)}.`]),
    ...dutyRateChanges(was.rates, is.rates, display),
  ];
};
