import { t } from '../translate/translate.ts';
import type { Refusal } from '../basket/limits.ts';
import type { Effect } from '../model/adjustment.ts';
import { NO_ENTRIES, oneEntry, refused } from '../price/entries.ts';
import { countOf } from '../price/measure-order.ts';
import type { Entries } from '../price/price-kind.ts';
import { pointsOf } from '../price/rounding.ts';
import { moneyFigure, percentFigure } from '../words/figure.ts';
import { listed } from '../words/names.ts';
import type { AdjustedOrder, EffectKind, EffectOf, Naming } from './adjustment-kind.ts';
import { countNamed, namedGoods, namesGood } from './condition-kinds.ts';

type Of<D extends Effect['do']> = Extract<Effect, { do: D }>;

/** A change with its line: `count` is how often an amount was added, `of` what a percentage is of. */
const changed = (
  effect: Effect,
  { name, source }: EffectOf,
  change: number,
  { count = 1, of = 0 }: { count?: number; of?: number } = {},
): Entries => oneEntry(change, source, { code: 'adjusted', name, effect, change, count, of });

/** What most kinds have nothing to say to. */
const PLAIN = {
  isIdle: () => false,
  mayWithhold: () => false,
  goods: () => ({}),
  isOverruled: false,
  replaces: false,
};

const money = (amount: number, { display }: Naming): string => moneyFigure(amount, display.decimals);

const FREE: EffectKind<Of<'free'>> = {
  ...PLAIN,
  change: (effect, running, _, of) => changed(effect, of, 0 - running),
  words: () => t('is free'),
  replaces: true,
};

const SET: EffectKind<Of<'set'>> = {
  ...PLAIN,
  change: (effect, running, _, of) => changed(effect, of, effect.amount - running),
  words: ({ amount }, naming) => t('costs {amount}', { amount: money(amount, naming) }),
  isOverruled: true,
  replaces: true,
};

/** How many times an amount is added: of the goods that are named, those charged for. */
const countAdded = ({ per, goods }: Of<'add'>, { basket, parcels }: AdjustedOrder): number | Refusal => {
  if (!goods) return countOf(per, { basket, parcels });
  const named = basket.chargeable.map(({ good }) => namesGood(goods, good));
  const lines = basket.chargeable.filter((_, at) => named[at]);
  if (per === 'line') return lines.length;
  if (per === 'unit') return lines.reduce((sum, { quantity }) => sum + quantity, 0);
  if (per === 'order' || lines.length === 0) return Math.min(1, lines.length);
  const packed = parcels.all();
  if (!packed.ok) return packed.refusal;
  return packed.runs
    .filter(({ contents }) => contents.some(({ line }) => named[line]))
    .reduce((sum, { count }) => sum + count, 0);
};

const directionOf = (change: number): 'less' | 'more' => (change < 0 ? 'less' : 'more');

const addedWords = ({ amount, per, goods }: Of<'add'>, naming: Naming): string => {
  const cost = t('costs {amount} {direction, select, less {less} other {more}}', {
    amount: money(Math.abs(amount), naming),
    direction: directionOf(amount),
  });
  const names = goods ? listed(namedGoods(goods, naming), 'or') : null;
  if (per === 'order') return names === null ? cost : t('{cost} where there is any {names}', { cost, names });
  const each = t('{cost} for each {per, select, parcel {parcel} unit {unit} line {line} other {{per}}}', {
    cost,
    per,
  });
  if (names === null) return each;
  return per === 'parcel'
    ? t('{each} with {names}', { each, names })
    : t('{each} of {names}', { each, names });
};

const ADD: EffectKind<Of<'add'>> = {
  change: (effect, _running, order, of) => {
    const count = countAdded(effect, order);
    if (typeof count !== 'number') return refused(count);
    return count > 0 || of.last ? changed(effect, of, effect.amount * count, { count }) : NO_ENTRIES;
  },
  words: addedWords,
  isIdle: ({ amount, goods }) => amount === 0 || (goods !== undefined && countNamed(goods) === 0),
  mayWithhold: ({ per }, { isSingleParcel }) => per === 'parcel' && !isSingleParcel,
  goods: ({ goods = {} }) => goods,
  isOverruled: true,
  replaces: false,
};

const PERCENT: EffectKind<Of<'percent'>> = {
  ...PLAIN,
  change: (effect, running, { basket }, adjustment) => {
    const of = effect.of === 'charge' ? running : basket.subtotal;
    return changed(effect, adjustment, pointsOf(of, effect.points), { of });
  },
  words: ({ points, of }) =>
    t(
      'costs {percent}{of, select, subtotal { of the subtotal} other {}} {direction, select, less {less} other {more}}',
      { percent: percentFigure(Math.abs(points)), of, direction: directionOf(points) },
    ),
  isIdle: ({ points }) => points === 0,
  isOverruled: true,
};

const within = (amount: number, { min, max }: Of<'bounds'>): number =>
  Math.min(Math.max(amount, min ?? amount), max ?? Number.POSITIVE_INFINITY);

const BOUNDS: EffectKind<Of<'bounds'>> = {
  ...PLAIN,
  change: (effect, running, _, of) => changed(effect, of, within(running, effect) - running),
  words: ({ min, max }, naming) => {
    const ends = [
      ...(min === undefined ? [] : [t('at least {amount}', { amount: money(min, naming) })]),
      ...(max === undefined ? [] : [t('at most {amount}', { amount: money(max, naming) })]),
    ];
    return ends.length > 0 ? t('costs {list}', { list: ends.join(t(' and ')) }) : t('costs what it does');
  },
  isIdle: ({ min, max }) => min === undefined && max === undefined,
};

const WITHHOLD: EffectKind<Of<'withhold'>> = {
  ...PLAIN,
  change: ({ message = '' }, _running, _order, { name }) =>
    refused({
      code: 'adjustment',
      say: { code: 'adjustment', name, message },
      ...(message === '' ? {} : { message }),
    }),
  words: () => t('is not offered'),
  mayWithhold: () => true,
};

const TERMS: EffectKind<Of<'terms'>> = {
  ...PLAIN,
  change: (effect, _running, _order, of) => changed(effect, of, 0),
  words: ({ terms }) => (terms === 'both' ? t('is sent DAP or DDP') : t('is sent {terms}', { terms })),
};

/** Every kind of effect; one that is not here, or lacks a part, does not compile. */
export const EFFECT_KINDS: { readonly [D in Effect['do']]: EffectKind<Of<D>> } = {
  free: FREE,
  set: SET,
  add: ADD,
  percent: PERCENT,
  bounds: BOUNDS,
  withhold: WITHHOLD,
  terms: TERMS,
};

/** All that is known of an effect's kind, to be asked about effects of that kind. */
export const effectKind = <E extends Effect>(effect: E): EffectKind<E> =>
  EFFECT_KINDS[effect.do] as unknown as EffectKind<E>;
