import { t } from '../translate/translate.ts';
import { labelled } from '../words/labelled.ts';
import { same } from './changes.ts';
import type { Price, Step } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { fieldChanges, type FieldContext } from './field-words.ts';
import { measureFigure, moneyFigure, percentFigure, type DisplayFormat } from '../words/figure.ts';
import { kindOf } from '../price/kinds.ts';
import { ratePhrase } from '../price/rate-phrase.ts';

type Tiers = Extract<Price, { kind: 'steps' }>;

/** What a step adds for what lies above its beginning. */
const aboveStep = ({ each, percent }: Step, basis: Tiers['basis'], display: DisplayFormat): string => {
  const parts = [
    ...(each
      ? [
          t('{amount} more for each {figure}', {
            amount: moneyFigure(each.amount, display.decimals),
            figure: measureFigure(basis, each.size, display),
          }),
        ]
      : []),
    ...(percent ? [t('{percent} more', { percent: percentFigure(percent) })] : []),
  ];
  return parts.join(t(' and ')) || t('nothing more');
};

const stepChanges = (before: Tiers, after: Tiers, display: DisplayFormat): string[] => {
  const at = (from: number): string =>
    t('from {figure}', { figure: measureFigure(after.basis, from, display) });
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const above = (step: Step): string => aboveStep(step, after.basis, display);
  const old = new Map(before.steps.map((step) => [step.from, step]));
  const now = new Set(after.steps.map(({ from }) => from));
  const changed = after.steps.flatMap((step): string[] => {
    const was: Step | undefined = old.get(step.from);
    if (!was) return [t('{at}: {amount} is new', { at: at(step.from), amount: money(step.amount) })];
    if (same(was, step)) return [];
    const told = [
      ...(was.amount === step.amount
        ? []
        : [t('{was} becomes {is}', { was: money(was.amount), is: money(step.amount) })]),
      ...(above(was) === above(step) ? [] : [t('{was} becomes {is}', { was: above(was), is: above(step) })]),
    ];
    return [labelled(at(step.from), told.join(', '))];
  });
  const gone = before.steps
    .filter(({ from }) => !now.has(from))
    .map(({ from }) => t('{at}: the step is removed', { at: at(from) }));
  const until =
    before.until === after.until
      ? []
      : [
          after.until === undefined
            ? t('the steps no longer end')
            : t('the steps end before {figure}', {
                figure: measureFigure(after.basis, after.until, display),
              }),
        ];
  return [...changed, ...gone, ...until];
};

/** The kinds of price that are not understood without what they go by. */
const WITH_BASIS: readonly Price['kind'][] = ['flat', 'percent', 'steps'];

/** A price in a few words: '8.50 to 24.00 by weight'. */
const priceWords = (price: Price, display: DisplayFormat): string => {
  const { price: figure, by } = kindOf(price).phrase(price, display);
  return by !== null && WITH_BASIS.includes(price.kind) ? `${figure} ${by}` : figure;
};

/** The kinds whose words say all that there is to say. */
const SAID_WHOLE: readonly Price['kind'][] = ['flat', 'percent', 'per-product'];

/** What changed about a price, a few words each. */
export const priceChanges = (was: Price, is: Price, context: FieldContext): string[] => {
  const { display } = context;
  if (same(was, is)) return [];
  if (was.kind === 'steps' && is.kind === 'steps' && was.basis === is.basis)
    return [
      ...fieldChanges({ measuredFor: was.per }, { measuredFor: is.per }, context),
      ...stepChanges(was, is, display),
    ];
  const [before, after] = [priceWords(was, display), priceWords(is, display)];
  const isSaid = was.kind !== is.kind || SAID_WHOLE.includes(is.kind) || is.kind === 'steps';
  return isSaid && before !== after
    ? [t('{before} becomes {after}', { before, after })]
    : fieldChanges(was, is, context);
};

/** What else a rate says in its phrase: what is no longer so, and what is now. */
const noteChanges = (before: Rate, after: Rate, display: DisplayFormat): string[] => {
  const notes = (rate: Rate): string[] => ratePhrase({ ...rate, price: after.price }, display).notes;
  const [was, is] = [notes(before), notes(after)];
  const gone = was.filter((words) => !is.includes(words));
  const come = is.filter((words) => !was.includes(words));
  return [
    ...(gone.length > 0 ? [t('no longer {list}', { list: gone.join(', ') })] : []),
    ...(come.length > 0 ? [t('now {list}', { list: come.join(', ') })] : []),
  ];
};

/** What changed about a rate, a few words each. */
export const rateChanges = (before: Rate, after: Rate, context: FieldContext): string[] => [
  ...(before.active === after.active ? [] : [after.active ? t('is switched on') : t('is switched off')]),
  ...priceChanges(before.price, after.price, context),
  ...noteChanges(before, after, context.display),
  ...(same(before.channels, after.channels)
    ? []
    : [after.channels ? t('only for {list}', { list: after.channels.join(', ') }) : t('for every channel')]),
  ...(before.taxable === after.taxable ? [] : [after.taxable ? t('is taxed') : t('is not taxed')]),
  ...(before.whenWithheld === after.whenWithheld
    ? []
    : [
        after.whenWithheld === 'tell'
          ? t('customers are told where it is not offered')
          : t('customers are no longer told where it is not offered'),
      ]),
  ...fieldChanges({ message: before.message }, { message: after.message }, context),
];
