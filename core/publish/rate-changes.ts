import type { Price, Step } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { fieldChanges, type FieldContext } from './field-changes.ts';
import { measureFigure, moneyFigure, percentFigure, type DisplayFormat } from '../words/figure.ts';
import { ratePhrase } from '../price/rate-phrase.ts';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

type Tiers = Extract<Price, { kind: 'steps' }>;

const stepChanges = (before: Tiers, after: Tiers, display: DisplayFormat): string[] => {
  const at = (from: number): string => `from ${measureFigure(after.basis, from, display)}`;
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const above = ({ each, percent }: Step): string => {
    const parts = [
      ...(each
        ? [`${money(each.amount)} more for each ${measureFigure(after.basis, each.size, display)}`]
        : []),
      ...(percent ? [`${percentFigure(percent)} more`] : []),
    ];
    return parts.join(' and ') || 'nothing more';
  };
  const old = new Map(before.steps.map((step) => [step.from, step]));
  const now = new Set(after.steps.map(({ from }) => from));
  const changed = after.steps.flatMap((step): string[] => {
    const was: Step | undefined = old.get(step.from);
    if (!was) return [`${at(step.from)}: ${money(step.amount)} is new`];
    if (same(was, step)) return [];
    return was.amount === step.amount
      ? [`${at(step.from)}: ${above(was)} becomes ${above(step)}`]
      : [`${at(step.from)}: ${money(was.amount)} becomes ${money(step.amount)}`];
  });
  const gone = before.steps
    .filter(({ from }) => !now.has(from))
    .map(({ from }) => `${at(from)}: the step is removed`);
  const until =
    before.until === after.until
      ? []
      : [
          after.until === undefined
            ? 'the steps no longer end'
            : `the steps end before ${measureFigure(after.basis, after.until, display)}`,
        ];
  return [...changed, ...gone, ...until];
};

const priceChanges = (before: Rate, after: Rate, context: FieldContext): string[] => {
  const { display } = context;
  if (same(before.price, after.price)) return [];
  const [was, is] = [before.price, after.price];
  if (was.kind === 'steps' && is.kind === 'steps' && was.basis === is.basis && was.per === is.per)
    return stepChanges(was, is, display);
  const words = (rate: Rate): string => {
    const { price, notes } = ratePhrase(rate, display);
    const by = notes[0] !== undefined && /^(by|a|then) /.test(notes[0]) ? ` ${notes[0]}` : '';
    return `${price}${by}`;
  };
  return words(before) === words(after)
    ? fieldChanges(was, is, context)
    : [
        `${words(before)} becomes ${words(after)}`,
        ...(was.kind === 'carrier' && is.kind === 'carrier'
          ? fieldChanges({ services: was.services }, { services: is.services }, context)
          : []),
      ];
};

/** What else a rate says in its phrase: what is no longer so, and what is now. */
const noteChanges = (before: Rate, after: Rate, display: DisplayFormat): string[] => {
  const notes = (rate: Rate): string[] => ratePhrase({ ...rate, price: after.price }, display).notes;
  const [was, is] = [notes(before), notes(after)];
  const gone = was.filter((words) => !is.includes(words));
  const come = is.filter((words) => !was.includes(words));
  return [
    ...(gone.length > 0 ? [`no longer ${gone.join(', ')}`] : []),
    ...(come.length > 0 ? [`now ${come.join(', ')}`] : []),
  ];
};

/** What changed about a rate, a few words each. */
export const rateChanges = (before: Rate, after: Rate, context: FieldContext): string[] => [
  ...(before.active === after.active ? [] : [after.active ? 'is switched on' : 'is switched off']),
  ...priceChanges(before, after, context),
  ...noteChanges(before, after, context.display),
  ...(same(before.channels, after.channels)
    ? []
    : [after.channels ? `only for ${after.channels.join(', ')}` : 'for every channel']),
  ...(before.taxable === after.taxable ? [] : [after.taxable ? 'is taxed' : 'is not taxed']),
  ...(before.whenWithheld === after.whenWithheld
    ? []
    : [
        after.whenWithheld === 'tell'
          ? 'customers are told where it is not offered'
          : 'customers are no longer told where it is not offered',
      ]),
  ...fieldChanges({ message: before.message }, { message: after.message }, context),
];
