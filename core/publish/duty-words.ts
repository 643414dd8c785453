import { t } from '../translate/translate.ts';
import { labelled } from '../words/labelled.ts';
import type { DutyRate, DutyRules } from '../model/tax.ts';
import { moneyFigure, percentFigure, type DisplayFormat } from '../words/figure.ts';
import { placeNames } from '../words/place-phrase.ts';
import { firstFew } from './first-few.ts';

const dutyRatePhrase = (rate: DutyRate, decimals: number): string =>
  t('duty {percent}, tax {percent2}, free below {amount}, on {basis}', {
    percent: percentFigure(rate.duty),
    percent2: percentFigure(rate.importTax),
    amount: moneyFigure(rate.freeBelow, decimals),
    basis: rate.valueBasis === 'goods' ? t('products') : t('products and shipping'),
  });

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
      return [
        before === undefined
          ? labelled(key, words)
          : t('{key}: {before} becomes {words}', { key, before, words }),
      ];
    }),
    ...[...old.keys()].filter((key) => !now.has(key)).map((key) => t('{key} is removed', { key })),
  ];
  return lines.length === 0 ? [] : [t('Duty rates: {firstFew}.', { firstFew: firstFew(lines) })];
};

/** What customers are told of import charges. */
const SHOWN: Record<DutyRules['show'], string> = {
  nothing: t('nothing'),
  mention: t('that some may fall due'),
  amount: t('about how much'),
};

/** What changed in the rules of import charges, a sentence each. */
export const dutySentences = (was: DutyRules, is: DutyRules, display: DisplayFormat): string[] => {
  const { decimals } = display;
  const named = (countries: readonly string[]): string =>
    countries.map(placeNames(display)).join(', ') || t('none');
  return [
    ...(was.terms === is.terms
      ? []
      : [t('Terms of delivery: {terms} becomes {terms2}.', { terms: was.terms, terms2: is.terms })]),
    ...(was.show === is.show
      ? []
      : [
          t('Customers are told of import charges: {was} becomes {is}.', {
            was: SHOWN[was.show],
            is: SHOWN[is.show],
          }),
        ]),
    ...(was.clearanceFee === is.clearanceFee
      ? []
      : [
          t('Clearance fee: {amount} becomes {amount2}.', {
            amount: moneyFigure(was.clearanceFee, decimals),
            amount2: moneyFigure(is.clearanceFee, decimals),
          }),
        ]),
    ...(was.homeCountries.join() === is.homeCountries.join()
      ? []
      : [
          t('Home countries: {was} becomes {is}.', {
            was: named(was.homeCountries),
            is: named(is.homeCountries),
          }),
        ]),
    ...dutyRateChanges(was.rates, is.rates, display),
  ];
};
